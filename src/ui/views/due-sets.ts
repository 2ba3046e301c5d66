import type { Lane } from '@/core/waits/wait';
import { stateOf, type WindowState } from '@/core/windows/window-state';

/** What waits for the same thing in the same time, as the server lists it. */
export interface SetView {
  readonly key: string;
  readonly lane: Lane;
  readonly what: string;
  readonly ageHours: number | null;
  readonly place: string;
  readonly detail: string;
  readonly href: string;
  readonly zone: string | null;
  readonly opensAt: number;
  readonly bestAt: number | null;
  readonly closesAt: number | null;
  readonly doneAt: number | null;
  readonly provisional: string | null;
  readonly specimens: readonly {
    readonly id: string;
    readonly label: string;
    readonly doneAt: number | null;
  }[];
}

/** A set at this moment. */
export interface DueSet extends SetView {
  readonly state: WindowState;
  readonly waiting: SetView['specimens'];
}

/** How the sets stand now; a set is done when all of it is. Those with the least time left come first. */
export function standing(sets: readonly SetView[], now: number, closing: number): DueSet[] {
  return sets
    .map((set): DueSet => {
      const waiting = set.specimens.filter(({ doneAt }) => doneAt === null || doneAt > now);
      return { ...set, waiting, state: stateOf(set, now, closing, set.doneAt) };
    })
    .toSorted((a, b) => endOf(a) - endOf(b));
}

/** When it ends: what stays open until it is done ends last. */
function endOf({ closesAt, doneAt }: SetView): number {
  return closesAt ?? doneAt ?? Number.MAX_SAFE_INTEGER;
}
