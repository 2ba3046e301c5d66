import fc from 'fast-check';
import { describe, expect, it } from 'vitest';
import { riseOver } from '../signals/rise';
import { Pace } from './pace';

describe('the time of a simulated device', () => {
  it('reads as often a second as it should, however the time is cut', () => {
    fc.assert(
      fc.property(
        fc.array(fc.integer({ min: 1, max: 400 }), { minLength: 1, maxLength: 12 }),
        fc.constantFrom(10, 20, 50),
        (parts, rate) => {
          const cut = new Pace(0.002, rate);
          const whole = new Pace(0.002, rate);
          const read = (pace: Pace, seconds: number): number[] =>
            pace.run(
              seconds,
              () => undefined,
              () => [pace.time],
            );
          const pieces = parts.flatMap((part) => read(cut, part * 0.002));
          const all = read(whole, parts.reduce((sum, part) => sum + part, 0) * 0.002);
          expect(pieces.length).toBe(all.length);
          pieces.forEach((time, place) => {
            expect(time).toBeCloseTo(all[place] ?? Number.NaN, 6);
          });
        },
      ),
      { numRuns: 40 },
    );
  });
  it('moves once in every step, and may read several at once or none', () => {
    const pace = new Pace(0.01, 10);
    let moved = 0;
    const read = pace.run(
      1,
      () => {
        moved += 1;
      },
      () => (moved < 50 ? [] : [moved, -moved]),
    );
    expect(moved).toBe(100);
    // From the fiftieth step on every tenth: 50, 60 … 100, two of each.
    expect(read).toHaveLength(12);
  });
});

// Straight lines, worked by hand.
describe('the rise over the last seconds', () => {
  const line = Array.from({ length: 40 }, (_, row) => ({
    seconds: row / 10,
    value: row < 20 ? 0 : (row - 20) * 0.3,
  }));
  const at = ({ seconds }: { readonly seconds: number }): number => seconds;
  it('is that of the window, and of nothing before it', () => {
    expect(riseOver(line, at, ({ value }) => value, 1)).toBeCloseTo(3, 9);
    expect(riseOver(line, at, ({ value }) => value, 4)).toBeLessThan(3);
    expect(riseOver(line.slice(0, 15), at, ({ value }) => value, 1)).toBeCloseTo(0, 12);
  });
  it('cannot be told from two readings, or from readings of one moment', () => {
    expect(riseOver(line.slice(0, 2), at, ({ value }) => value, 5)).toBeNull();
    expect(riseOver([], at, () => 1, 5)).toBeNull();
    const still = [1, 1, 1].map((seconds) => ({ seconds, value: 4 }));
    expect(riseOver(still, at, ({ value }) => value, 5)).toBeNull();
  });
});
