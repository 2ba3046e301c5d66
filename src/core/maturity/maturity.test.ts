import { linearRegression } from 'simple-statistics';
import { describe, expect, it } from 'vitest';
import { INDEX, PAIRS } from '@/testing/calibration';
import {
  bestCurve,
  CURVES,
  type CurveId,
  cementSpeed,
  coolingConstant,
  decisionAt,
  errorAt,
  fitCurve,
  hoursUntil,
  indexFor,
  isCredible,
  lowerAt,
  projected,
  rateConstant,
  type StrengthCurve,
  strengthAt,
  strengthBy,
} from '.';

const POINTS = INDEX.flatMap((index, age) => PAIRS[age]?.map((strength) => ({ index, strength })) ?? []);
const fitted = (id: CurveId): StrengthCurve => {
  const curve = fitCurve(id, POINTS);
  if (!curve) throw new Error('no curve');
  return curve;
};
const CAUTION = { confidence: 0.9, allowance: 0.9 };

describe('a strength curve', () => {
  it('hyperbolic: parameters, their errors, scatter and strengths', () => {
    const curve = fitted('hyperbolic');
    const [su = 0, k = 0, m0 = 0] = curve.parameters;
    expect(su).toBeCloseTo(5370.5, 0);
    expect(k * 1e4).toBeCloseTo(4.6418, 3);
    expect(m0).toBeCloseTo(-47.8, 0);
    expect(curve.errors[0]).toBeCloseTo(82.7, 0);
    expect((curve.errors[1] ?? 0) * 1e4).toBeCloseTo(0.326, 2);
    expect(curve.errors[2]).toBeCloseTo(54.5, 0);
    expect(curve.scatter).toBeCloseTo(67.1, 1);
    expect(curve.freedom).toBe(7);
    expect(INDEX.map((index) => Math.round(strengthAt(curve, index)))).toEqual([
      1224, 2399, 3478, 4211, 4718,
    ]);
  });

  it('exponential', () => {
    const curve = fitted('exponential');
    const [su = 0, tau = 0, alpha = 0] = curve.parameters;
    expect(su).toBeCloseTo(6423.6, -1);
    expect(tau).toBeCloseTo(1573.9, -1);
    expect(alpha).toBeCloseTo(0.5243, 3);
    expect(curve.scatter).toBeCloseTo(61.2, 1);
    expect(INDEX.map((index) => Math.round(strengthAt(curve, index)))).toEqual([
      1202, 2453, 3454, 4167, 4753,
    ]);
  });

  it('logarithmic, as another library fits the line', () => {
    const curve = fitted('logarithmic');
    const { m, b } = linearRegression(POINTS.map(({ index, strength }) => [Math.log10(index), strength]));
    expect(curve.parameters[0]).toBeCloseTo(b, 6);
    expect(curve.parameters[1]).toBeCloseTo(m, 6);
    expect([b, m]).toEqual([expect.closeTo(-5723.5, 0), expect.closeTo(2526.5, 0)]);
    expect(curve.scatter).toBeCloseTo(109.8, 1);
  });

  it.each(CURVES)('%s: no parameter can be moved without leaving the breaks farther off', (id) => {
    const curve = fitted(id);
    const off = (p: readonly number[]) =>
      POINTS.reduce((sum, { index, strength }) => sum + (strength - strengthBy(id, p, index)) ** 2, 0);
    const least = off(curve.parameters);
    for (const [place, own] of curve.parameters.entries())
      for (const step of [-0.01, 0.01]) {
        const moved = curve.parameters.with(place, own + step * (curve.errors[place] ?? 0));
        expect(off(moved)).toBeGreaterThan(least);
      }
  });

  it('finds again what it was made from', () => {
    for (const [id, p] of [
      ['hyperbolic', [42, 0.0007, 120]],
      ['exponential', [55, 1300, 0.7]],
      ['logarithmic', [-40, 18]],
    ] as const) {
      const curve = fitCurve(
        id,
        [400, 900, 2200, 5000, 11_000, 16_000].map((index) => ({
          index,
          strength: strengthBy(id, p, index),
        })),
      );
      for (const [place, own] of p.entries()) expect(curve?.parameters[place]).toBeCloseTo(own, 3);
      expect(curve?.scatter).toBeCloseTo(0, 4);
    }
  });

  it('takes five ages at the least', () => {
    expect(fitCurve('hyperbolic', POINTS.slice(0, 8))).toBeUndefined();
    expect(fitCurve('logarithmic', [])).toBeUndefined();
  });

  it('the one that goes nearest of those that are credible', () => {
    expect(bestCurve(CURVES.map(fitted))?.id).toBe('exponential');
    const wild = { ...fitted('exponential'), parameters: [40_000, 1e6, 0.3] };
    expect(isCredible(wild)).toBe(false);
    expect(bestCurve([wild, fitted('hyperbolic')])?.id).toBe('hyperbolic');
    expect(bestCurve([wild, { ...fitted('logarithmic'), parameters: [9000, -10] }])?.id).toBe('logarithmic');
  });
});

