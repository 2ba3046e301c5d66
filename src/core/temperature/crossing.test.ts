import fc from 'fast-check';
import { describe, expect, it } from 'vitest';
import { crossing } from '.';

const series = (of: (hour: number) => number, end = 10, step = 0.5) => {
  const hours = Array.from({ length: end / step + 1 }, (_, row) => row * step);
  return { hours, celsius: hours.map(of) };
};

// Straight lines worked by hand.
describe('when what rises comes to a limit', () => {
  it('at one rate, in one time', () => {
    const { soonest, latest } = crossing(
      series((hour) => 2 + hour),
      19.4,
    ) ?? { soonest: 0, latest: 0 };
    expect(soonest).toBeCloseTo(7.4, 9);
    expect(latest).toBeCloseTo(7.4, 9);
  });
  it('that bends over, between what its last hours and its last quarter of a day promise', () => {
    // Slower of late: by the last six hours sooner than by the last two.
    const bent = crossing(
      series((hour) => 12 * (1 - Math.exp(-hour / 6))),
      14,
    );
    expect(bent?.soonest ?? 0).toBeLessThan(bent?.latest ?? 0);
  });
  it('is nothing where it is there, falls, has too few rows, or is farther off than a day', () => {
    expect(
      crossing(
        series((hour) => 15 + hour),
        19.4,
      ),
    ).toBeNull();
    expect(
      crossing(
        series((hour) => 15 - hour),
        19.4,
      ),
    ).toBeNull();
    expect(crossing({ hours: [0, 1], celsius: [1, 2] }, 19.4)).toBeNull();
    expect(
      crossing(
        series((hour) => hour / 10),
        19.4,
      ),
    ).toBeNull();
    expect(crossing({ hours: [], celsius: [] }, 19.4)).toBeNull();
  });
  it('of a straight line is what is left over its rise', () => {
    fc.assert(
      fc.property(
        fc.double({ min: 0.5, max: 5, noNaN: true }),
        fc.double({ min: 0.1, max: 8, noNaN: true }),
        (rise, left) => {
          const found = crossing(
            series((hour) => rise * hour),
            10 * rise + left,
          );
          expect(found?.soonest ?? Number.NaN).toBeCloseTo(left / rise, 6);
        },
      ),
    );
  });
});
