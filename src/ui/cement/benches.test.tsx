// @vitest-environment jsdom
import { act, cleanup, fireEvent, render, screen, within } from '@testing-library/react';
import { afterEach, describe, expect, it, vi } from 'vitest';
import { findMethod } from '@/core/methods/registry';
import { usableInput } from '@/core/methods/validate';
import { SheetBeside } from '../methods/cement-mill-sheet/SheetBeside';
import { Jars } from '../methods/cement-portions/Jars';
import { ResistancePlot } from '../methods/penetration-resistance/ResistancePlot';
import { FollowChart } from '../views/FollowChart';
import { PeriodReport } from '../views/PeriodReport';

vi.mock('../charts/Line', () => ({
  Line: (props: { 'aria-label': string }) => <div role="img" aria-label={props['aria-label']} />,
}));
const told: string[] = [];
vi.mock('../parts/Notice', () => ({ useNotice: () => (words: string) => told.push(words) }));
afterEach(() => {
  cleanup();
  vi.unstubAllGlobals();
});

function pictureOf(id: string, input: object, facts: object = {}) {
  const method = findMethod(id);
  if (!method) throw new Error('no such method');
  return method.compute(usableInput(method, { system: 'US', ...input }).input, { facts } as never).picture;
}

describe('a mill sheet', () => {
  const picture = pictureOf(
    'cement-mill-sheet',
    {
      ...{ sheet: 'MS-4', basis: 'grab' },
      values: [
        { property: 'surface', value: '412', unit: 'm2/kg' },
        { property: 'initial', value: '121', unit: 'min' },
        { property: 'loss', value: '1.9', unit: 'percent' },
      ],
    },
    { cementType: 'c150.I', surface: '385 m2/kg', initial: '118 min' },
  );
  it('stands beside own values, with how far apart of what may be', () => {
    render(<SheetBeside picture={picture} />);
    const rows = within(screen.getByRole('table', { name: 'Sheet beside own tests' })).getAllByRole('row');
    expect(rows[1]?.textContent).toBe('Surface by air permeability, m²/kg412385-27-6.8investigate');
    expect(within(rows[1] as HTMLElement).getByRole('img', { name: '1.13 of it' })).toBeTruthy();
    expect(rows[3]?.textContent).toContain('no own test yet');
  });
  it('has a question to the plant with the facts, of what lies apart only', async () => {
    const write = vi.fn(async () => undefined);
    vi.stubGlobal('navigator', { clipboard: { writeText: write } });
    render(<SheetBeside picture={picture} />);
    await act(async () =>
      fireEvent.click(screen.getByRole('button', { name: 'Copy a question to the plant' })),
    );
    const [[words]] = write.mock.calls as unknown as [[string]];
    expect(words).toContain('Surface by air permeability: sheet 412 m²/kg, ours 385 m²/kg');
    expect(words).not.toContain('Initial set');
    expect(told.at(-1)).toMatch(/copied/u);
  });
  it('of which nothing is typed says what will stand there', () => {
    render(<SheetBeside picture={pictureOf('cement-mill-sheet', {})} />);
    expect(screen.getByText(/^Each value of the sheet stands here/u)).toBeTruthy();
  });
});

describe('portions', () => {
  it('are jars filled to what is left', () => {
    render(
      <Jars
        picture={pictureOf('cement-portions', {
          portions: [{ name: 'A', use: 'tests', mass: '3000', place: 'Shelf 4' }],
          taken: [{ name: 'A', mass: '750', at: '2031-09-12T09:00:00Z' }],
        })}
      />,
    );
    expect(screen.getByRole('img', { name: 'A: 2,250 g left of 3,000 g' })).toBeTruthy();
    expect(screen.getByText('of 3,000 g, our tests, Shelf 4')).toBeTruthy();
  });
  it('of which none is filled yet say so', () => {
    render(<Jars picture={pictureOf('cement-portions', {})} />);
    expect(screen.getByText(/^Each portion stands here/u)).toBeTruthy();
  });
});

it('pushes of a needle are drawn, one left out among them; none is said', () => {
  const push = (minute: number, needle: string, force: string, leftOut = '') => ({
    ...{ specimen: '1', needle, force, leftOut },
    at: new Date(Date.UTC(2031, 4, 14, 13, minute)).toISOString(),
  });
  const pushes = [push(200, '1', '92'), push(230, '2', '140'), push(260, '4', '400', 'a stone')];
  const contactAt = '2031-05-14T13:00:00Z';
  render(<ResistancePlot picture={pictureOf('penetration-resistance', { contactAt, pushes })} />);
  expect(screen.getByRole('img', { name: 'Resistance over time: 3 pushes on one specimen' })).toBeTruthy();
  cleanup();
  render(<ResistancePlot picture={pictureOf('penetration-resistance', { contactAt })} />);
  expect(screen.getByText(/^Each push stands here/u)).toBeTruthy();
});

it('what is made with a cement is drawn over it', () => {
  render(<FollowChart pairs={[{ x: 4600, y: 5000 }]} units={['psi', 'psi']} word="MIX-1" />);
  expect(screen.getByRole('img', { name: 'Strengths of MIX-1 over those of its cement: 1' })).toBeTruthy();
});

it('the report of a period wants two days in their order', () => {
  render(<PeriodReport href="/api/sources/x/period?age=168" first="2031-03-01" last="2031-05-31" />);
  const link = () => screen.getByText('Report of the period, PDF').closest('a');
  expect(link()?.getAttribute('href')).toBe('/api/sources/x/period?age=168&from=2031-03-01&to=2031-05-31');
  fireEvent.change(screen.getByLabelText('To'), { target: { value: '2031-02-01' } });
  expect(screen.getByText('The last day is before the first.')).toBeTruthy();
  expect(link()?.getAttribute('aria-disabled')).toBe('true');
  fireEvent.change(screen.getByLabelText('From'), { target: { value: '' } });
  expect(screen.getByText('Give both days.')).toBeTruthy();
});
