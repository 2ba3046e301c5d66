import { expect, it } from 'vitest';
import { type SetView, standing } from './due-sets';

const HOUR = 3_600_000;
const set = (
  labels: string[],
  change: Partial<SetView> = {},
  tested: Record<string, number> = {},
): SetView => ({
  key: labels.join(),
  sampleId: 's',
  jobName: 'Job',
  mixCode: 'M',
  element: 'Wall',
  ageHours: 672,
  opensAt: 100 * HOUR,
  closesAt: 140 * HOUR,
  zone: 'UTC',
  specimens: labels.map((label) => ({ id: label, label, testedAt: tested[label] ?? null })),
  ...change,
});

it('says how each set stands, the least time left first', () => {
  const sets = standing(
    [
      set(['S1-B', 'S1-C'], {}, { 'S1-C': 110 * HOUR }),
      set(['S1-A'], { ageHours: 168, opensAt: 90 * HOUR, closesAt: 102 * HOUR }),
      set(['S2-B'], { closesAt: 104 * HOUR }, { 'S2-B': 103 * HOUR }),
    ],
    101 * HOUR,
    0.2,
  );
  expect(sets.map(({ specimens, state, waiting }) => [specimens[0]?.label, state, waiting.length])).toEqual([
    ['S1-A', 'closing', 1],
    ['S2-B', 'done', 0],
    ['S1-B', 'open', 1],
  ]);
});

it('calls a set closing by the share that the laboratory has set', () => {
  const at = 121 * HOUR;
  expect(standing([set(['A'])], at, 0.2)[0]?.state).toBe('open');
  expect(standing([set(['A'])], at, 0.5)[0]?.state).toBe('closing');
});
