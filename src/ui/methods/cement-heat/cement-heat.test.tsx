// @vitest-environment jsdom
import { act, cleanup, fireEvent, render, screen, within } from '@testing-library/react';
import { afterEach, beforeEach, describe, expect, it, vi } from 'vitest';
import { recordOfRows, SimulatedCalorimeter, STAND_IN_CELLS, STARTED_BEFORE } from '@/core/calorimetry';
import { Limits } from '@/core/limits';
import { cementHeat } from '@/core/methods/cement-heat';
import { usableInput } from '@/core/methods/validate';
import { opened, sheetData, standInServer } from '@/testing/sheet';
import { useRun } from '../../runsheet/use-run';
import { HeatBench } from './HeatBench';
import { HeatOverlay } from './HeatOverlay';
import { LiveCells } from './LiveCells';
import { References } from './References';
import { shownOf } from './shown';

/** What the chart was told of the pointer, by its plugin. */
type Pull = { afterEvent(chart: object, told: object): void };
let pull: Pull | undefined;
vi.mock('../../charts/Line', () => ({
  Line: ({ plugins, ...props }: { 'aria-label': string; plugins?: Pull[] }) => {
    pull = plugins?.[0];
    return <div role="img" aria-label={props['aria-label']} />;
  },
}));

const NOW = Date.UTC(2031, 8, 14, 12);
const BEGAN = NOW - STARTED_BEFORE * 3_600_000;
const iso = (hours: number): string => new Date(BEGAN + hours * 3_600_000).toISOString();
const ROWS = new SimulatedCalorimeter(3, STAND_IN_CELLS, BEGAN, STARTED_BEFORE * 3600).run(0);
const RECORD = recordOfRows(ROWS);
const CELLS = STAND_IN_CELLS.map(({ name, what, mixed, paste, admixture, contact, insertedAfter }) => ({
  ...{ id: `c${name}`, channel: name, what, paste: String(paste) },
  ...{ cement: String(mixed.cement), water: String(mixed.water) },
  ...(mixed.sulfate ? { sulfate: String(mixed.sulfate) } : {}),
  ...(admixture ? { admixture } : {}),
  ...{ contactAt: iso(contact), insertedAt: iso(contact + insertedAfter / 60) },
}));
const READY = {
  calorimeter: 'CAL',
  bath: '23',
  mixed: 'outside',
  days: '1',
  sulfate: '2.2',
  sulfateAs: 'gypsum',
  purity: '94',
};
const pictureOf = (over: object = {}, cells: readonly object[] = CELLS) =>
  cementHeat.compute(
    usableInput(cementHeat, { system: 'SI', ...READY, cells, record: 'r.csv', ...over }).input as never,
    { records: { record: RECORD } },
  ).picture;

beforeEach(() => {
  localStorage.clear();
  standInServer();
});
afterEach(() => {
  cleanup();
  vi.unstubAllGlobals();
});
const press = (name: string | RegExp) => fireEvent.click(screen.getByRole('button', { name }));

/** A chart whose scales are a pixel for a tenth of an hour and for a hundredth of a mW/g. */
const CHART = {
  canvas: { style: {} },
  scales: {
    x: { getPixelForValue: (at: number) => at * 10, getValueForPixel: (x: number) => x / 10 },
    y: { getPixelForValue: (power: number) => 500 - power * 100 },
  },
};
const pointer = (type: string, x: number, y: number) =>
  act(() => pull?.afterEvent(CHART, { event: { type, x, y } }));

