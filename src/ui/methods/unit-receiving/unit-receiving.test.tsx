// @vitest-environment jsdom
import { cleanup, render, screen, within } from '@testing-library/react';
import { afterEach, describe, expect, it } from 'vitest';
import { usableInput } from '@/core/methods';
import { unitReceiving } from '@/core/methods/unit-receiving';
import { UnitReceivingBench } from './Bench';

afterEach(cleanup);

const bench = (system: 'US' | 'SI', ...read: readonly (readonly [label: string, mass: string])[]) => {
  const { input } = usableInput(unitReceiving as never, {
    system,
    units: read.map(([specimen, mass]) => ({ specimen, mass, at: '2031-05-19T09:00:00Z' })),
  });
  const batch = { label: 'RU-1', seed: 1, specimens: ['U1', 'U2', 'U3'].map((label) => ({ label })) };
  return <UnitReceivingBench picture={unitReceiving.compute(input as never, { batch }).picture} />;
};
const massOf = (label: string): string =>
  within(screen.getByRole('row', { name: new RegExp(label, 'u') }))
    .getAllByRole('cell')
    .at(-1)?.textContent ?? '';

describe('the masses as received', () => {
  it('stand each with its unit, those that are not weighed with the word', () => {
    render(bench('US', ['U1', '33.4'], ['U2', '33']));
    expect(['U1', 'U2', 'U3'].map(massOf)).toEqual(['33.40 lb', '33.00 lb', 'not weighed']);
    expect(screen.getByText(/^About the mean of 33\.20 lb/u)).toBeDefined();
  });
  it('lie on either side of their mean', () => {
    const { container } = render(bench('US', ['U1', '33'], ['U2', '34']));
    const [light, heavy] = [...container.querySelectorAll('rect')].map((bar) => ({
      from: Number(bar.getAttribute('x')),
      wide: Number(bar.getAttribute('width')),
    }));
    expect((light?.from ?? 0) + (light?.wide ?? 0)).toBeCloseTo(heavy?.from ?? Number.NaN, 6);
    expect(light?.wide).toBeCloseTo(heavy?.wide ?? Number.NaN, 6);
  });
  it('say before the first that the mark belongs on the unit itself', () => {
    render(bench('SI'));
    expect(screen.getByText(/paper does not live through tank and oven/u)).toBeDefined();
    expect(massOf('U1')).toBe('not weighed');
  });
});
