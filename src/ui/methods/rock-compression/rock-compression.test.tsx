// @vitest-environment jsdom
import { cleanup, render, screen } from '@testing-library/react';
import { afterEach, describe, expect, it } from 'vitest';
import { usableInput } from '@/core/methods';
import { rockCompression } from '@/core/methods/rock-compression';
import { failurePath } from '../../drawings/failure-path';
import { RockCoreBench } from './Bench';

afterEach(cleanup);

/** The bench of a core of 2 in by 4.4 in with these heights along one diameter, 0.0001 in at every half inch. */
function bench(heights: readonly number[], over: object = {}) {
  const read = {
    ...Object.fromEntries(['top1', 'middle1', 'bottom1'].map((name) => [name, '2.000'])),
    length1: '4.40',
    endReadings: heights.map((y, place) => ({
      ...{ id: `a${place}`, along: '1A', x: String(place / 2) },
      y: String(y / 10_000),
    })),
    ...over,
  };
  const { input } = usableInput(rockCompression, { system: 'US', ...read });
  render(<RockCoreBench picture={rockCompression.compute(input, {}).picture} />);
}
const checks = (): (string | null)[] => screen.getAllByRole('listitem').map(({ textContent }) => textContent);

describe('the bench of a core of rock', () => {
  it('says what its ends are like, each check by word', () => {
    bench([0, 5, 10, 15, 20]);
    expect(
      screen.getByRole('img', { name: 'End 1, A: 5 readings, all within 0.001 in of their line' }),
    ).toBeDefined();
    expect(checks()).toEqual(['✓ Flat: 0.0000 in', '✓ Square: 0.00100 of the diameter']);
  });
  it('shows the points that lie off their line', () => {
    bench([0, 0, 30, 0, 0]);
    expect(screen.getByRole('img', { name: /4 within 0\.001 in/u })).toBeDefined();
    expect(screen.getByText('✕ 1 outside')).toBeDefined();
    expect(checks()[0]).toBe('✕ Flat: 0.0024 in');
  });
  it('stands empty until an end is read, and in its own proportions once it is measured', () => {
    bench([]);
    expect(screen.getByText(/Its ends stand here/u)).toBeDefined();
    expect(
      screen.getByRole('img', { name: /2\.00 by 4\.40 in, 2\.20 times as long as wide/u }),
    ).toBeDefined();
  });
  it('draws how it failed over it', () => {
    bench([], { failure: 'shear', failureAngle: '26' });
    const core = screen.getByRole('img', { name: /Core between/u });
    expect(core.querySelectorAll('path')).toHaveLength(1);
  });
});

describe('a crack over a core', () => {
  const box = { left: 0, top: 0, wide: 50, high: 110 };
  it('of one plane leans as it was measured, and leaves by the sides', () => {
    // 50 wide at 45° rises 50.
    expect(failurePath('shear', box, 45)).toBe('M0.0 80.0L50.0 30.0');
    // Steeper than the core is slender: from end to end.
    expect(failurePath('shear', box, 10)).toBe('M0.0 110.0L50.0 0.0');
    expect(failurePath('shear', box, 0)).not.toContain('NaN');
  });
  it('is there for every way of failing but handling', () => {
    for (const way of ['splitting', 'shear', 'cone', 'multiple', 'fabric', 'joint', 'spall'])
      expect(failurePath(way, box)).toMatch(/^M[\d. LM-]+$/u);
    expect(failurePath('handling', box)).toBeNull();
  });
});
