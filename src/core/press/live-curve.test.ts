import fc from 'fast-check';
import { describe, expect, it } from 'vitest';
import { LiveCurve } from './live-curve';

const fed = (loads: readonly number[], most = 400) => {
  const curve = new LiveCurve(most);
  for (const [index, load] of loads.entries()) curve.take(index / 50, load);
  return curve.drawn();
};

describe('a curve that grows while readings come', () => {
  it('never holds more than can be drawn, in order, with its highest and its last point', () => {
    fc.assert(
      fc.property(
        fc.array(fc.integer({ min: 0, max: 500_000 }), { minLength: 2, maxLength: 6000 }),
        (loads) => {
          const points = fed(loads);
          expect(points.length).toBeLessThanOrEqual(402);
          for (const [index, point] of points.entries())
            if (index > 0) expect(point.x).toBeGreaterThanOrEqual(points[index - 1]?.x ?? 0);
          const most = Math.max(...loads);
          if (most > 1) expect(Math.max(...points.map(({ y }) => y))).toBe(most);
          expect(points.at(-1)?.y).toBe(loads.at(-1));
        },
      ),
      { numRuns: 60 },
    );
  });
  it('begins a little before the first load, however long the machine stood idle', () => {
    const points = fed([
      ...Array.from({ length: 30_000 }, () => 0),
      ...Array.from({ length: 500 }, (_, i) => i * 100),
    ]);
    const [first] = points;
    expect(first).toEqual({ x: 0, y: 0 });
    // A hundred readings at 50 a second before the load, ten seconds of it after.
    expect(points.at(-1)?.x).toBeCloseTo(12, 0);
  });
  it('is nothing before anything came', () => expect(new LiveCurve(10).drawn()).toEqual([]));
});
