import fc from 'fast-check';
import { describe, expect, it } from 'vitest';
import { type Corner, countsOf, GRID, onPicture } from './count-grid';

const share = fc.double({ min: 0, max: 1, noNaN: true });

describe('the grid over a face', () => {
  it('has 150 points in the upper and in the lower third, none of them between', () => {
    expect(GRID).toHaveLength(300);
    for (const { third, x, y } of GRID) {
      expect(x).toBeGreaterThan(0);
      expect(x).toBeLessThan(1);
      if (third === 'top') expect(y).toBeLessThan(1 / 3);
      else expect(y).toBeGreaterThan(2 / 3);
    }
    expect(new Set(GRID.map(({ id }) => id)).size).toBe(300);
  });
  it('lies on the corners of the face, and inside of them, however the picture was taken', () => {
    const square = (from: number, to: number): [Corner, Corner, Corner, Corner] => [
      { x: from, y: from },
      { x: to, y: from },
      { x: to, y: to },
      { x: from, y: to },
    ];
    expect(onPicture({ x: 0.5, y: 0.25 }, square(0.2, 0.8))).toEqual({ x: 0.5, y: expect.closeTo(0.35, 12) });
    const aslant: [Corner, Corner, Corner, Corner] = [
      { x: 0.1, y: 0.05 },
      { x: 0.9, y: 0.15 },
      { x: 0.85, y: 0.95 },
      { x: 0.05, y: 0.9 },
    ];
    const at = [
      { x: 0, y: 0 },
      { x: 1, y: 0 },
      { x: 1, y: 1 },
      { x: 0, y: 1 },
    ];
    at.forEach((corner, place) => {
      expect(onPicture(corner, aslant).x).toBeCloseTo(aslant[place]?.x ?? 0, 12);
      expect(onPicture(corner, aslant).y).toBeCloseTo(aslant[place]?.y ?? 0, 12);
    });
    fc.assert(
      fc.property(share, share, (x, y) => {
        const point = onPicture({ x, y }, aslant);
        expect(point.x).toBeGreaterThanOrEqual(0.05 - 1e-9);
        expect(point.x).toBeLessThanOrEqual(0.9 + 1e-9);
      }),
    );
  });
  it('counts stone, and leaves out of both what shows nothing', () => {
    const counts = countsOf(new Set(['top0', 'top1', 'bottom7']), new Set(['top2', 'top1']));
    expect(counts).toEqual({ top: { stone: 1, all: 148 }, bottom: { stone: 1, all: 150 } });
  });
});
