import { linearRegression, linearRegressionLine, rSquared } from 'simple-statistics';
import { describe, expect, it } from 'vitest';
import { fitLine } from './line';
import { studentT } from './student';

describe('a line through points', () => {
  const points = [3, 7, 11, 14, 20].map((x, place) => ({ x, y: [8.1, 15.7, 25.2, 29.8, 43.9][place] ?? 0 }));
  it('is that of another library', () => {
    const pairs = points.map(({ x, y }) => [x, y]);
    const other = linearRegression(pairs);
    const line = fitLine(points);
    expect(line?.slope).toBeCloseTo(other.m, 10);
    expect(line?.intercept).toBeCloseTo(other.b, 10);
    expect(line?.r2).toBeCloseTo(rSquared(pairs, linearRegressionLine(other)), 10);
  });
  it('is none through one point, or through points above one another', () => {
    expect(fitLine([{ x: 1, y: 1 }])).toBeUndefined();
    expect(
      fitLine([
        { x: 1, y: 1 },
        { x: 1, y: 5 },
      ]),
    ).toBeUndefined();
  });
  it('lies on points that are on a line, with nothing left over', () => {
    const line = fitLine([0, 1, 2, 5].map((x) => ({ x, y: 3 - 2 * x })));
    expect(line?.slope).toBeCloseTo(-2, 12);
    expect(line?.residual).toBeCloseTo(0, 6);
    expect(line?.r2).toBeCloseTo(1, 12);
  });
});

// Source: Student's t, two-sided 95 %, as every printed table has it (from memory).
it.each([
  [4, 2.776],
  [5, 2.571],
  [6, 2.447],
  [9, 2.262],
  [11, 2.201],
  [19, 2.093],
])('Student’s t with %i degrees of freedom is %d', (freedom, value) => {
  expect(studentT(0.975, freedom)).toBeCloseTo(value, 3);
});

it('has no Student’s t outside a share of 0 to 1', () => {
  expect(() => studentT(1, 5)).toThrow(RangeError);
  expect(() => studentT(0.9, 0)).toThrow(RangeError);
});
