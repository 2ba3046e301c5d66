import fc from 'fast-check';
import { expect, it } from 'vitest';
import { exact } from '../quantity';
import { halvesSay } from './prisms';

const say = (...kn: readonly number[]) =>
  halvesSay(
    kn.map((load) => exact(load).div('1.6')),
    exact(10),
  );

// EN 196-1 (from memory), loads in kN on 1,600 mm²; by hand.
it.each([
  [[84.1, 85.6, 86.3, 83.9, 87.2, 85.0], 53.344, undefined],
  [[84.1, 85.6, 86.3, 83.9, 87.2, 77.0], 52.51, undefined],
  [[84.1, 85.6, 86.3, 83.9, 87.2, 74.0], 53.3875, 5],
])('%j kN: %d MPa', (loads, mean, out) => {
  const found = say(...loads);
  expect(found.kind === 'mean' && found.mean.toNumber()).toBeCloseTo(mean, 2);
  expect(found).toMatchObject({ out });
});

it('one more beyond, or two at once, throw the set away', () => {
  expect(say(95, 94, 96, 95, 75, 82.5)).toEqual({ kind: 'discarded', off: [4, 5] });
  expect(say(80, 80, 80, 80, 100, 60)).toEqual({ kind: 'discarded', off: [4, 5] });
});

it('exactly ten percent is inside', () => {
  expect(say(90, 110, 100, 100, 100, 100)).toMatchObject({ kind: 'mean', out: undefined });
});

it('its mean lies among the halves that count', () => {
  fc.assert(
    fc.property(fc.array(fc.integer({ min: 400, max: 1000 }), { minLength: 6, maxLength: 6 }), (loads) => {
      const found = say(...loads.map((load) => load / 10));
      if (found.kind !== 'mean') return;
      const used = found.used.map((place) => (loads[place] ?? 0) / 16);
      expect(found.mean.toNumber()).toBeGreaterThanOrEqual(Math.min(...used) - 1e-9);
      expect(found.mean.toNumber()).toBeLessThanOrEqual(Math.max(...used) + 1e-9);
      expect(found.used.length).toBeGreaterThanOrEqual(5);
    }),
  );
});