describe('the bench of a test of heat', () => {
  it('draws every cell and tells its marks', () => {
    render(<HeatBench picture={pictureOf()} />);
    expect(screen.getByRole('img').getAttribute('aria-label')).toMatch(
      /^Power to a gram over hours: 1 as it came, maximum at/u,
    );
    expect(
      within(screen.getByRole('table', { name: 'Marks of cell 1' })).getByText('Main maximum'),
    ).toBeTruthy();
    press('7');
    expect(screen.getByRole('table', { name: 'Marks of cell 7' })).toBeTruthy();
    press('Heat');
    expect(screen.getByRole('img').getAttribute('aria-label')).toMatch(/^Heat to a gram/u);
  });
  it('tells when parts of the maximum are reached, and a blend to a gram of binder', () => {
    const ash = { ...CELLS[1], cement: '7.5', other: '2.5', otherKind: 'fly-ash', sulfate: '' };
    render(<HeatBench picture={pictureOf({}, [CELLS[0] as object, ash])} />);
    const sets = within(screen.getByRole('table', { name: 'Set by heat' }));
    expect(sets.getByText('50 % of the maximum')).toBeTruthy();
    const blends = within(screen.getByRole('table', { name: 'Heat to a gram of binder' }));
    expect(blends.getByText('2, 25 % not cement')).toBeTruthy();
    cleanup();
    render(<HeatBench picture={pictureOf()} />);
    expect(screen.queryByRole('table', { name: 'Heat to a gram of binder' })).toBeNull();
  });
  it('judges the series of sulfate', () => {
    render(<HeatBench picture={pictureOf()} />);
    const series = within(screen.getByRole('table', { name: 'Series of sulfate' }));
    expect(series.getByText('yes, the least')).toBeTruthy();
    expect(series.getAllByText(/too little heat|aluminate too early/u).length).toBeGreaterThan(0);
  });
  it('lets a mark be pulled elsewhere, with a reason and not without', () => {
    const taken: [string, string][] = [];
    render(
      <HeatBench
        picture={pictureOf()}
        take={(field, text) => taken.push([field.split('/').at(-1) ?? '', text])}
      />,
    );
    const table = within(screen.getByRole('table', { name: 'Marks of cell 1' }));
    const [, at, power] = table.getByText('Main maximum').closest('tr')?.querySelectorAll('td') ?? [];
    const [x, y] = [Number(at?.textContent) * 10, 500 - Number(power?.textContent) * 100];
    pointer('mousedown', x + 4, y - 3);
    pointer('mouseup', x + 12, y);
    expect(screen.getByRole('button', { name: 'Put it there' })).toHaveProperty('disabled', true);
    fireEvent.change(screen.getByLabelText('Why'), {
      target: { value: 'the hump in front is the aluminate' },
    });
    press('Put it there');
    expect(taken.map(([column]) => column)).toEqual(['channel', 'mark', 'at', 'why']);
    expect(Number(taken[2]?.[1])).toBeCloseTo((x + 12) / 10, 1);
    // Beside every mark nothing is taken hold of.
    pointer('mousedown', 5, 5);
    pointer('mouseup', 90, 5);
    expect(screen.queryByRole('region', { name: 'Mark put elsewhere' })).toBeNull();
  });
  it('pulled by mistake it can be left', () => {
    render(<HeatBench picture={pictureOf()} take={() => undefined} />);
    const [, at, power] = screen.getByText('Half of the maximum').closest('tr')?.querySelectorAll('td') ?? [];
    const [x, y] = [Number(at?.textContent) * 10, 500 - Number(power?.textContent) * 100];
    pointer('mousedown', x, y);
    pointer('mouseup', x + 30, y);
    press('Leave it');
    expect(screen.queryByLabelText('Why')).toBeNull();
  });
  it('says where a mark was found before it was moved', () => {
    const moved = [{ id: 'm1', channel: '1', mark: 'main', at: '9.00', why: 'it is the silicate' }];
    render(<HeatBench picture={pictureOf({ moved })} />);
    expect(screen.getByText(/^found at \d+\.\d+: it is the silicate$/u)).toBeTruthy();
  });
  it('leaves as CSV', () => {
    let text = '';
    vi.stubGlobal('Blob', function (this: object, parts: string[]) {
      text = parts.join('');
    });
    vi.stubGlobal('URL', { createObjectURL: () => 'blob:x', revokeObjectURL: () => undefined });
    render(<HeatBench picture={pictureOf()} />);
    press('Curves, CSV');
    const [head, ...rows] = text.trim().split('\r\n');
    expect(head).toBe('cell,what,t_h,p_mW_per_g,Q_J_per_g');
    expect(rows.length).toBeGreaterThan(1000);
  });
  it('without a record says what it waits for', () => {
    render(<HeatBench picture={pictureOf({ record: undefined })} />);
    expect(screen.getByText(/once the record is kept/u)).toBeTruthy();
  });
});

it('heat on the screen is the integral of the power that is drawn', () => {
  const points = [
    [0.5, 9],
    [1, 2],
    [2, 4],
    [3, 4],
  ] as const;
  // From 1 h on, by hand: 3.6·3 and 3.6·4.
  expect(shownOf(points, [], 'heat', 1).map(({ y }) => y)).toEqual([0, 3.6 * 3, 3.6 * 3 + 3.6 * 4]);
  expect(shownOf(points, [], 'share', 1)).toEqual([]);
});

