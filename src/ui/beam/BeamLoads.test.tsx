// @vitest-environment jsdom
import { cleanup, fireEvent, render, screen, within } from '@testing-library/react';
import { afterEach, beforeEach, describe, expect, it } from 'vitest';
import { BeamLoads } from './BeamLoads';

beforeEach(() => window.history.replaceState(null, '', '/gear/beam-loads'));
afterEach(cleanup);

const open = (given: Readonly<Record<string, string>> = {}) => render(<BeamLoads given={given} />);
const field = (container: HTMLElement, name: string): HTMLInputElement =>
  container.querySelector(`[data-field=${name}]`) as HTMLInputElement;
const type = (container: HTMLElement, name: string, text: string): void => {
  fireEvent.change(field(container, name), { target: { value: text } });
};
const rowOf = (title: string): string[] =>
  within(screen.getByText(title, { selector: 'td' }).closest('tr') as HTMLElement)
    .getAllByRole('cell')
    .map((cell) => cell.textContent ?? '');

// Statics of a simple beam, worked by hand: PL/6, PL/4, PL/8; stress 6M/bd².
describe('loads on a beam', () => {
  it('at the third points bend it by PL/6, and every other way stands beside', () => {
    const { container } = open({ force: '6000', span: '18', width: '6', depth: '6' });
    expect(screen.getByRole('status').textContent).toMatch(/^500 psi, .* in down$/u);
    expect(rowOf('Two rollers at the third points')).toEqual([
      'Two rollers at the third points',
      '18,000 lbf·in',
      '500 psi',
      '6,000 lbf',
    ]);
    // In the middle a load bends half as much again: 4,000 lbf bend as much as 6,000 at the third points.
    expect(rowOf('One roller in the middle').slice(1)).toEqual(['27,000 lbf·in', '750 psi', '4,000 lbf']);
    expect(rowOf('Spread over the whole span').slice(1)).toEqual(['13,500 lbf·in', '375 psi', '8,000 lbf']);
    type(container, 'force', '12000');
    expect(screen.getByRole('status').textContent).toMatch(/^1,000 psi/u);
  });
  it('are drawn with their largest moment and shear', () => {
    open({ force: '6000', span: '18', width: '6', depth: '6' });
    expect(
      screen.getByRole('img', {
        name: 'Two rollers at the third points: M 18,000 lbf·in, V 3,000 lbf',
      }),
    ).toBeDefined();
  });
  it('stand in the address, so that a question can be passed on', () => {
    const { container } = open();
    type(container, 'span', '24');
    const said = new URLSearchParams(window.location.search);
    expect(said.get('span')).toBe('24');
    expect(said.get('system')).toBe('US');
    cleanup();
    const passed = open(Object.fromEntries(said));
    expect(field(passed.container, 'span').value).toBe('24');
  });
  it('in kN and mm begin anew with sizes that go with it', () => {
    const { container } = open({ force: '7100', attachment: 'centre' });
    fireEvent.click(screen.getByRole('button', { name: 'kN, mm' }));
    expect(field(container, 'span').value).toBe('450');
    // 28.8 kN in the middle of 450 mm: 3,240 N·m.
    expect(rowOf('One roller in the middle')[1]).toBe('3,240 N·m');
    expect(screen.getByRole('img', { name: /^One roller in the middle/u })).toBeDefined();
  });
  it('say at the field what is wrong, keep what was typed and give no number', () => {
    const { container } = open();
    type(container, 'force', 'six');
    expect(field(container, 'force').value).toBe('six');
    expect(field(container, 'force').getAttribute('aria-invalid')).toBe('true');
    expect(screen.queryByRole('status')).toBeNull();
    expect(screen.queryByRole('table')).toBeNull();
    type(container, 'force', '6000');
    expect(screen.getByRole('status')).toBeDefined();
  });
  it('say whether the ram has room', () => {
    const { container } = open({ approach: '0.5', travel: '0.3', stroke: '4' });
    expect(screen.getByText(/There is room/u)).toBeDefined();
    type(container, 'stroke', '1');
    expect(screen.getByText(/Do not begin/u)).toBeDefined();
  });
  it('are no test, and say who looks at the rest', () => {
    open();
    expect(screen.getByText(/no test and gives no strength/u)).toBeDefined();
    expect(screen.getByText(/pedestal on the lower block/u)).toBeDefined();
    expect(screen.getByRole('img', { name: /^A cube on its pedestal/u })).toBeDefined();
  });
});
