import fc from 'fast-check';
import { describe, expect, it } from 'vitest';
import { instantOf, plainNumber, readTable } from './table';

describe('a table out of a file', () => {
  it.each([
    ['a,b\n1,2', ','],
    ['a;b\n1;2', ';'],
    ['a\tb\n1\t2', 'tab'],
    ['\uFEFFa,b\r\n1,2\r\n', 'byte order mark and carriage returns'],
    ['A , B\n 1 , 2 \n\n', 'spaces and empty rows'],
  ])('reads %j (%s)', (text) => {
    expect(readTable(text, ['a', 'b']).rows).toEqual([{ line: 2, cells: { a: '1', b: '2' } }]);
  });
  it('joins words in headings and keeps the line of the file', () => {
    const table = readTable('Time Loaded,moisture-pct\n\n,\n07:40,2', ['time_loaded']);
    expect(table.rows).toEqual([{ line: 4, cells: { time_loaded: '07:40', moisture_pct: '2' } }]);
  });
  it('reads quoted cells with delimiters and line ends inside', () => {
    expect(readTable('a,b\n"1,5","x\ny"', ['a']).rows[0]?.cells).toEqual({ a: '1,5', b: 'x\ny' });
  });
  it.each([
    ['', /empty/],
    [' , \n1,2', /empty/],
    ['a,c\n1,2', /Missing column: b. Found: a, c/],
    ['c\n1', /Missing columns: a, b/],
  ])('says what is wrong with %j', (text, problem) => {
    const table = readTable(text, ['a', 'b']);
    expect(table.problem).toMatch(problem);
    expect(table.rows).toEqual([]);
  });
  it('never throws, whatever it is given', () => {
    fc.assert(
      fc.property(fc.string(), (text) => {
        expect(() => readTable(text, ['a'])).not.toThrow();
      }),
    );
  });
});

describe('a number in a file', () => {
  it.each([
    ['12', '12'],
    ['12,5', '12.5'],
    [' .5 ', '.5'],
    ['-3.0', '-3.0'],
    ['12.', '12.'],
    ['1,234.5', null],
    ['1e5', null],
    ['', null],
    ['12 lb', null],
  ])('%j is %s', (text, number) => {
    expect(plainNumber(text)).toBe(number);
  });
});

describe('a date and clock in a file', () => {
  it.each([
    ['2031-05-14T09:30:00-04:00', '2031-05-14T13:30:00.000Z'],
    ['2031-05-14T13:30Z', '2031-05-14T13:30:00.000Z'],
    ['2031-05-14 09:30', '2031-05-14T13:30:00.000Z'],
    ['2031-05-14 09:30:15', '2031-05-14T13:30:15.000Z'],
    ['14.05.2031 09:30', '2031-05-14T13:30:00.000Z'],
    ['2031-12-14 09:30', '2031-12-14T14:30:00.000Z'],
    ['09:30', null],
    ['2031-13-40 09:30', null],
    ['yesterday', null],
    ['', null],
  ])('%j in New York is %s', (text, instant) => {
    expect(instantOf(text, 'America/New_York')).toBe(instant);
  });
});
