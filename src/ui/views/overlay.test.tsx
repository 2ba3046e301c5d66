// @vitest-environment jsdom
import { act, cleanup, fireEvent, render, screen } from '@testing-library/react';
import { afterEach, describe, expect, it, vi } from 'vitest';
import type { OverlayProps } from '../methods/kit';
import { Overlay } from './Overlay';

const replaced: string[] = [];
vi.mock('next/navigation', () => ({ useRouter: () => ({ replace: (to: string) => replaced.push(to) }) }));
const REGISTER = {
  changes: { 'heat.alike': { both: { high: '3', unit: 'J/g' }, status: 'set by the laboratory' } },
  revision: 4,
  profile: 'astm',
} as never;
let drawn: OverlayProps['tests'] = [];
let held = '';
let folder: object = {};
vi.mock('../methods/holding', () => ({ useMethodFolder: () => folder }));
afterEach(cleanup);

const picture = { kind: 'x', values: {} };
const offered = ['a', 'b', 'c'].map((id) => ({ id, label: `S-${id}`, of: 'C-1, lot', performedAt: 0 }));
const laid = (ids: readonly string[]) => ids.map((id) => ({ id, label: `S-${id}`, of: 'C-1, lot', picture }));
const Drawn = ({ tests, limits }: OverlayProps) => {
  drawn = tests;
  held = `${limits.revision} ${limits.of('heat.alike', 'SI').text}`;
  return <p>drawn</p>;
};

describe('tests laid over one another', () => {
  it('are drawn as their method draws them, and which ones stands in the address', async () => {
    folder = { Overlay: Drawn };
    render(<Overlay id="a" most={6} offered={offered} laid={laid(['a', 'b'])} register={REGISTER} />);
    expect(drawn.map(({ id }) => id)).toEqual(['a', 'b']);
    // By the register of the laboratory, not by the one that ships.
    expect(held).toBe('4 not more than 3 J/g');
    fireEvent.mouseDown(screen.getByRole('combobox'));
    await act(async () => fireEvent.click(screen.getByRole('option', { name: 'S-c C-1, lot' })));
    expect(replaced.at(-1)).toBe('/runs/a/beside?with=b,c');
    await act(async () => fireEvent.click(screen.getAllByTestId('CancelIcon')[0] as Element));
    expect(replaced.at(-1)).toBe('/runs/a/beside');
  });
  it('are so many at the most', () => {
    folder = { Overlay: Drawn };
    render(<Overlay id="a" most={2} offered={offered} laid={laid(['a', 'b'])} register={REGISTER} />);
    expect(screen.getByText('2 at the most: take one away first.')).toBeTruthy();
    fireEvent.mouseDown(screen.getByRole('combobox'));
    expect(screen.getByRole('option', { name: 'S-c C-1, lot' }).getAttribute('aria-disabled')).toBe('true');
  });
  it('of a test that says nothing yet there are none', () => {
    folder = { Overlay: Drawn };
    render(<Overlay id="a" most={6} offered={offered} laid={[]} register={REGISTER} />);
    expect(screen.getByText(/complete it first/u)).toBeTruthy();
    cleanup();
    folder = {};
    render(<Overlay id="a" most={6} offered={offered} laid={laid(['a'])} register={REGISTER} />);
    expect(screen.queryByText('drawn')).toBeNull();
  });
});
