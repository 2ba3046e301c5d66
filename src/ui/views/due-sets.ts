import type { Limits } from '@/core/limits';
import type { WindowState } from '@/core/windows';
import { windowState } from '@/core/windows';

export interface BracketView {
  readonly specimenId: string;
  readonly label: string;
  readonly sampleId: string;
  readonly jobName: string;
  readonly mixCode: string;
  readonly element: string;
  readonly size: string;
  readonly ageHours: number;
  readonly opensAt: number;
  readonly closesAt: number;
  readonly testedAt: number | null;
  readonly zone: string;
}

/** The specimens of one sample and age: they share a window and are broken together. */
export interface DueSet extends BracketView {
  readonly key: string;
  readonly state: WindowState;
  readonly specimens: readonly BracketView[];
  readonly waiting: readonly BracketView[];
}

/** Groups specimens into sets; a set is done when all of it is broken. Those with the least time left come first. */
export function dueSets(brackets: readonly BracketView[], now: number, limits: Limits): DueSet[] {
  const groups = new Map<string, BracketView[]>();
  for (const bracket of brackets) {
    const key = `${bracket.sampleId}/${bracket.ageHours}`;
    groups.set(key, [...(groups.get(key) ?? []), bracket]);
  }
  const sets = [...groups].flatMap(([key, specimens]): DueSet[] => {
    const [first] = specimens;
    if (!first) return [];
    const waiting = specimens.filter(({ testedAt }) => testedAt === null);
    const doneAt = waiting.length === 0 ? first.testedAt : null;
    return [{ ...first, key, specimens, waiting, state: windowState(first, now, limits, doneAt) }];
  });
  return sets.toSorted((a, b) => a.closesAt - b.closesAt);
}
