import fc from 'fast-check';
import { describe, expect, it } from 'vitest';
import { plotMarks } from './plot-marks';

const plot = (
  points: readonly (readonly [number, number])[],
  line: { a: number; b: number } | null = null,
) => ({
  title: 'Load over size',
  x: 'De², mm²',
  y: 'P, kN',
  points: points.map(([x, y], place) => ({ label: `L${place + 1}`, x, y })),
  line,
  doubts: [],
});

describe('points on axes by powers of ten', () => {
  it('stand at equal distances for equal ratios', () => {
    const { points } = plotMarks(
      plot([
        [1, 1],
        [10, 10],
        [100, 100],
      ]),
      100,
      100,
    );
    const [one, two, three] = points;
    expect((two?.x ?? 0) - (one?.x ?? 0)).toBeCloseTo((three?.x ?? 0) - (two?.x ?? 0), 1);
    expect(one?.y).toBeGreaterThan(three?.y ?? 0);
  });
  it('have lines of the grid at 1, 2, 3 and 5 of each power that falls on them', () => {
    const { xs, ys } = plotMarks(
      plot([
        [900, 3],
        [6000, 24],
      ]),
      300,
      170,
    );
    expect(xs.map(({ value }) => value)).toEqual(['1,000', '2,000', '3,000', '5,000']);
    expect(ys.map(({ value }) => value)).toEqual(['3', '5', '10', '20']);
  });
  it('carry a line that runs through points which lie on it', () => {
    const { points, line } = plotMarks(
      plot(
        [
          [100, 1],
          [10_000, 100],
        ],
        { a: -2, b: 1 },
      ),
      200,
      200,
    );
    expect(line).toBe(points.map(({ x, y }, place) => `${place === 0 ? 'M' : 'L'}${x} ${y}`).join(''));
    expect(
      plotMarks(
        plot([
          [100, 1],
          [200, 2],
        ]),
        200,
        200,
      ).line,
    ).toBeNull();
  });
  it('lie inside the box, one point or many, all of one size or not', () => {
    const above = fc.double({ min: 0.01, max: 1e6, noNaN: true });
    fc.assert(
      fc.property(fc.array(fc.tuple(above, above), { minLength: 1, maxLength: 30 }), (points) => {
        for (const { x, y } of plotMarks(plot(points), 300, 170).points) {
          expect(x).toBeGreaterThanOrEqual(0);
          expect(x).toBeLessThanOrEqual(300);
          expect(y).toBeGreaterThanOrEqual(0);
          expect(y).toBeLessThanOrEqual(170);
        }
      }),
    );
  });
});
