import fc from 'fast-check';
import { describe, expect, it } from 'vitest';
import { guessRows, readStampedRows, type Stamp, type StampedMapping } from '.';

const isNumber = (cell: string): boolean => /^-?\d+(?:[.,]\d+)?$/u.test(cell);
const NONE = /^note$/u;
const read = (text: string, over: Partial<StampedMapping> = {}, zone = 'utc') => {
  const guessed = guessRows(text, isNumber, NONE);
  if (!guessed) return undefined;
  const mapping = { ...guessed.mapping, names: [], ...over };
  return { ...guessed, ...readStampedRows(text, mapping, Number, zone) };
};

describe('rows with stamps', () => {
  it.each<[string, Stamp, number]>([
    ['s,a\n0,1\n90,2', 's', 90],
    ['min,a\n0,1\n90,2', 'min', 5400],
    ['hours,a\n0,1\n1.5,2', 'h', 5400],
    ['days,a\n0,1\n0.5,2', 'd', 43_200],
    ['time (ms),a\n0,1\n500,2', 'ms', 0.5],
    ['elapsed,a\n00:00:00,1\n26:30:15,2', 'h:mm:ss', 95_415],
    ['time,a\n2031-09-12 12:00,1\n2031-09-12 12:30,2', 'instant', 1800],
    ['time,a\n13.09.2031 12:00,1\n13.09.2031 13:00,2', 'day first', 3600],
  ])('%j is counted in %s', (text, stamp, seconds) => {
    const found = read(text);
    expect(found?.mapping.stamp).toBe(stamp);
    expect(found?.seconds[1]).toBeCloseTo(seconds, 6);
    expect(Array.from(found?.values[0] ?? [])).toEqual([1, 2]);
  });
  it('a time of day is no time that runs: it wants its date', () => {
    expect(guessRows('clock,a\n08:15:00,1\n08:30:00,2', isNumber, NONE)).toBeNull();
  });
  it('columns that are none are passed over, by their heading', () => {
    const found = read('h,note,a\n0,7,1\n1,8,2');
    expect(found?.mapping.columns).toEqual([2]);
  });
  it('a heading of numbers is a heading', () => {
    expect(read('h,1,2\n0,5,6\n1,7,8')?.mapping).toMatchObject({ header: 1, time: 0, columns: [1, 2] });
    // Where nothing stands to the left of it below either, the first row is a row.
    expect(read('0,5,6\n1,7,8')?.mapping).toMatchObject({ header: 0, time: 0, columns: [1, 2] });
  });
  it('lines before the heading are kept apart, for the unit that may stand there', () => {
    const found = read('Calorimeter\nall in mW\nh;a\n0,0;1,5\n1,0;2,5');
    expect(found?.above.slice(0, 2)).toEqual(['Calorimeter', 'all in mW']);
    expect(found?.mapping).toMatchObject({ delimiter: ';', decimalComma: true, header: 3 });
  });
  it('two ways of a date are said, and never guessed', () => {
    expect(read('time,a\n03/04/2031 12:00,1\n05/06/2031 12:00,2')?.twoWays).toBe(true);
    expect(read('time,a\n03/04/2031 12:00,1\n13/04/2031 12:00,2')?.twoWays).toBe(false);
  });
  it('rows that stand twice, go back or cannot be read are told', () => {
    const found = read('h,a\n0,1\n1,2\n1,9\n0.5,9\n2,3\nx,4');
    expect(Array.from(found?.values[0] ?? [])).toEqual([1, 2, 3]);
    expect(found?.troubles).toEqual(['rows doubled', 'goes back', 'rows not read']);
    expect([found?.unread, found?.examples]).toEqual([1, ['x,4']]);
  });
  it('a record begins when its own clock says, in the zone that it is set to', () => {
    const text = 'time,a\n2031-09-12T08:00:00,1\n2031-09-12T08:10:00,2';
    expect(read(text, {}, 'America/New_York')?.start).toBe(Date.UTC(2031, 8, 12, 12) / 1000);
    expect(read(text, {}, 'utc')?.start).toBe(Date.UTC(2031, 8, 12, 8) / 1000);
    expect(read('h,a\n0,1\n1,2')?.start).toBeNull();
  });
  it('whatever rises comes back as it was written', () => {
    const rows = fc.uniqueArray(fc.integer({ min: 0, max: 100_000 }), { minLength: 2, maxLength: 40 });
    fc.assert(
      fc.property(rows, fc.integer({ min: -9999, max: 9999 }), (times, off) => {
        const rising = times.toSorted((a, b) => a - b);
        const found = read(`s,a\n${rising.map((second, row) => `${second},${off + row}`).join('\n')}`);
        expect(Array.from(found?.seconds ?? [])).toEqual(rising.map((each) => each - (rising[0] ?? 0)));
        expect(Array.from(found?.values[0] ?? [])).toEqual(rising.map((_, row) => off + row));
      }),
    );
  });
});
