import { type Busy, busyOf, type DayHands } from './hands';

/** A test that is to be made on a day. */
export interface DayTask {
  readonly id: string;
  readonly title: string;
  readonly day: DayHands;
}

/** A test in its place on the day, minutes from its beginning. */
export interface PlacedTask {
  readonly id: string;
  readonly title: string;
  readonly start: number;
  readonly end: number;
  readonly busy: readonly Busy[];
  /** Why it is not begun earlier; empty where it is begun as soon as hands are free. */
  readonly because: string;
  readonly takes: number;
  readonly later: NonNullable<DayHands['later']>;
}

export interface DayPlan {
  readonly tasks: readonly PlacedTask[];
  /** When hands are free for good. */
  readonly end: number;
  /** Of all of them, g. */
  readonly takes: number;
}

/** Up to so many tests every order is tried; of more a few that are usually good. */
const ALL_ORDERS = 6;
/** No test is begun later than this, min. */
const LATEST = 24 * 60;

const overlaps = (a: Busy, b: Busy): boolean => a.from < b.to && b.from < a.to;
const endOf = ({ hands }: DayHands): number =>
  Math.max(0, ...hands.map(({ from, minutes, until }) => (until ?? from) + minutes));

/**
 * A day of tests for one pair of hands: no two of them are wanted at once, no test is begun before what it rests on is done, and
 * nothing that only one test can use is used by two.
 * @param tasks in any order
 * @returns them in the order of their beginning, so that the day is over as early as it can be
 */
export function planDay(tasks: readonly DayTask[]): DayPlan {
  const few = tasks.length <= ALL_ORDERS;
  const orders = few
    ? permutations(tasks)
    : ([longest, shortest, mostHands] as const).map((first) => inTurn(tasks.toSorted(first)));
  const plans = orders.flatMap((order) => {
    const plan = placed(order);
    return plan ? [{ order, plan }] : [];
  });
  const [first, ...others] = plans;
  if (!first) return { tasks: [], end: 0, takes: 0 };
  const best = others.reduce((least, each) => (isBetter(each.plan, least.plan) ? each : least), first);
  return few ? best.plan : improved(best.order, best.plan);
}

/** The same day with one test after the other tried in every other place, as long as that is better. */
function improved(order: readonly DayTask[], plan: DayPlan): DayPlan {
  let [least, at] = [plan, [...order]];
  for (const task of order) {
    const others = at.filter((each) => each !== task);
    for (let place = 0; place <= others.length; place += 1) {
      const other = others.toSpliced(place, 0, task);
      const tried = placed(other);
      if (tried && isBetter(tried, least)) [least, at] = [tried, other];
    }
  }
  return least;
}

type First = (a: DayTask, b: DayTask) => number;
const longest: First = (a, b) => endOf(b.day) - endOf(a.day);
const shortest: First = (a, b) => endOf(a.day) - endOf(b.day);
const mostHands: First = (a, b) => handsOf(b.day) - handsOf(a.day);
const handsOf = (day: DayHands): number => busyOf(day, 0).reduce((sum, { from, to }) => sum + to - from, 0);

/** Tests in this order, but none before those that it rests on. */
function inTurn(tasks: readonly DayTask[]): DayTask[] {
  const order: DayTask[] = [];
  const left = [...tasks];
  while (left.length > 0) {
    const next = left.findIndex(({ day }) => !left.some(({ id }) => day.after?.includes(id)));
    order.push(...left.splice(Math.max(0, next), 1));
  }
  return order;
}

/** Earlier over; else the earlier begun all together. */
function isBetter(a: DayPlan, b: DayPlan): boolean {
  if (a.end !== b.end) return a.end < b.end;
  const starts = ({ tasks }: DayPlan): number => tasks.reduce((sum, { start }) => sum + start, 0);
  return starts(a) < starts(b);
}

/** The first test whose stretches meet these, and by how much these have to come later so that the two that meet do not. */
function meeting(
  done: readonly PlacedTask[],
  busy: readonly Busy[],
): { readonly title: string; readonly by: number } | undefined {
  for (const { title, busy: theirs } of done)
    for (const one of theirs)
      for (const own of busy) if (overlaps(one, own)) return { title, by: one.to - own.from };
  return undefined;
}

/** Tests placed one after the other, each as early as it can be; undefined where the order is against what they rest on. */
function placed(order: readonly DayTask[]): DayPlan | undefined {
  const ids = new Set(order.map(({ id }) => id));
  const done: PlacedTask[] = [];
  const used: { what: string; from: number; to: number }[] = [];
  for (const { id, title, day } of order) {
    const before = (day.after ?? []).filter((each) => ids.has(each));
    const rests = done.filter((each) => before.includes(each.id));
    if (rests.length < before.length) return undefined;
    const from = Math.max(0, ...rests.map(({ end }) => end));
    let because = rests.length > 0 ? `after ${rests.map((each) => each.title.toLowerCase()).join(', ')}` : '';
    for (let start = from; start <= LATEST; ) {
      const busy = busyOf(day, start);
      const hands = meeting(done, busy);
      const { gear } = day;
      const taken =
        gear && used.find((one) => one.what === gear.what && one.from < start + gear.until && start < one.to);
      if (hands || taken) {
        // What keeps it back longer is why.
        const [byHands, byGear] = [hands?.by ?? 0, taken ? taken.to - start : 0];
        because =
          byHands > byGear ? `hands are at ${hands?.title.toLowerCase()}` : `the ${taken?.what} is in use`;
        start += Math.max(1, byHands, byGear);
        continue;
      }
      if (gear) used.push({ what: gear.what, from: start, to: start + gear.until });
      done.push({
        ...{ id, title, start, busy, because: start === 0 ? '' : because },
        ...{ end: start + endOf(day), takes: day.takes ?? 0, later: day.later ?? [] },
      });
      break;
    }
    if (done.at(-1)?.id !== id) return undefined;
  }
  return {
    tasks: done.toSorted((a, b) => a.start - b.start),
    end: Math.max(0, ...done.map(({ end }) => end)),
    takes: done.reduce((sum, { takes }) => sum + takes, 0),
  };
}

function permutations<T>(of: readonly T[]): T[][] {
  if (of.length === 0) return [[]];
  return of.flatMap((each, at) =>
    permutations(of.filter((_, other) => other !== at)).map((rest) => [each, ...rest]),
  );
}
