// @vitest-environment jsdom
import { act, cleanup, fireEvent, screen, waitFor, within } from '@testing-library/react';
import { afterEach, beforeEach, describe, expect, it, vi } from 'vitest';
import { type Asked, opened, savedReadings, sheetData, standInServer } from '@/testing/sheet';
import { KeypadProvider } from '../field/Keypad';
import { RunFields } from '../runsheet/RunFields';
import { stepFields } from '../runsheet/run';
import { useRun } from '../runsheet/use-run';

let asked: readonly Asked[] = [];
const saved = () => savedReadings(asked);
/** What stands now at each cell, by row in the order of their names, as the server would know it. */
const table = (): Record<string, string>[] => {
  const rows = new Map<string, Record<string, string>>();
  for (const { field, text } of saved()) {
    const [, row = '', column = ''] = field.split('/');
    if (column !== '') rows.set(row, { ...rows.get(row), [column]: text });
  }
  return [...rows].toSorted(([a], [b]) => (a < b ? -1 : 1)).map(([, cells]) => cells);
};
beforeEach(() => {
  localStorage.clear();
  asked = standInServer();
});
afterEach(() => {
  cleanup();
  vi.unstubAllGlobals();
});

const beyond = vi.fn();

function Sheet({
  readings = {},
  readOnly = false,
  keypad = false,
  method = 'density-yield' as const,
  fields = ['materials'],
}: {
  readings?: Readonly<Record<string, string>>;
  readOnly?: boolean;
  keypad?: boolean;
  method?: 'density-yield' | 'capping' | 'concrete-temperature' | 'end-grinding';
  fields?: readonly string[];
}) {
  const data = sheetData({
    method,
    readings,
    setup: { batch: { label: 'GB-1', seed: 1, specimens: [{ label: 'A-1' }, { label: 'A-2' }] } },
  });
  const run = useRun(data, Date.UTC(2031, 5, 11, 14));
  return (
    <KeypadProvider value={keypad}>
      <RunFields
        run={run}
        data={data}
        fields={stepFields(run, fields)}
        readOnly={readOnly}
        beyond={beyond}
        focus="first"
        showMissing
      />
    </KeypadProvider>
  );
}

const cell = (name: string): HTMLInputElement => screen.getByRole('textbox', { name });
function fill(name: string, text: string): void {
  fireEvent.change(cell(name), { target: { value: text } });
  fireEvent.keyDown(cell(name), { key: 'Enter' });
}

