import fc from 'fast-check';
import { expect, it } from 'vitest';
import { trendAt } from './trend';

it('goes on along the points, by hand: 70, 72, 74 at 0, 1, 2 is 76 at 3', () => {
  expect(
    trendAt(
      [
        { x: 0, y: 70 },
        { x: 1, y: 72 },
        { x: 2, y: 74 },
      ],
      3,
    ),
  ).toBeCloseTo(76, 12);
  // Worked by hand: mean 2 and 4, slope (−1·−1 + 0·2 + 1·−1) / 2 = 0.
  expect(
    trendAt(
      [
        { x: 1, y: 3 },
        { x: 2, y: 6 },
        { x: 3, y: 3 },
      ],
      9,
    ),
  ).toBeCloseTo(4, 12);
});
it('is none for fewer than three points, or all at one place', () => {
  expect(
    trendAt(
      [
        { x: 0, y: 1 },
        { x: 1, y: 2 },
      ],
      2,
    ),
  ).toBeUndefined();
  expect(
    trendAt(
      [
        { x: 1, y: 1 },
        { x: 1, y: 2 },
        { x: 1, y: 3 },
      ],
      2,
    ),
  ).toBeUndefined();
});
it('finds every line it is given', () => {
  const value = fc.double({ min: -1000, max: 1000, noNaN: true });
  fc.assert(
    fc.property(value, value, (base, slope) => {
      const points = [0, 1, 2, 5].map((x) => ({ x, y: base + slope * x }));
      expect(trendAt(points, 7)).toBeCloseTo(base + slope * 7, 6);
    }),
  );
});