describe('what may be counted on', () => {
  it.each([
    ['hyperbolic', 3146.5, 35, 3097, 2787],
    ['logarithmic', 3061.4, 34.9, 3013, 2711],
  ] as const)('%s at 3,000 °C·h: the lower edge, less a tenth', (id, best, error, lower, decision) => {
    const curve = fitted(id);
    expect(strengthAt(curve, 3000)).toBeCloseTo(best, 0);
    expect(errorAt(curve, 3000)).toBeCloseTo(error, 1);
    expect(Math.abs(lowerAt(curve, 3000, 0.9) - lower)).toBeLessThan(1);
    expect(Math.abs(decisionAt(curve, 3000, CAUTION) - decision)).toBeLessThan(1);
  });

  it('the index from which 3,000 psi may be counted on', () => {
    expect(indexFor(fitted('hyperbolic'), 3000, CAUTION)).toBeCloseTo(3611, -1);
    expect(indexFor(fitted('logarithmic'), 3000, CAUTION)).toBeCloseTo(4019, -1);
    // By the best line alone it would be 900 °C·h less: the way to take forms off too early.
    expect(strengthAt(fitted('hyperbolic'), 2679)).toBeCloseTo(3000, -1);
  });

  it('more than the calibration reaches is not known', () => {
    expect(indexFor(fitted('hyperbolic'), 4800, CAUTION)).toBeUndefined();
    expect(indexFor(fitted('hyperbolic'), 100, CAUTION)).toBe(588);
  });
});

describe('what a cement needs', () => {
  it('datum, activation energy: from rates at three temperatures', () => {
    const found = cementSpeed([
      { celsius: 8, k: 0.16 },
      { celsius: 23, k: 0.38 },
      { celsius: 38, k: 0.7 },
    ]);
    expect(found?.datum).toBeCloseTo(0.04, 1);
    expect(found?.slope).toBeCloseTo(0.018, 6);
    expect(found?.q).toBeCloseTo(4312.6, 0);
    expect((found?.activation ?? 0) / 1000).toBeCloseTo(35.9, 1);
  });

  it('a rate is found again from strengths over age', () => {
    const breaks = [0.5, 1, 2, 4, 8, 16].map((days) => ({
      days,
      strength: (40 * 0.35 * (days - 0.2)) / (1 + 0.35 * (days - 0.2)),
    }));
    expect(rateConstant(breaks)).toBeCloseTo(0.35, 4);
  });

  it('two temperatures, or rates that fall, say nothing', () => {
    expect(
      cementSpeed([
        { celsius: 8, k: 0.16 },
        { celsius: 23, k: 0.38 },
      ]),
    ).toBeUndefined();
    expect(
      cementSpeed([
        { celsius: 8, k: 0.5 },
        { celsius: 23, k: 0.4 },
        { celsius: 38, k: 0.3 },
      ]),
    ).toBeUndefined();
  });
});

describe('when it will be reached', () => {
  const how = { kind: 'nurse-saul', datum: 0 } as const;
  it.each([
    [15, 44.1],
    [10, 66.1],
    [20, 33.05],
  ])('661 °C·h at %d °C', (celsius, hours) => {
    expect(hoursUntil(how, 3611 - 2950, { now: celsius, air: [celsius], constant: null })).toBeCloseTo(
      hours,
      1,
    );
  });

  it('warm concrete in cold air: sooner than by the air alone, later than if it stayed warm', () => {
    const air = [4];
    const cooling = hoursUntil(how, 400, { now: 24, air, constant: 20 }) ?? 0;
    expect(cooling).toBeGreaterThan(400 / 24);
    expect(cooling).toBeLessThan(400 / 4);
  });

  it('not at all in frost; at once where nothing is missing', () => {
    expect(hoursUntil(how, 100, { now: -2, air: [-5], constant: null })).toBeNull();
    expect(hoursUntil(how, 0, { now: -2, air: [-5], constant: null })).toBe(0);
  });

  it('how fast a member cools is told by its last half day', () => {
    const hours = Array.from({ length: 49 }, (_, row) => row / 2);
    const celsius = hours.map((at) => 5 + 20 * Math.exp(-at / 30));
    expect(coolingConstant({ hours, celsius, gaps: [] }, 5)).toBeCloseTo(30, 3);
    expect(coolingConstant({ hours, celsius: hours.map((at) => 10 + at), gaps: [] }, 5)).toBeNull();
    expect(coolingConstant({ hours, celsius: hours.map(() => 5.2), gaps: [] }, 5)).toBeNull();
  });

  it('a later strength from an early one by the slope of the mix', () => {
    expect(projected({ strength: 3350, index: 3912 }, 2423, 15_516)).toBeCloseTo(4799.9, 0);
  });
});
