import fc from 'fast-check';
import { levenbergMarquardt } from 'ml-levenberg-marquardt';
import { linearRegression } from 'simple-statistics';
import { describe, expect, it } from 'vitest';
import { relationOf, type StrengthPair } from '.';

const pair = (compression: number, flexure: number): StrengthPair => ({ label: '', compression, flexure });
/** Pairs along a curve, each a little beside it, by turns. */
const along = (k: number, n: number, off: number, count = 12): StrengthPair[] =>
  Array.from({ length: count }, (_, place) => {
    const f = 3000 + 210 * place;
    return pair(f, k * f ** n * (1 + off * ([1, -1, 0.4, -0.6, 0.2][place % 5] ?? 0)));
  });

describe('flexure by compression', () => {
  it('finds the curve that pairs lie on', () => {
    const relation = relationOf(along(9.1, 0.49, 0), 10);
    expect(relation?.k).toBeCloseTo(9.1, 6);
    expect(relation?.n).toBeCloseTo(0.49, 9);
    expect(relation?.r2).toBeCloseTo(1, 9);
    expect(relation?.at(4000).expected).toBeCloseTo(9.1 * 4000 ** 0.49, 4);
    expect(relation?.at(4000).high).toBeCloseTo(9.1 * 4000 ** 0.49, 4);
  });
  // ACI 330R: 2.3 f'c^(2/3) in psi, ACI 318: 7.5 √f'c (both from memory).
  it.each([
    [2.3, 2 / 3, 4000, 580],
    [7.5, 0.5, 4000, 474],
    [7.5, 0.5, 5000, 530],
  ])('of %d f^%d at %d psi is %d psi', (k, n, f, R) => {
    expect(relationOf(along(k, n, 0), 10)?.at(f).expected).toBeCloseTo(R, -0.5);
  });
  it('is the line of another library through the logarithms', () => {
    const pairs = along(8, 0.52, 0.06);
    const reference = linearRegression(
      pairs.map(({ compression, flexure }) => [Math.log(compression), Math.log(flexure)]),
    );
    const relation = relationOf(pairs, 10);
    expect(relation?.n).toBeCloseTo(reference.m, 10);
    expect(Math.log(relation?.k ?? 0)).toBeCloseTo(reference.b, 10);
    // A fit of the curve itself weighs high strengths more: the two agree in the middle to a percent.
    const fitted = levenbergMarquardt(
      { x: pairs.map(({ compression }) => compression), y: pairs.map(({ flexure }) => flexure) },
      ([k = 0, n = 0]) =>
        (x) =>
          k * x ** n,
      { initialValues: [8, 0.5], damping: 1e-2, maxIterations: 200, gradientDifference: 1e-6 },
    );
    const [k = 0, n = 0] = fitted.parameterValues;
    expect((relation?.at(4200).expected ?? 0) / (k * 4200 ** n)).toBeCloseTo(1, 2);
  });
  it('is the same concrete in another unit', () => {
    const psi = relationOf(along(8, 0.52, 0.06), 10);
    const MPA = 145.0377;
    const mpa = relationOf(
      along(8, 0.52, 0.06).map(({ compression, flexure }) => pair(compression / MPA, flexure / MPA)),
      10,
    );
    expect((mpa?.at(30).expected ?? 0) * MPA).toBeCloseTo(psi?.at(30 * MPA).expected ?? 0, 6);
    expect((mpa?.at(30).low ?? 0) * MPA).toBeCloseTo(psi?.at(30 * MPA).low ?? 0, 6);
    expect(mpa?.n).toBeCloseTo(psi?.n ?? 0, 9);
  });
  it('has nine in ten of its own kind of tests between its ends, and is wider outside', () => {
    fc.assert(
      fc.property(fc.double({ min: 0.01, max: 0.12, noNaN: true }), (off) => {
        const pairs = along(9, 0.5, off, 30);
        const relation = relationOf(pairs, 10);
        const inside = pairs.filter(({ compression, flexure }) => {
          const { low = 0, high = 0 } = relation?.at(compression) ?? {};
          return flexure >= low && flexure <= high;
        });
        expect(inside.length / pairs.length).toBeGreaterThanOrEqual(0.8);
        const width = (f: number): number => {
          const { low = 0, high = 1, expected = 1 } = relation?.at(f) ?? {};
          return (high - low) / expected;
        };
        expect(width(1500)).toBeGreaterThan(width(6000));
      }),
      { numRuns: 40 },
    );
  });
  it('is not made of too few, of one strength, or of what is no strength', () => {
    expect(relationOf(along(9, 0.5, 0.02, 9), 10)).toBeUndefined();
    expect(relationOf(along(9, 0.5, 0.02, 2), 1)).toBeUndefined();
    expect(
      relationOf(
        Array.from({ length: 12 }, (_, place) => pair(4000, 600 + place)),
        10,
      ),
    ).toBeUndefined();
    expect(relationOf([...along(9, 0.5, 0.02, 9), pair(0, 600), pair(4000, Number.NaN)], 10)).toBeUndefined();
    const relation = relationOf([...along(9, 0.5, 0.02, 11), pair(-5, 600)], 10);
    expect([relation?.pairs, relation?.from, relation?.to]).toEqual([11, 3000, 5100]);
  });
});
