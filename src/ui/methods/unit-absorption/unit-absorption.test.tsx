// @vitest-environment jsdom
import { cleanup, render, screen } from '@testing-library/react';
import { afterEach, describe, expect, it } from 'vitest';
import { usableInput } from '@/core/methods';
import type { Facts } from '@/core/methods/facts';
import { unitAbsorption } from '@/core/methods/unit-absorption';
import { UnitAbsorptionBench } from './Bench';

afterEach(cleanup);

const bench = (typed: Record<string, unknown>, facts: Facts = {}) => {
  const { input } = usableInput(unitAbsorption as never, { system: 'US', piece: 'full', ...typed });
  return <UnitAbsorptionBench picture={unitAbsorption.compute(input as never, { facts }).picture} />;
};
const SIZES = { width1: '7.62', width2: '7.62', length1: '15.62', length2: '15.62' };

describe('the unit from above', () => {
  it('has as many cells as its webs leave, drawn to scale', () => {
    const webs = ['1.0', '1.0', '1.0', '1.0'].map((thickness) => ({ thickness, height: '7.6' }));
    const { container } = render(bench({ ...SIZES, shell1: '1.25', shell2: '1.25', webs }));
    // The outline, and three cells between four webs.
    const [outline, ...cells] = [...container.querySelectorAll('rect')];
    expect(cells).toHaveLength(3);
    const ratio = Number(outline?.getAttribute('width')) / Number(outline?.getAttribute('height'));
    expect(ratio).toBeCloseTo(15.62 / 7.62, 6);
    expect(screen.getByText('15.62 × 7.62 in')).toBeDefined();
  });
  it('is solid where neither shells nor webs were measured', () => {
    const { container } = render(bench(SIZES));
    expect(container.querySelectorAll('rect')).toHaveLength(1);
  });
  it('says which masses are there and which are to come', () => {
    render(bench(SIZES, { receivedMass: '33.46 lb', immersed: '17.28 lb' }));
    expect(screen.getByText('✓ As received')).toBeDefined();
    expect(screen.getByText('17.28 lb')).toBeDefined();
    expect(screen.getByText('Oven-dry')).toBeDefined();
    expect(screen.getAllByText('to come')).toHaveLength(2);
  });
});
