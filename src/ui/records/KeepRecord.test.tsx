// @vitest-environment jsdom
import { act, cleanup, fireEvent, screen, waitFor, within } from '@testing-library/react';
import { afterEach, beforeEach, describe, expect, it, vi } from 'vitest';
import type { KeptMapping, KeptRecord } from '@/core/records/kept-record';
import { RECORD_KINDS } from '@/core/records/kinds';
import { plainRecord } from '@/core/temperature';
import { type Asked, opened, savedReadings, sheetData, standInServer } from '@/testing/sheet';
import { useRun } from '../runsheet/use-run';
import { KeepRecords } from './KeepRecord';

vi.mock('next/navigation', () => ({ useRouter: () => ({ refresh: () => undefined }) }));
// jsdom has no workers: the same reading and analysis in the page.
vi.mock('./use-record-worker', async () => {
  const { useState } = await import('react');
  return {
    useRecordWorker: () => {
      const [found, setFound] = useState<object | null>(null);
      return {
        share: null,
        found,
        read: async (kind: KeptRecord['kind'], text: string, mapping: KeptMapping, zone: string) =>
          setFound({ ...RECORD_KINDS[kind].read(text, mapping, zone), took: 12 }),
        forget: () => setFound(null),
      };
    },
  };
});
vi.mock('../packed', () => ({ packed: async (text: string) => `packed ${text.length}` }));

let asked: readonly Asked[] = [];
beforeEach(() => {
  localStorage.clear();
  asked = standInServer({
    'keep-record': () => new Response(JSON.stringify({ record: {} })),
    'read-out-logger': () =>
      new Response(JSON.stringify({ message: 'TST-LOGGER does not answer.', errors: {} }), { status: 409 }),
  });
});
afterEach(() => {
  cleanup();
  vi.unstubAllGlobals();
});

const GOOD =
  'time,core °C,air °C\n2031-01-10T08:00:00Z,14.2,6.1\n2031-01-10T08:30:00Z,15.0,6.0\n2031-01-10T09:00:00Z,-127,6.0';
const KEPT = plainRecord([0, 0.5, 1], { core: [20, 21, 22] }, '2031-01-10T08:00:00Z');

function Sheet({ kept = false, readOnly = false }: { kept?: boolean; readOnly?: boolean }) {
  const data = sheetData({
    method: 'temperature-record',
    readings: { purpose: 'concrete', ...(kept ? { record: 'wall.csv' } : {}) },
    setup: {
      equipment: [{ number: 'TST-LOGGER', kind: 'logger', live: true }],
      ...(kept ? { records: { record: KEPT } } : {}),
    },
  });
  const run = useRun(data, Date.UTC(2031, 0, 11));
  return <KeepRecords run={run} data={data} readOnly={readOnly} />;
}
const part = () => within(screen.getByRole('region', { name: 'Record' }));
async function choose(text: string, name = 'wall.csv'): Promise<void> {
  const input = screen
    .getByRole('region', { name: 'Record' })
    .querySelector('input[type=file]') as HTMLInputElement;
  const file = new File([text], name, { type: 'text/csv' });
  // jsdom’s files cannot be read as text.
  Object.defineProperty(file, 'text', { value: async () => text });
  await act(async () => {
    fireEvent.change(input, { target: { files: [file] } });
  });
}
const press = async (name: string | RegExp): Promise<void> => {
  await act(async () => {
    fireEvent.click(part().getByRole('button', { name }));
  });
};

describe('a record is kept', () => {
  it('after its columns were confirmed and what it says was seen', async () => {
    await opened('temperature-record', <Sheet />);
    await choose(GOOD);
    expect(part().getByRole('checkbox', { name: 'core °C' })).toHaveProperty('checked', true);
    await press('Columns, dates and scale are right: read it');
    const row = part().getByRole('row', { name: /^core/u });
    // 15.0 °C in a job of °F; a code of a broken sensor is left out and counted.
    expect(row.textContent).toContain('59.0');
    expect(within(row).getAllByRole('cell').at(-2)?.textContent).toBe('1');
    await press('Keep it with this run');
    await waitFor(() => expect(asked).toHaveLength(1));
    expect(asked[0]).toMatchObject({
      useCase: 'keep-record',
      data: { runId: 'run-1', field: 'record', name: 'wall.csv', data: `packed ${GOOD.length}` },
    });
    expect(asked[0]?.data.mapping).toMatchObject({ columns: [1, 2], names: ['core', 'air'], unit: 'degC' });
  });

  it('with the sensors that were ticked, and no other', async () => {
    await opened('temperature-record', <Sheet />);
    await choose(GOOD);
    fireEvent.click(part().getByRole('checkbox', { name: 'air °C' }));
    await press('Columns, dates and scale are right: read it');
    expect(part().queryByRole('row', { name: /^air/u })).toBeNull();
    fireEvent.click(part().getByRole('checkbox', { name: 'core °C' }));
    expect(
      part().getByRole('button', { name: 'Columns, dates and scale are right: read it' }),
    ).toHaveProperty('disabled', true);
  });

  it('never from a file that is none, and says what to do', async () => {
    await opened('temperature-record', <Sheet />);
    await choose('dear diary');
    expect(part().getByRole('alert').textContent).toContain('Export it as CSV with date and time');
    expect(asked).toEqual([]);
  });

  it('asks for the order of dates, and for the scale, where the file does not say', async () => {
    await opened('temperature-record', <Sheet />);
    await choose('time,T\n01/02/2031 08:00,47\n03/04/2031 09:00,48');
    const words = part()
      .getAllByRole('alert')
      .map(({ textContent }) => textContent);
    expect(words.join(' ')).toContain('day or the month stands first');
    expect(words.join(' ')).toContain('°C or °F');
  });

  it('a logger that does not answer is told, and the file can be chosen all the same', async () => {
    await opened('temperature-record', <Sheet />);
    await press('Read out TST-LOGGER');
    await waitFor(() => expect(part().getByRole('alert').textContent).toContain('does not answer'));
    await choose(GOOD);
    expect(part().queryByRole('alert')).toBeNull();
  });
});

describe('a record that is kept', () => {
  it('goes out again as it came and cleaned, and says what it is', async () => {
    await opened('temperature-record', <Sheet kept />);
    expect(part().getByText(/^Kept: wall.csv/u)).toBeDefined();
    expect(part().getByRole('link', { name: 'The file as it came' }).getAttribute('href')).toBe(
      '/api/runs/run-1/record/record/original',
    );
    expect(part().getByRole('row', { name: /^core/u }).textContent).toContain('71.6');
  });
  it('is taken back when it was of another wall: it counts nowhere, and the file can be chosen anew', async () => {
    await opened('temperature-record', <Sheet kept />);
    await press('Take it back');
    await waitFor(() => expect(savedReadings(asked)).toMatchObject([{ field: 'record', text: '' }]));
    expect(part().queryByText(/^Kept/u)).toBeNull();
    await choose(GOOD);
    expect(part().getByRole('button', { name: /read it$/u })).toBeDefined();
  });
  it('of a run that is not to be written shows no way to change it', async () => {
    await opened('temperature-record', <Sheet kept readOnly />);
    expect(part().queryByRole('button')).toBeNull();
    expect(screen.queryByRole('region', { name: 'Record of a second logger' })).toBeNull();
  });
});
