import { describe, expect, it } from 'vitest';
import { curvePaths } from './curve-path';

const points = [
  [0, 0],
  [2, 0],
  [3, 10],
  [12, 100],
  [13, 40],
] as const;

describe('load curves drawn into a box', () => {
  it('begin a second before their contact, and fill the box', () => {
    const { paths, seconds, load } = curvePaths([{ points, startAt: 2 }], 120, 50);
    // From second 1 of the log, which has no point, on: contact at 1, peak at 11, the end at 12.
    expect([seconds, load]).toEqual([12, 100]);
    expect(paths).toEqual(['M10.0 50.0L20.0 45.0L110.0 0.0L120.0 30.0']);
  });
  it('stand on one scale, however long and high each is', () => {
    const small = points.map(([t, load]) => [t, load / 2] as const);
    const { paths } = curvePaths(
      [
        { points, startAt: 2 },
        { points: small, startAt: 2 },
      ],
      120,
      50,
    );
    expect(paths[1]).toBe('M10.0 50.0L20.0 47.5L110.0 25.0L120.0 40.0');
  });
  it('do not fall out of the box where the indicator stood below zero', () => {
    const { paths } = curvePaths([{ points: [[0, -5], ...points.slice(1)], startAt: 0 }], 120, 50);
    expect(paths[0]?.startsWith('M9')).toBe(false);
    expect(paths[0]).toContain(' 50.0');
    expect(paths[0]).not.toMatch(/ 5[1-9]/u);
  });
  it('are none where none is, and an empty one draws nothing', () => {
    expect(curvePaths([], 100, 50)).toEqual({ paths: [], seconds: 1, load: 1 });
    expect(curvePaths([{ points: [], startAt: 0 }], 100, 50).paths).toEqual(['']);
  });
});
