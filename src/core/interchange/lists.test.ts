import { describe, expect, it } from 'vitest';
import { columnName, LISTS, type ListColumn, readList } from './lists';

const COLUMNS: readonly ListColumn[] = [{ name: 'number', needed: true }, { name: 'verified_on' }];

describe('a list', () => {
  it('is read by the names of its columns, in any order, whatever separates them', () => {
    expect(readList('Verified on;Number\n2031-02-03; TH-1 \n\n;TH-2', COLUMNS)).toEqual({
      rows: [
        { line: 2, cells: { verified_on: '2031-02-03', number: 'TH-1' } },
        { line: 4, cells: { verified_on: '', number: 'TH-2' } },
      ],
      problem: null,
    });
  });
  it.each([
    ['', /empty/],
    ['verified_on\n2031-02-03', /Missing column: number/],
    ['number,colour\nTH-1,red', /Nothing here is called colour. The columns are: number, verified_on/],
    ['number', /a header and no rows/],
  ])('that is none says so: %j', (text, words) => {
    expect(readList(text, COLUMNS)).toMatchObject({ rows: [], problem: expect.stringMatching(words) });
  });
});

it('columns are called as fields are, in small letters', () => {
  expect(['code', 'specifiedStrength', 'ageDays'].map(columnName)).toEqual([
    ...['code', 'specified_strength', 'age_days'],
  ]);
});

it.each(Object.entries(LISTS))('of %s no column stands twice, and some are needed', (_, { columns }) => {
  const names = columns.map(({ name }) => name);
  expect(new Set(names).size).toBe(names.length);
  expect((columns as readonly ListColumn[]).some(({ needed }) => needed)).toBe(true);
});
