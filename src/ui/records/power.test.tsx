// @vitest-environment jsdom
import { act, cleanup, fireEvent, render, screen, within } from '@testing-library/react';
import { afterEach, beforeEach, describe, expect, it, vi } from 'vitest';
import { recordOfRows } from '@/core/calorimetry';
import type { KeptMapping, KeptRecord } from '@/core/records/kept-record';
import { RECORD_KINDS } from '@/core/records/kinds';
import { type Asked, opened, sheetData, standInServer } from '@/testing/sheet';
import { useRun } from '../runsheet/use-run';
import { KeepRecords } from './KeepRecord';
import { RecordFound } from './RecordFound';

vi.mock('next/navigation', () => ({ useRouter: () => ({ refresh: () => undefined }) }));
vi.mock('./use-record-worker', async () => {
  const { useState } = await import('react');
  return {
    useRecordWorker: () => {
      const [found, setFound] = useState<object | null>(null);
      return {
        share: null,
        found,
        read: async (kind: KeptRecord['kind'], text: string, mapping: KeptMapping, zone: string) =>
          setFound({ ...RECORD_KINDS[kind].read(text, mapping, zone), took: 9 }),
        forget: () => setFound(null),
      };
    },
  };
});
vi.mock('../packed', () => ({ packed: async (text: string) => `packed ${text.length}` }));

let asked: readonly Asked[] = [];
beforeEach(() => {
  localStorage.clear();
  asked = standInServer({ 'keep-record': () => new Response(JSON.stringify({ record: {} })) });
});
afterEach(() => {
  cleanup();
  vi.unstubAllGlobals();
});

function Sheet() {
  const data = sheetData({
    method: 'cement-heat',
    readings: { calorimeter: 'CAL' },
    setup: {
      equipment: [
        { number: 'CAL', kind: 'calorimeter', live: true },
        { number: 'LOG', kind: 'logger', live: true },
      ],
    },
  });
  return <KeepRecords run={useRun(data, Date.UTC(2031, 8, 14))} data={data} readOnly={false} />;
}
const part = () => within(screen.getByRole('region', { name: 'Record of the calorimeter' }));
async function choose(text: string): Promise<void> {
  const input = screen
    .getByRole('region', { name: 'Record of the calorimeter' })
    .querySelector('input[type=file]') as HTMLInputElement;
  const file = new File([text], 'cells.csv', { type: 'text/csv' });
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

describe('the record of a calorimeter', () => {
  it('is read out of a calorimeter, and of no logger', async () => {
    await opened('cement-heat', <Sheet />);
    expect(part().getByRole('button', { name: 'Read out CAL' })).toBeTruthy();
    expect(part().queryByRole('button', { name: 'Read out LOG' })).toBeNull();
  });
  it('asks for the unit where its file does not say it, and is kept as it was confirmed', async () => {
    await opened('cement-heat', <Sheet />);
    await choose('h,1,2\n0,0.1,0.2\n1,3.5,3.4\n2,1,1');
    expect(part().getByText('Nothing in the file says in what its power is written: choose.')).toBeTruthy();
    await press(/read it$/u);
    const rows = part().getAllByRole('table').at(-1) as HTMLElement;
    expect(within(rows).getByText('3.500 · 1.0 h')).toBeTruthy();
    await press('Keep it with this run');
    const sent = asked.find(({ useCase }) => useCase === 'keep-record');
    expect(sent?.data).toMatchObject({
      ...{ field: 'record', name: 'cells.csv' },
      mapping: { unit: 'mW', names: ['1', '2'], stamp: 'h' },
    });
  });
  it('that is none says what is wanted', async () => {
    await opened('cement-heat', <Sheet />);
    await choose('nothing of the kind\nat all');
    expect(part().getByText(/^No column of times with one of power beside it/u)).toBeTruthy();
  });
});

describe('what a record says by itself', () => {
  const at = (hour: number): string => new Date(Date.UTC(2031, 8, 12, 12) + hour * 3_600_000).toISOString();
  const rows = Array.from({ length: 12 }, (_, hour) => ({
    ...{ t: hour * 3600, clock: at(hour), names: ['A', 'B'] },
    power: [hour > 2 && hour < 9 ? 50 : hour, hour === 4 ? null : 2],
  }));
  it('is its greatest with when it was, its last, and where it stood at its end', () => {
    render(<RecordFound record={recordOfRows(rows)} system="SI" zone="utc" />);
    const [, a, b] = screen.getAllByRole('row');
    expect(a?.textContent).toBe('A50.00 · Fri 12 Sept 15:0011.012Fri 12 Sept 15:00');
    expect(a?.textContent).not.toContain('never');
    expect(b?.textContent).toContain('11');
  });
  it('of no row is nothing', () => {
    render(<RecordFound record={recordOfRows([])} system="SI" zone="utc" />);
    expect(screen.getByText(/^No number in it could be read/u)).toBeTruthy();
  });
});
