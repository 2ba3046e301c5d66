import { describe, expect, it } from 'vitest';
import { firstRows, guessMapping, readLoadLog } from '../signals';
import { isReading, parsePressLine } from './protocol';
import type { ReadingLine } from './reading';
import { loadIn, recordCsv, recordOf } from './record';

const line = (seq: number, more: Partial<ReadingLine> = {}): ReadingLine => ({
  seq,
  t: seq / 50,
  load: seq,
  unit: 'kN',
  peak: seq,
  pos: 3,
  pump: true,
  approach: false,
  fine: 0.2,
  door: true,
  at: 0,
  ...more,
});

describe('a recorded stream', () => {
  it('takes what came twice once, in order, and names what never came', () => {
    const { readings, missing, doubled } = recordOf([line(3), line(4), line(4), line(8), line(7)], 1);
    expect(readings.map(({ seq }) => seq)).toEqual([3, 4, 7, 8]);
    expect(missing).toEqual([
      [1, 2],
      [5, 6],
    ]);
    expect(doubled).toBe(1);
  });
  it('points at time that does not go forward, and at a unit that changed', () => {
    const odd = recordOf([line(1), line(2, { t: 0.01 }), line(3, { unit: 'lbf' }), line(4, { unit: 'lbf' })]);
    expect(odd.backward).toEqual([2]);
    expect(odd.unitChangedAt).toBe(3);
    expect(recordOf([]).readings).toEqual([]);
  });
  it('leaves as an open file in the unit of the run, whatever the device changed to on its way', () => {
    const record = recordOf([
      line(1, { load: 100 }),
      line(2, { load: 22_480.894, unit: 'lbf' }),
      line(3, { load: 101 }),
    ]);
    const csv = recordCsv(record, 'kN');
    const mapping = guessMapping(csv);
    expect(firstRows(csv, ',')[0]).toEqual(['time_s', 'load_kN', 'position_mm', 'fine']);
    expect(mapping?.loadUnit).toBe('kN');
    if (!mapping) return;
    const { load } = readLoadLog(csv, mapping, 'kN');
    expect([...load].map((value) => Number(value.toFixed(3)))).toEqual([100, 100, 101]);
  });
  it('converts by the exact factor, and nothing when nothing is to be', () => {
    expect(loadIn(1, 'kN', 'lbf')).toBeCloseTo(224.808943, 6);
    expect(loadIn(0.05, 'kN', 'kN')).toBe(0.05);
  });
});

describe('a line of a device', () => {
  it.each([
    '',
    'no json',
    '[]',
    '{"seq":1}',
    '{"seq":1,"t":"x","load":1,"peak":1,"pos":0,"unit":"kN"}',
    'null',
  ])('that says nothing is left aside: %s', (text) => expect(parsePressLine(text)).toBeNull());
  it('is known by what it says', () => {
    const read = parsePressLine(JSON.stringify(line(5)));
    expect(read && isReading(read) && read.seq).toBe(5);
    expect(parsePressLine('{"beat":5,"state":"idle"}')).toEqual({ beat: 5, state: 'idle' });
  });
});
