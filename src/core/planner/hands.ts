/** A stretch in which a test wants hands, minutes from its beginning. */
export interface HandsOn {
  readonly from: number;
  readonly minutes: number;
  readonly what: string;
  /** Comes again so often, min, up to a moment: the falls of a needle. */
  readonly every?: number;
  readonly until?: number;
}

/** How a test keeps one person busy on a day. Times are common practice, no source: a plan, never a limit. */
export interface DayHands {
  readonly hands: readonly HandsOn[];
  /** Tests that have to be finished before it is begun, where they are to be made on this day. */
  readonly after?: readonly string[];
  /** What only one test can use at a time, and up to when, min. */
  readonly gear?: { readonly what: string; readonly until: number };
  /** What is weighed out for it of the sample, g. */
  readonly takes?: number;
  /** What it wants on later days, h from its beginning. */
  readonly later?: readonly { readonly hours: number; readonly what: string }[];
}

/** A busy stretch on the day, minutes from its beginning. */
export interface Busy {
  readonly from: number;
  readonly to: number;
  readonly what: string;
}

/** Every stretch that a test begun at a moment keeps hands busy in, in their order. */
export function busyOf({ hands }: DayHands, start: number): Busy[] {
  return hands
    .flatMap(({ from, minutes, what, every, until }): Busy[] => {
      const times = every && until !== undefined ? Math.floor((until - from) / every) + 1 : 1;
      return Array.from({ length: Math.max(1, times) }, (_, at) => {
        const begun = start + from + at * (every ?? 0);
        return { from: begun, to: begun + minutes, what };
      });
    })
    .toSorted((a, b) => a.from - b.from);
}
