// @vitest-environment jsdom
import { cleanup, render, screen, within } from '@testing-library/react';
import { afterEach, describe, expect, it, vi } from 'vitest';
import { Limits } from '@/core/limits';
import { type EarlyBreak, gainOf } from '@/core/strength-gain';
import { StrengthGain } from './StrengthGain';

vi.mock('../charts/Line', () => ({
  Line: (props: { 'aria-label': string }) => <div role="img" {...{ 'aria-label': props['aria-label'] }} />,
}));
afterEach(cleanup);

const row = (label: string, early: string, value: string | null): EarlyBreak => ({
  label,
  sampleId: label,
  early: { ageHours: 168, text: early },
  value,
  state: value === null ? 'pending' : 'tested',
});
const broken = (count: number) =>
  Array.from({ length: count }, (_, place) =>
    row(
      `S${place}`,
      (3000 + 40 * place).toLocaleString('en-US'),
      String(4300 + 45 * place + 30 * (place % 3)),
    ),
  );
function shown(rows: readonly EarlyBreak[]): void {
  const gain = gainOf(rows, 4400, 'psi', new Limits());
  if (!gain) throw new Error('nothing was broken early');
  render(<StrengthGain gain={gain} unit="psi" asked={4400} />);
}
const cells = (label: string) =>
  within(screen.getByRole('row', { name: new RegExp(`^${label}`, 'u') }))
    .getAllByRole('cell')
    .map(({ textContent }) => textContent);

describe('what early breaks say', () => {
  it('by the pairs of the mix: the doubtful one first, its chance never told as certain', () => {
    shown([...broken(12), row('GOOD', '3,420', null), row('LOW', '2,950', null)]);
    const [, first] = screen.getAllByRole('row');
    expect(first?.textContent).toContain('LOW');
    expect(cells('LOW').at(-1)).toContain('outside of the pairs');
    expect(cells('GOOD').at(-1)).toBe('over 99 %');
    expect(screen.getByText(/look at the first day in the box/u)).toBeDefined();
    expect(screen.getByRole('img', { name: '28 days over 7 days: 12 pairs of this mix' })).toBeDefined();
    expect(screen.getByText(/few, so look at it with care/u)).toBeDefined();
  });
  it('by usual shares where there are too few, said to be not from this mix', () => {
    shown([...broken(4), row('NEW', '3,500', null)]);
    expect(
      screen.getByText(/too few for a line of its own: by usual shares, not from this mix/u),
    ).toBeDefined();
    expect(cells('NEW')).toEqual(['NEW', '3,500', '5,000', '4,270 to 5,830', 'not known']);
    expect(screen.queryByRole('img')).toBeNull();
  });
  it('beside the handbooks, for a first idea', () => {
    shown([...broken(12), row('GOOD', '3,420', null)]);
    expect(screen.getByText(/cement type i, moist cured 70 %.*This mix so far: \d\d %/u)).toBeDefined();
  });
});
