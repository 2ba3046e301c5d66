// @vitest-environment jsdom
import { cleanup, render, screen } from '@testing-library/react';
import { afterEach, expect, it } from 'vitest';
import { usableInput } from '@/core/methods';
import type { Facts } from '@/core/methods/facts';
import { unitCompression } from '@/core/methods/unit-compression';
import { MasonryInPress } from '../masonry-press/InPress';

afterEach(cleanup);

const bench = (typed: Record<string, unknown>, facts: Facts) => {
  const { input } = usableInput(unitCompression as never, { system: 'US', ...typed });
  return <MasonryInPress picture={unitCompression.compute(input as never, { facts }).picture} />;
};
const SIZES = { width: '7.625 in', height: '7.625 in', length: '15.625 in', product: 'c90' };

it('says that the area is not settled, and draws the rates that break it in time', () => {
  render(bench({}, { ...SIZES, areaUnits: ['U4'] }));
  expect(screen.getByText(/^Not settled: the area is estimated/u)).toBeDefined();
  expect(screen.getByRole('img', { name: /inside the wedge/u }).textContent).toContain('required');
  expect(screen.getByRole('img', { name: 'The unit between the platens' })).toBeDefined();
});

it('has a net area, and the load it broke at, when both are known', () => {
  render(bench({ maximumLoad: '170,300' }, { ...SIZES, netAreas: ['65.2'], areaUnits: ['U4'] }));
  expect(screen.getByText('65.2 in²')).toBeDefined();
  expect(screen.queryByText(/Not settled/u)).toBeNull();
  expect(screen.getByRole('img', { name: /inside the wedge/u }).textContent).toContain('broke 170k');
  expect(screen.getByRole('img', { name: 'The unit after the test' })).toBeDefined();
});

it('draws no wedge before a size is known', () => {
  render(bench({}, { product: 'c90' }));
  expect(screen.queryByRole('img', { name: /wedge/u })).toBeNull();
});

it('of another school stands on its gross area, without the wedge of ASTM', () => {
  const sizes = { width1: '7.62', width2: '7.62', length1: '15.62', length2: '15.62' };
  render(bench(sizes, { ...SIZES, product: 'is2185', declared: '5 MPa' }));
  expect(screen.getByText(/Gross area/u).textContent).toBe('Gross area: 119.0 in²');
  expect(screen.queryByText(/Not settled/u)).toBeNull();
  expect(screen.queryByRole('img', { name: /wedge/u })).toBeNull();
});