describe('tests over one another', () => {
  const test = (id: string, over: object = {}) => ({
    id,
    label: `S-${id}`,
    of: 'C-1',
    picture: pictureOf(over),
  });
  it('one alone shows its own cells, off its first', () => {
    render(<HeatOverlay tests={[test('1')]} limits={new Limits()} />);
    const rows = within(screen.getByRole('table', { name: 'Off the first' })).getAllByRole('row');
    expect(rows).toHaveLength(8);
    expect(screen.getByText('As near as two cells of one mix.')).toBeTruthy();
    expect(screen.getAllByText(/^No: .*when half of it is reached/u).length).toBeGreaterThan(0);
    cleanup();
    // By the register of the laboratory: one that allows hardly anything.
    const strict = new Limits({
      'heat.alike-peak': { both: { high: '0.00001', unit: 'percent' }, status: 'set by the laboratory' },
    });
    render(<HeatOverlay tests={[test('1')]} limits={strict} />);
    expect(screen.queryByText('As near as two cells of one mix.')).toBeNull();
  });
  it('two show a cell each, and say where their baths differ', () => {
    render(<HeatOverlay tests={[test('1'), test('2', { bath: '38' })]} limits={new Limits()} />);
    expect(screen.getByText(/^Not at one temperature: 23 °C, 38 °C/u)).toBeTruthy();
    expect(screen.getByText(/kJ\/mol by half of the maximum/u)).toBeTruthy();
    fireEvent.click(screen.getByLabelText('All turned to 23 °C'));
    fireEvent.click(screen.getByLabelText('Every cell'));
    expect(within(screen.getByRole('table', { name: 'Off the first' })).getAllByRole('row')).toHaveLength(16);
  });
});

function Sheet({ part: Part }: { part: typeof References }) {
  const readings = Object.fromEntries(
    CELLS.flatMap(({ id, ...cells }) =>
      Object.entries(cells).map(([column, text]) => [`cells/${id}/${column}`, text]),
    ),
  );
  const data = sheetData({
    method: 'cement-heat',
    readings: { ...READY, ...readings },
    setup: { equipment: [{ number: 'CAL', kind: 'calorimeter', live: true }] },
  });
  return <Part run={useRun(data, NOW)} data={data} readOnly={false} />;
}

it('what goes into each reference stands above the cells, and what to weigh for a dose', async () => {
  await opened('cement-heat', <Sheet part={References} />);
  // 12.6 g of paste at 0.50: 23.86 J/K, 5.71 g of water.
  expect(
    within(screen.getByRole('table', { name: 'Reference of each cell' })).getAllByText('5.71').length,
  ).toBeGreaterThan(1);
  fireEvent.change(screen.getByLabelText('Wanted SO₃, %'), { target: { value: '2.8' } });
  // 100·0.006/(0.94·0.465 − 0.028).
  expect(screen.getByText('Weigh 1.47 g to 100 g of cement.')).toBeTruthy();
  fireEvent.change(screen.getByLabelText('Wanted SO₃, %'), { target: { value: '1.9' } });
  expect(screen.getByText(/never taken out/u)).toBeTruthy();
  fireEvent.change(screen.getByLabelText('Wanted SO₃, %'), { target: { value: '60' } });
  expect(screen.getByText('What is added holds less than that.')).toBeTruthy();
});

it('eight cells are followed over their line before anything is kept', async () => {
  const sources: { onmessage?: (event: { data: string }) => void; onerror?: () => void }[] = [];
  vi.stubGlobal(
    'EventSource',
    class {
      constructor() {
        sources.push(this as never);
      }
      close() {
        return undefined;
      }
    },
  );
  await opened('cement-heat', <Sheet part={LiveCells as typeof References} />);
  expect(screen.getByText('Waiting for it.')).toBeTruthy();
  const lines = ROWS.map((row, place) => ({ ...row, seq: place + 1, at: NOW }));
  await act(async () => {
    sources[0]?.onmessage?.({ data: JSON.stringify({ boot: 'a', simulated: true, lines }) });
    await new Promise((done) => setTimeout(done, 1200));
  });
  expect(screen.getByText(/^1,741 rows, 29\.0 h, a stand-in\./u)).toBeTruthy();
  expect((await screen.findByRole('img')).getAttribute('aria-label')).toMatch(/8 plasticized/u);
  await act(async () => {
    sources[0]?.onerror?.();
    await new Promise((done) => setTimeout(done, 1200));
  });
  expect(screen.getByText(/^No line to it/u)).toBeTruthy();
});
