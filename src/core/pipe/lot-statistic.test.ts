import fc from 'fast-check';
import { std } from 'mathjs';
import { expect, it } from 'vitest';
import { Limits } from '../limits';
import { exact } from '../quantity';
import { Sheet } from '../working';
import { fewestOfLot, lotStatistic } from './lot-statistic';

const limits = new Limits();
const judged = (loads: readonly number[], ordered: number) => {
  const sheet = new Sheet('half-even');
  const found = lotStatistic(
    loads.map((load) => exact(load)),
    exact(ordered),
    { limits, system: 'US', sheet },
  );
  return { ...found, lines: sheet.lines };
};

// ASTM C655's rule (from memory), figures by hand: deviations 30, −60, −30, 60, 0 give s 47.4, less than 94.5.
it('a lot that scatters little counts as scattering by seven parts in a hundred', () => {
  const { mean, needed, holds } = judged([1480, 1390, 1420, 1510, 1450], 1350);
  expect(mean.toFixed(1)).toBe('1450.0');
  expect(needed.toFixed(1)).toBe('1451.1');
  expect(holds).toBe(false);
  expect(judged([1482, 1392, 1422, 1512, 1452], 1350).holds).toBe(true);
});

it('a lot that scatters much has to lie higher', () => {
  fc.assert(
    fc.property(
      fc.array(fc.integer({ min: 900, max: 2400 }), { minLength: 5, maxLength: 12 }),
      fc.integer({ min: 800, max: 2000 }),
      (loads, ordered) => {
        const { mean, needed, holds } = judged(loads, ordered);
        const s = Math.max(Number(std(...loads)), 0.07 * ordered);
        expect(needed.toNumber()).toBeCloseTo(ordered + 1.07 * s, 6);
        expect(holds).toBe(mean.toNumber() >= needed.toNumber());
        // A lot never passes below what is ordered.
        if (holds) expect(mean.toNumber()).toBeGreaterThan(ordered);
      },
    ),
  );
});

it('fewer than five decide nothing', () => {
  expect(fewestOfLot(limits, 'US')).toBe(5);
});
