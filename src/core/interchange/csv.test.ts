import { readdirSync, readFileSync } from 'node:fs';
import path from 'node:path';
import fc from 'fast-check';
import Papa from 'papaparse';
import { describe, expect, it } from 'vitest';
import { csvText, guardFormula } from './csv';
import { custodyCsv } from './field-csv';

describe('a cell of a list', () => {
  it.each([
    '=1+1',
    '+cmd',
    '@SUM(A1)',
    '-1+cmd|x',
    '-cmd',
    '\t=1',
    '\r=1',
    '\n=1',
    ' =1',
    '-',
    '|x',
    '%x',
    '+1+cmd',
  ])('that a spreadsheet would run is text: %j', (text) => expect(guardFormula(text)).toBe(`'${text}`));
  it.each(['-1', '-1.5', '+4', '4,500', '-2e-5', '', 'Wall A', '2 - 3', 12, null])(
    'stays as it is: %j',
    (value) => expect(guardFormula(value)).toBe(value),
  );
  it('begins with nothing that a spreadsheet runs, whatever it says, unless it is a number', () => {
    fc.assert(
      fc.property(fc.string(), (text) => {
        const guarded = String(guardFormula(text));
        if (guarded === text && /^\s*[=+\-@]/u.test(text))
          expect(Number.isNaN(Number(text.replaceAll(',', '')))).toBe(false);
      }),
    );
  });
  it('comes back as it went, but for the mark', () => {
    fc.assert(
      fc.property(fc.array(fc.string(), { minLength: 1, maxLength: 4 }), (row) => {
        const [, back = []] = Papa.parse<string[]>(
          csvText(
            row.map((_, index) => `c${index}`),
            [row],
          ),
          { delimiter: ',' },
        ).data;
        expect(back).toEqual(row.map((cell) => guardFormula(cell)));
      }),
    );
  });
});

it('every word of a custody list is guarded', () => {
  const words = '=HYPERLINK("http://x.invalid")';
  const csv = custodyCsv([
    {
      specimen: words,
      event: words,
      at: new Date(0),
      from: words,
      to: words,
      place: words,
      condition: words,
      note: words,
    },
  ]);
  const [, row = []] = Papa.parse<string[]>(csv).data;
  expect(row.filter((cell) => cell.startsWith('='))).toEqual([]);
});

it('no other file writes lists of its own', () => {
  const files = readdirSync('src', { recursive: true, encoding: 'utf8' }).filter((file) =>
    /\.tsx?$/u.test(file),
  );
  const writers = files.filter((file) => /\bunparse\(/u.test(readFileSync(path.join('src', file), 'utf8')));
  expect(writers.filter((file) => !file.endsWith('.test.ts'))).toEqual([
    path.join('core', 'interchange', 'csv.ts'),
  ]);
});
