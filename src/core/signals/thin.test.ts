import fc from 'fast-check';
import { describe, expect, it } from 'vitest';
import { thinned } from './thin';

const curve = (loads: readonly number[]) =>
  [Float64Array.from(loads, (_, index) => index / 10), Float64Array.from(loads)] as const;

describe('a curve thinned to what can be drawn', () => {
  it('is itself while there is room for all of it', () => {
    expect(thinned(...curve([0, 5, 9, 2]), 10)).toEqual([
      [0, 0],
      [0.1, 5],
      [0.2, 9],
      [0.3, 2],
    ]);
  });
  it('is nothing where nothing is', () => {
    expect(thinned(new Float64Array(), new Float64Array(), 100)).toEqual([]);
  });
  it('keeps a dip of one reading in a hundred thousand', () => {
    const loads = Array.from({ length: 100_000 }, (_, index) => index);
    loads[61_234] = 10;
    const points = thinned(...curve(loads), 500);
    expect(points.length).toBeLessThanOrEqual(502);
    expect(points).toContainEqual([6123.4, 10]);
  });
  it('keeps peak and low, makes up no point, goes forward in time and stays small', () => {
    fc.assert(
      fc.property(
        fc.array(fc.double({ min: -100, max: 90_000, noNaN: true }), { minLength: 1, maxLength: 400 }),
        fc.integer({ min: 2, max: 120 }),
        (loads, shown) => {
          const points = thinned(...curve(loads), shown);
          const heights = points.map(([, load]) => load);
          expect(Math.max(...heights)).toBe(Math.max(...loads));
          expect(Math.min(...heights)).toBe(Math.min(...loads));
          expect(points.length).toBeLessThanOrEqual(shown + 2);
          for (const [t, load] of points) expect(loads[Math.round(t * 10)]).toBe(load);
          const times = points.map(([t]) => t);
          expect(times).toEqual([...new Set(times)].toSorted((a, b) => a - b));
        },
      ),
    );
  });
});
