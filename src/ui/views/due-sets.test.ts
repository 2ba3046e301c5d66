import { expect, it } from 'vitest';
import type { DaySet } from '@/core/waits/day';
import { standing } from './due-sets';

const HOUR = 3_600_000;
const set = (
  labels: string[],
  change: Partial<DaySet> = {},
  tested: Record<string, number> = {},
): DaySet => ({
  key: labels.join(),
  lane: 'press',
  what: 'Break',
  ageHours: 672,
  about: '',
  place: 'Wall',
  detail: 'M',
  href: '/samples/s',
  bestAt: 120 * HOUR,
  doneAt: labels.every((label) => tested[label]) ? Math.max(...Object.values(tested)) : null,
  provisional: null,
  opensAt: 100 * HOUR,
  closesAt: 140 * HOUR,
  zone: 'UTC',
  specimens: labels.map((label) => ({ id: label, label, doneAt: tested[label] ?? null })),
  ...change,
});

it('says how each set stands, the least time left first', () => {
  const sets = standing(
    [
      set(['S1-B', 'S1-C'], {}, { 'S1-C': 100.2 * HOUR }),
      set(['S1-A'], { ageHours: 168, opensAt: 90 * HOUR, closesAt: 102 * HOUR }),
      set(['S2-B'], { closesAt: 104 * HOUR }, { 'S2-B': 100.5 * HOUR }),
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

it('lists what has no closing last, open until it is done, and what ends by itself as waiting until then', () => {
  const tank = set([], { lane: 'tank', what: 'Stir the tank', closesAt: null, doneAt: null });
  const caps = set(
    ['S3-A'],
    { lane: 'ends', closesAt: null, opensAt: 110 * HOUR, doneAt: 110 * HOUR },
    { 'S3-A': 110 * HOUR },
  );
  const at = (hours: number) =>
    standing([tank, caps, set(['A'])], hours * HOUR, 0.2).map(({ lane, state, waiting }) => [
      lane,
      state,
      waiting.length,
    ]);
  expect(at(105)).toEqual([
    ['ends', 'not open yet', 1],
    ['press', 'open', 1],
    ['tank', 'open', 0],
  ]);
  expect(at(110)[0]).toEqual(['ends', 'done', 0]);
});
