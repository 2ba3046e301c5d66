import fc from 'fast-check';
import { describe, expect, it } from 'vitest';
import { nextWater } from './consistency';

describe('the next water', () => {
  // By hand: 26 + 3 · 2 / 7.
  it('lies between two pastes about the aim', () => {
    expect(
      nextWater(
        [
          { water: 26, depth: 7 },
          { water: 28, depth: 14 },
        ],
        10,
        3,
      ),
    ).toBeCloseTo(26.857, 3);
  });
  it('of one paste follows the usual slope', () => {
    expect(nextWater([{ water: 26, depth: 7 }], 10, 3)).toBeCloseTo(27, 9);
    expect(nextWater([], 10, 3)).toBeUndefined();
  });
  it('of two that contradict one another follows the usual slope from the nearer one', () => {
    expect(
      nextWater(
        [
          { water: 27, depth: 9 },
          { water: 28, depth: 6 },
        ],
        10,
        3,
      ),
    ).toBeCloseTo(27.333, 3);
  });
  it('finds a paste that stiffens by any line within few trials', () => {
    fc.assert(
      fc.property(
        fc.double({ min: 1.5, max: 6, noNaN: true }),
        fc.double({ min: 24, max: 28, noNaN: true }),
        (slope, right) => {
          const tried = [{ water: 26, depth: Math.max(0, 10 + (26 - right) * slope) }];
          for (let turn = 0; turn < 9; turn += 1) {
            const water = nextWater(tried, 10, 3) ?? 0;
            tried.push({ water, depth: Math.min(40, Math.max(0, 10 + (water - right) * slope)) });
          }
          expect(Math.abs((tried.at(-1)?.depth ?? 0) - 10)).toBeLessThan(1);
        },
      ),
    );
  });
});
