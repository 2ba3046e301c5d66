import { stateOf, type WindowState } from '@/core/windows/window-state';

/** Specimens of one sample that share an age and a window, as the server lists them. */
export interface SetView {
  readonly key: string;
  readonly sampleId: string;
  readonly jobName: string;
  readonly mixCode: string;
  readonly element: string;
  readonly ageHours: number;
  readonly opensAt: number;
  readonly closesAt: number;
  readonly zone: string;
  readonly specimens: readonly {
    readonly id: string;
    readonly label: string;
    readonly testedAt: number | null;
  }[];
}

/** A set at this moment. */
export interface DueSet extends SetView {
  readonly state: WindowState;
  readonly waiting: SetView['specimens'];
}

/** How the sets stand now; a set is done when all of it is broken. Those with the least time left come first. */
export function standing(sets: readonly SetView[], now: number, closing: number): DueSet[] {
  return sets
    .map((set): DueSet => {
      const waiting = set.specimens.filter(({ testedAt }) => testedAt === null);
      const doneAt = waiting.length === 0 ? (set.specimens[0]?.testedAt ?? null) : null;
      return { ...set, waiting, state: stateOf(set, now, closing, doneAt) };
    })
    .toSorted((a, b) => a.closesAt - b.closesAt);
}
