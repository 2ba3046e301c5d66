// @vitest-environment jsdom
import { act, cleanup, fireEvent, screen, waitFor } from '@testing-library/react';
import { afterEach, beforeEach, describe, expect, it, vi } from 'vitest';
import type { MassLine } from '@/core/balance';
import { type Asked, opened, savedReadings, sheetData, standInServer } from '@/testing/sheet';
import { KeypadProvider } from '../field/Keypad';
import { RunFields } from '../runsheet/RunFields';
import { stepFields } from '../runsheet/run';
import { useRun } from '../runsheet/use-run';

/** The stream of a balance, as a page is told of it. */
class Stream {
  static all: Stream[] = [];
  onmessage: ((event: { data: string }) => void) | null = null;
  onerror: (() => void) | null = null;
  constructor(readonly url: string) {
    Stream.all.push(this);
  }
  close(): void {}
}
let seq = 0;
const shows = async (mass: number, steady = true): Promise<void> => {
  seq += 1;
  const line: MassLine = { seq, t: seq / 10, mass, unit: 'lb', steady, places: 2, at: 0 };
  await act(async () => {
    Stream.all.at(-1)?.onmessage?.({ data: JSON.stringify({ simulated: true, lines: [line] }) });
    await new Promise((resolve) => setTimeout(resolve, 150));
  });
};

let asked: readonly Asked[] = [];
const masses = () =>
  savedReadings(asked.filter(({ useCase }) => useCase === 'save-readings'))
    .filter(({ field }) => field.endsWith('/mass'))
    .map(({ text }) => text);
beforeEach(() => {
  localStorage.clear();
  Stream.all = [];
  vi.stubGlobal('EventSource', Stream);
  asked = standInServer();
});
afterEach(() => {
  cleanup();
  vi.unstubAllGlobals();
});

function Sheet({ live = true, keypad = false }: { live?: boolean; keypad?: boolean }) {
  const data = sheetData({
    method: 'unit-receiving',
    readings: { balance: 'TST-BALANCE' },
    setup: {
      batch: { label: 'RU-1', seed: 1, specimens: [{ label: 'A-U1' }, { label: 'A-U2' }] },
      equipment: [{ number: 'TST-BALANCE', kind: 'balance', ...(live ? { live } : {}) }],
    },
  });
  const run = useRun(data, Date.UTC(2031, 5, 11, 14));
  return (
    <KeypadProvider value={keypad}>
      <RunFields
        run={run}
        data={data}
        fields={stepFields(run, ['units'])}
        readOnly={false}
        beyond={() => undefined}
        focus="first"
        showMissing={false}
      />
    </KeypadProvider>
  );
}
const cell = (name: string): HTMLInputElement =>
  document.querySelector(`[aria-label="${name}"]`) as HTMLInputElement;
const enter = (name: string) => fireEvent.keyDown(cell(name), { key: 'Enter' });

describe('a balance with a line beside a table', () => {
  it('puts its steady mass into the cell that Enter finds empty: scan, Enter, next', async () => {
    await opened('unit-receiving', <Sheet />);
    expect(Stream.all.at(-1)?.url).toBe('/api/press/TST-BALANCE');
    await shows(32.9, false);
    fireEvent.change(cell('Unit, unit 1'), { target: { value: 'A-U1' } });
    enter('Unit, unit 1');
    // While it moves nothing is taken.
    cell('Received mass, unit 1').focus();
    enter('Received mass, unit 1');
    expect(masses()).toEqual([]);
    expect(document.activeElement).toBe(cell('Received mass, unit 1'));
    await shows(33.46);
    expect(screen.getByText('33.46 lb')).toBeDefined();
    enter('Received mass, unit 1');
    await waitFor(() => expect(masses()).toEqual(['33.46']));
    // The same unit still lies there: the next one does not get its mass.
    fireEvent.change(cell('Unit, unit 2'), { target: { value: 'A-U2' } });
    enter('Unit, unit 2');
    enter('Received mass, unit 2');
    await shows(33.46);
    expect(masses()).toEqual(['33.46']);
    expect(screen.getByText('Taken. Lift it off before the next one.')).toBeDefined();
    await shows(0);
    await shows(33.02);
    fireEvent.focus(cell('Received mass, unit 2'));
    fireEvent.click(screen.getByRole('button', { name: 'Take it' }));
    await waitFor(() => expect(masses()).toEqual(['33.46', '33.02']));
  });
  it('is loaded from here where it is a stand-in, and says what is wrong', async () => {
    cleanup();
    asked = standInServer({
      'load-balance': () =>
        new Response(JSON.stringify({ message: 'Not so.', errors: { mass: 'Type a number.' } }), {
          status: 422,
        }),
    });
    await opened('unit-receiving', <Sheet />);
    await shows(0);
    fireEvent.change(screen.getByLabelText('On the stand-in lies'), { target: { value: 'much' } });
    fireEvent.click(screen.getByRole('button', { name: 'Lay it on' }));
    expect(await screen.findByText('Type a number.')).toBeDefined();
    expect(asked.at(-1)).toMatchObject({ useCase: 'load-balance', data: { what: 'put', mass: 'much' } });
  });
  it('on a phone gives its mass to the row that is looked at', async () => {
    await opened('unit-receiving', <Sheet keypad />);
    await shows(33.46);
    fireEvent.click(screen.getByRole('button', { name: 'Take it' }));
    await waitFor(() => expect(masses()).toEqual(['33.46']));
    // The row stays before the eyes; its mass is there, so nothing more is taken into it.
    await shows(0);
    await shows(31.9);
    fireEvent.click(screen.getByRole('button', { name: 'Take it' }));
    await waitFor(() => expect(masses()).toHaveLength(2));
    const rows = savedReadings(asked.filter(({ useCase }) => useCase === 'save-readings'))
      .filter(({ field }) => field.endsWith('/mass'))
      .map(({ field }) => field.split('/')[1]);
    expect(new Set(rows).size).toBe(2);
  });
  it('that has no line is not waited for', async () => {
    await opened('unit-receiving', <Sheet live={false} />);
    expect(Stream.all).toEqual([]);
    expect(screen.queryByRole('button', { name: 'Take it' })).toBeNull();
  });
  it('says so when its line went', async () => {
    await opened('unit-receiving', <Sheet />);
    await shows(33.46);
    await act(async () => {
      Stream.all.at(-1)?.onerror?.();
      await new Promise((resolve) => setTimeout(resolve, 150));
    });
    expect(screen.getByText(/No line to it/u)).toBeDefined();
    expect(screen.getByRole<HTMLButtonElement>('button', { name: 'Take it' }).disabled).toBe(true);
  });
});
