import fc from 'fast-check';
import { describe, expect, it } from 'vitest';
import { Limits } from '../limits';
import { exact } from '../quantity';
import { boreTolerance, shortTolerance, sidesTolerance, wallTolerance } from './sizes';

const limits = new Limits();
const bore = (inches: number): number => boreTolerance(exact(inches), limits, 'US').toNumber();
const sides = (inches: number): number => sidesTolerance(exact(inches), limits, 'US').toNumber();

// ASTM C76 (from memory); the percentages between by a straight line, products by hand.
describe('how far a pipe may be off its sizes', () => {
  it.each([
    [8, 0.16],
    [12, 0.24],
    [15, 0.281_25],
    [18, 0.315],
    [24, 0.36],
    // Above 24 in 1 %, but never less than 3/8 in.
    [30, 0.375],
    [36, 0.375],
    [48, 0.48],
    [96, 0.96],
  ])('inside diameter of %d in: %d in', (inches, off) => {
    expect(bore(inches)).toBeCloseTo(off, 9);
  });
  it.each([
    [2, 0.1875],
    [3, 0.1875],
    [4, 0.2],
    [5, 0.25],
    [6, 0.3],
  ])('wall of %d in thinner: %d in', (wall, off) => {
    expect(wallTolerance(exact(wall), limits, 'US').toNumber()).toBeCloseTo(off, 9);
  });
  it.each([
    [12, 0.25],
    [24, 0.25],
    [42, 0.4375],
    [60, 0.625],
    [84, 0.625],
    [90, 0.75],
    [120, 0.75],
  ])('opposite sides of %d in apart: %d in', (inches, off) => {
    expect(sides(inches)).toBeCloseTo(off, 9);
  });
  it.each([
    [2, 0.25],
    [4, 0.5],
    [8, 0.5],
  ])('%d ft shorter: %d in', (feet, off) => {
    expect(shortTolerance(exact(feet), limits, 'US').toNumber()).toBeCloseTo(off, 9);
  });
  it('of a larger pipe is never less, in its parts', () => {
    fc.assert(
      fc.property(fc.integer({ min: 25, max: 140 }), fc.integer({ min: 0, max: 40 }), (inches, more) => {
        expect(bore(inches + more)).toBeGreaterThanOrEqual(bore(inches));
        expect(sides(inches + more)).toBeGreaterThanOrEqual(sides(inches));
      }),
    );
  });
  it('in SI is about the same pipe', () => {
    for (const [inches, mm] of [
      [12, 300],
      [24, 600],
      [48, 1200],
    ] as const) {
      const si = boreTolerance(exact(mm), limits, 'SI').toNumber() / 25.4;
      expect(Math.abs(si - bore(inches))).toBeLessThan(0.02);
    }
  });
});
