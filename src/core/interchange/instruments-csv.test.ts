import { describe, expect, it } from 'vitest';
import { readInstruments } from './instruments-csv';

const KINDS = ['thermometer', 'balance', 'sensor pack'];
const read = (rows: string, known: readonly string[] = []) =>
  readInstruments(`number,kind,name,place,verified_on,certificate,serials\n${rows}`, KINDS, new Set(known));

describe('a list of instruments', () => {
  it('reads what each row says', () => {
    expect(read('TH-09,Thermometer,Digital,Van 2,2031-02-03,C-88').rows).toEqual([
      {
        line: 2,
        number: 'TH-09',
        kind: 'thermometer',
        name: 'Digital',
        place: 'Van 2',
        verifiedOn: '2031-02-03',
        verifiedFrom: '',
        verifiedTo: '',
        certificate: 'C-88',
        serials: '',
        errors: [],
      },
    ]);
  });
  it.each([
    [',thermometer,x,,,', /number is missing/],
    ['A,thermometer,,,,', /name is missing/],
    ['A,sextant,x,,,', /kind "sextant" is none of: thermometer, balance, sensor pack/],
    ['A,sensor pack,x,,2031-02-03,', /certificate is missing,serials are missing/],
    ['A,sensor pack,x,,2031-02-03,C-1,all', /"all" is no serial number/],
    ['A,balance,x,,2031-02-30,', /no day/],
    ['A,balance,x,,03.02.2031,', /no day/],
    [`${'9'.repeat(31)},balance,x,,,`, /at most 30/],
  ])('says what is wrong: %j', (row, error) => {
    expect(read(row).rows[0]?.errors.join()).toMatch(error);
  });
  it('shows what is there already or stands twice, and overwrites nothing', () => {
    const { rows } = read('A,balance,x,,,\nB,balance,x,,,\nB,balance,y,,,', ['A']);
    expect(rows.map(({ errors }) => errors.length)).toEqual([1, 0, 1]);
    expect(rows[0]?.errors[0]).toMatch(/in the register already/);
    expect(rows[2]?.errors[0]).toMatch(/stands twice/);
  });
  it('says when there is nothing in it', () => {
    expect(read('').problems).toEqual(['The file has a header and no rows.']);
    expect(readInstruments('number\nA', KINDS, new Set()).problems[0]).toMatch(/Missing columns: kind, name/);
  });
});
