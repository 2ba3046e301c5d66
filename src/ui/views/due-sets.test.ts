import { expect, it } from 'vitest';
import { Limits } from '@/core/limits';
import { type BracketView, dueSets } from './due-sets';

const HOUR = 3_600_000;
const bracket = (label: string, sampleId: string, change: Partial<BracketView> = {}): BracketView => ({
  specimenId: label,
  label,
  sampleId,
  jobName: 'Job',
  mixCode: 'M',
  element: 'Wall',
  size: '4x8',
  ageHours: 672,
  opensAt: 100 * HOUR,
  closesAt: 140 * HOUR,
  testedAt: null,
  zone: 'UTC',
  ...change,
});

it('groups what is broken together, the least time left first', () => {
  const sets = dueSets(
    [
      bracket('S1-B', 's1'),
      bracket('S1-C', 's1', { testedAt: 110 * HOUR }),
      bracket('S1-A', 's1', { ageHours: 168, opensAt: 90 * HOUR, closesAt: 102 * HOUR }),
      bracket('S2-B', 's2', { closesAt: 104 * HOUR, testedAt: 103 * HOUR }),
    ],
    101 * HOUR,
    new Limits(),
  );
  expect(sets.map(({ label, state, waiting }) => [label, state, waiting.length])).toEqual([
    ['S1-A', 'closing', 1],
    ['S2-B', 'done', 0],
    ['S1-B', 'open', 1],
  ]);
});

it('calls a set closing by the share that the laboratory has set', () => {
  const own = new Limits({
    'age.closing': { status: 'set by the laboratory', both: { high: '50', unit: 'percent' } },
  });
  const at = 121 * HOUR;
  expect(dueSets([bracket('A', 's')], at, new Limits())[0]?.state).toBe('open');
  expect(dueSets([bracket('A', 's')], at, own)[0]?.state).toBe('closing');
});
