import type { FollowUpStep } from '../acceptance';

/** What is decided of a result in a series of a source, always with the reason; the last of a kind counts. */
export const SOURCE_DECISIONS = [
  {
    id: 'source-looked',
    title: 'Looked into it',
    detail:
      'In this order: own test (range, second test, lot of sand, moulds, technician, machine); the sample; fineness, loss and set of the same sample; the plant. Watch the concrete.',
    who: 'laboratory',
  },
  {
    id: 'source-out',
    title: 'Leave it out of the baseline',
    detail: 'Only with the cause that was found. It stays in the charts.',
    who: 'reviewer',
  },
  {
    id: 'source-anew',
    title: 'Begin a new series with it',
    detail: 'New silo or raw mix, standstill of the kiln. The baseline is made anew from here on.',
    who: 'reviewer',
  },
  {
    id: 'source-in',
    title: 'Take that back',
    detail: 'It counts in the baseline again, and no series begins with it.',
    who: 'reviewer',
  },
] as const satisfies readonly FollowUpStep[];

/** A decision as it was recorded, the oldest first. */
export interface Decided {
  readonly step: string;
  readonly words: string;
}

/** How a result counts, by what was decided of it last. */
export function countsAs(decisions: readonly Decided[]): 'in' | 'out' | 'anew' {
  const last = decisions.findLast(({ step }) => step !== 'source-looked')?.step;
  return last === 'source-out' ? 'out' : last === 'source-anew' ? 'anew' : 'in';
}
