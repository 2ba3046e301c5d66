import { describe, expect, it } from 'vitest';
import { tapRates } from './taps';

describe('a rate by taps', () => {
  // 5,000 lbf every 10 s on a 4 × 8 is 39.8 psi/s, on a 6 × 12 17.7 (common practice, no source).
  it.each([
    [4, 39.8],
    [6, 17.7],
  ])('one 5,000 lbf mark every ten seconds on %s in', (diameter, stress) => {
    const { mean } = tapRates([0, 10, 20, 30], 5000);
    expect((mean ?? 0) / ((Math.PI * diameter ** 2) / 4)).toBeCloseTo(stress, 1);
  });
  it('says each interval, and the whole only from three taps on', () => {
    expect(tapRates([3, 8], 4000)).toEqual({ each: [800], mean: null });
    expect(tapRates([3, 8, 18], 4000)).toEqual({ each: [800, 400], mean: 8000 / 15 });
    expect(tapRates([], 4000)).toEqual({ each: [], mean: null });
    expect(tapRates([5, 5, 5], 4000)).toEqual({ each: [], mean: null });
  });
});
