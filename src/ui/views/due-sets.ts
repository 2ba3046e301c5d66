import { type DaySet, endOf } from '@/core/waits/day';
import { stateOf, type WindowState } from '@/core/windows/window-state';

/** A set at this moment. */
export interface DueSet extends DaySet {
  readonly state: WindowState;
  readonly waiting: DaySet['specimens'];
}

/** How the sets stand now; a set is done when all of it is. Those with the least time left come first. */
export function standing(sets: readonly DaySet[], now: number, closing: number): DueSet[] {
  return sets
    .map((set): DueSet => {
      const waiting = set.specimens.filter(({ doneAt }) => doneAt === null || doneAt > now);
      return { ...set, waiting, state: stateOf(set, now, closing, set.doneAt) };
    })
    .toSorted((a, b) => endOf(a) - endOf(b));
}