describe('a table on the desk', () => {
  it('grows: Enter takes a cell, goes to the next, then to the next row, and out of it from a blank one', async () => {
    await opened('density-yield', <Sheet />);
    for (const [row, name, mass, density] of [
      [1, 'cement', '4600', '3.15'],
      [2, 'sand', '10100', '2.64'],
    ] as const) {
      fill(`Material, material ${row}`, name);
      expect(document.activeElement).toBe(cell(`Mass, material ${row}`));
      fill(`Mass, material ${row}`, mass);
      fill(`Relative density, material ${row}`, density);
      fireEvent.keyDown(cell(`Moisture, material ${row}`), { key: 'Enter' });
      fireEvent.keyDown(cell(`Absorption, material ${row}`), { key: 'Enter' });
    }
    expect(document.activeElement).toBe(cell('Material, material 3'));
    await waitFor(() =>
      expect(table()).toEqual([
        { name: 'cement', mass: '4600', density: '3.15' },
        { name: 'sand', mass: '10100', density: '2.64' },
      ]),
    );
    fireEvent.keyDown(cell('Material, material 3'), { key: 'Enter' });
    expect(beyond).toHaveBeenLastCalledWith(1);
    fireEvent.keyDown(cell('Material, material 3'), { key: 'ArrowUp' });
    expect(document.activeElement).toBe(cell('Material, material 2'));
  });
  it('keeps what cannot be in its cell with a word, and sends it nowhere', async () => {
    await opened('density-yield', <Sheet />);
    fill('Material, material 1', 'cement');
    fill('Mass, material 1', '-4600');
    expect(screen.getByText(/cannot be/u)).toBeDefined();
    expect(cell('Mass, material 1').value).toBe('-4600');
    await waitFor(() => expect(table()).toEqual([{ name: 'cement' }]));
  });
  it('takes a row back with all its cells, and puts it back', async () => {
    const readings = {
      'materials/k1/name': 'cement',
      'materials/k1/mass': '4600',
      'materials/k2/name': 'sand',
    };
    await opened('density-yield', <Sheet readings={readings} />);
    fireEvent.click(screen.getByRole('button', { name: 'Take material 1 back' }));
    await waitFor(() => expect(table()).toEqual([{ name: '', mass: '' }]));
    expect(cell('Material, material 1').value).toBe('sand');
    fireEvent.click(screen.getByRole('button', { name: 'Undo' }));
    await waitFor(() => expect(table()).toEqual([{ name: 'cement', mass: '4600' }]));
    expect(cell('Material, material 2').value).toBe('sand');
  });
  it('shows what was pasted with its bad cells, and puts in the good rows only', async () => {
    await opened('density-yield', <Sheet />);
    fireEvent.paste(cell('Material, material 1'), {
      clipboardData: { getData: () => 'cement\t4600\t3.15\nsand\tmuch\t2.64\nwater\t1960\t1' },
    });
    const dialog = screen.getByRole('dialog');
    expect(within(dialog).getByText(/1 row stays out/u)).toBeDefined();
    fireEvent.change(within(dialog).getByRole('textbox', { name: 'Rows' }), {
      target: { value: 'cement\t4600\t3.15\nsand\t10100\t2.64\nwater\t1960\t1' },
    });
    fireEvent.click(within(dialog).getByRole('button', { name: 'Put in 3 rows' }));
    await waitFor(() => expect(table().map(({ name }) => name)).toEqual(['cement', 'sand', 'water']));
    // Nine cells in one request, not one after the other.
    expect(asked.filter(({ useCase }) => useCase === 'save-readings').length).toBeLessThan(4);
  });
  it('picks the row of a scanned specimen that is still to be filled', async () => {
    const readings = { 'found/k1/specimen': 'A-1', 'found/k2/specimen': 'A-2' };
    await opened('end-grinding', <Sheet method="end-grinding" fields={['found']} readings={readings} />);
    const blank = screen.getByRole('combobox', { name: 'Specimen, specimen 3' }) as HTMLInputElement;
    fireEvent.change(blank, { target: { value: 'A-2' } });
    fireEvent.keyDown(blank, { key: 'Enter' });
    expect(document.activeElement).toBe(cell('New length, specimen 2'));
    expect(saved()).toEqual([]);
  });
  it('stamps the moment of a row by itself, once', async () => {
    await opened('concrete-temperature', <Sheet method="concrete-temperature" fields={['trace']} />);
    fill('Temperature, reading 1', '70');
    await waitFor(() => expect(Date.now() - Date.parse(table()[0]?.at ?? '')).toBeLessThan(60_000));
    const [first] = table();
    fill('Temperature, reading 1', '71');
    await waitFor(() => expect(table()[0]?.temperature).toBe('71'));
    expect(table()[0]?.at).toBe(first?.at);
  });
  it('takes a time of day, and says when its seconds are missing', async () => {
    const readings = { 'trace/k1/temperature': '70', 'trace/k1/at': '2031-05-14T13:20:00.000Z' };
    await opened(
      'concrete-temperature',
      <Sheet method="concrete-temperature" fields={['trace']} readings={readings} />,
    );
    expect(cell('At, reading 1').value).toBe('09:20:00');
    fireEvent.change(cell('At, reading 1'), { target: { value: '9:21' } });
    expect(screen.getByText(/seconds count/u)).toBeDefined();
    fill('At, reading 1', '9:21:30');
    await waitFor(() => expect(table()[0]?.at).toBe('2031-05-14T13:21:30.000Z'));
  });
  it('is only shown when nothing can be written', async () => {
    await opened('density-yield', <Sheet readOnly readings={{ 'materials/k1/name': 'cement' }} />);
    expect(screen.queryByRole('button', { name: /back/u })).toBeNull();
    expect(screen.queryByRole('textbox', { name: 'Material, material 2' })).toBeNull();
    expect(cell('Material, material 1').readOnly).toBe(true);
  });
});

describe('a table on the phone', () => {
  it('has one row at a time, and goes on to the next', async () => {
    await opened('density-yield', <Sheet keypad />);
    const first = screen.getByRole('textbox', { name: 'Material' });
    fireEvent.change(first, { target: { value: 'cement' } });
    fireEvent.blur(first);
    expect(screen.getByText('1 of 1')).toBeDefined();
    fireEvent.click(screen.getByRole('button', { name: 'Next material' }));
    expect(screen.getByText('New material, after 1')).toBeDefined();
    const second = screen.getByRole('textbox', { name: 'Material' });
    await act(async () => fireEvent.change(second, { target: { value: 'sand' } }));
    fireEvent.blur(second);
    await waitFor(() => expect(table().map(({ name }) => name)).toEqual(['cement', 'sand']));
    fireEvent.click(screen.getByRole('button', { name: 'The material before' }));
    expect((screen.getByRole('textbox', { name: 'Material' }) as HTMLInputElement).value).toBe('cement');
    fireEvent.click(screen.getByRole('button', { name: 'Take back' }));
    await waitFor(() => expect(table()[0]?.name).toBe(''));
  });
});
