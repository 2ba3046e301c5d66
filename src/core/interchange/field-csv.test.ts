import Papa from 'papaparse';
import { describe, expect, it } from 'vitest';
import { Limits } from '../limits';
import { type CustodyRow, clockLogCsv, custodyCsv } from './field-csv';

const DAY = Date.UTC(2031, 4, 14);
const at = (minutes: number, seconds = 0): number => DAY + (minutes * 60 + seconds) * 1000;
const rowsOf = (csv: string) => Papa.parse<Record<string, string>>(csv, { header: true }).data;

describe('the clocks of samples as a table', () => {
  const stamps = {
    'first-portion': at(600),
    'final-portion': at(608),
    composite: at(609),
    'slump-fill': at(611),
    'lift-start': at(613),
    'lift-end': at(613, 5),
  };
  it('has a row for each clock that ended, in UTC, with what is allowed', () => {
    const rows = rowsOf(clockLogCsv([{ label: 'S-1', stamps, made: [] }], new Limits(), 'US'));
    expect(rows.length).toBeGreaterThan(2);
    // First and final portion within 15 min: ASTM C172 (from memory).
    const portions = rows.find(({ elapsed_s, max_s }) => elapsed_s === '480' && max_s === '900');
    expect(portions).toMatchObject({
      sample: 'S-1',
      start_utc: '2031-05-14T10:00:00.000Z',
      stop_utc: '2031-05-14T10:08:00.000Z',
      verdict: 'met',
    });
    // A lift of 5 ± 2 s: ASTM C143 (from memory).
    expect(rows.find(({ elapsed_s }) => elapsed_s === '5')).toMatchObject({ min_s: '3', max_s: '7' });
  });
  it('says what was missed', () => {
    const late = { ...stamps, 'final-portion': at(616) };
    const rows = rowsOf(clockLogCsv([{ label: 'S-1', stamps: late, made: [] }], new Limits(), 'US'));
    expect(rows.find(({ elapsed_s, max_s }) => elapsed_s === '960' && max_s === '900')?.verdict).toBe(
      'missed',
    );
  });
  it('is only its head where nothing was stamped', () => {
    const csv = clockLogCsv([{ label: 'S-1', stamps: {}, made: [] }], new Limits(), 'US');
    expect(csv.trimEnd()).toBe('sample,clock,start_utc,stop_utc,elapsed_s,min_s,max_s,verdict');
  });
});

describe('custody as a table', () => {
  const row: CustodyRow = {
    specimen: 'S-1-A',
    event: 'collected',
    at: new Date(at(1500)),
    from: 'site',
    to: 'laboratory',
    place: 'Moist room, shelf 2',
    condition: 'chipped',
    note: 'edge "north",\nsmall',
  };
  it('comes back as it was, commas, quotes and line ends too', () => {
    expect(rowsOf(custodyCsv([row]))).toEqual([
      {
        specimen: 'S-1-A',
        event: 'collected',
        at_utc: '2031-05-15T01:00:00.000Z',
        from: 'site',
        to: 'laboratory',
        place: 'Moist room, shelf 2',
        condition: 'chipped',
        note: 'edge "north",\nsmall',
      },
    ]);
  });
  it('keeps its order', () => {
    const csv = custodyCsv([row, { ...row, event: 'received' }]);
    expect(rowsOf(csv).map(({ event }) => event)).toEqual(['collected', 'received']);
  });
});
