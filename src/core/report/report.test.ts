import { describe, expect, it } from 'vitest';
import { breakWords, type ReportSet, type ReportTest, remarksOf, resultText, setName } from '.';

const TEST: ReportTest = {
  title: 'Cylinder compression',
  method: 'ASTM C39/C39M',
  attempt: 1,
  at: '11 Jun 2031 09:05 UTC-04:00',
  by: 'A technician',
  readings: [
    { label: 'Ends', text: 'Unbonded pads' },
    { label: 'Maximum load', text: '61,870 lbf' },
    { label: 'Fracture', text: '3 Vertical cracks through both ends' },
    { label: 'Fracture in words', text: '' },
  ],
  results: [
    {
      quantity: 'compressive strength',
      symbol: 'f',
      value: '4923.4',
      reported: '4920',
      text: '4,920',
      unit: 'psi',
      step: '10',
    } as unknown as ReportTest['results'][number],
  ],
  lines: [],
  remarks: ['Tested late.'],
  conformity: [],
  equipment: [],
  valid: true,
};
const SET: ReportSet = {
  age: '28 d',
  cure: 'standard',
  value: '4,900',
  unit: 'psi',
  state: 'tested',
  designated: true,
  used: ['S-1-A'],
  leftOut: [],
  lines: [],
  remarks: ['The range is wide.'],
};

describe('what a test came to', () => {
  it('is its first result with its unit', () => expect(resultText(TEST)).toBe('4,920 psi'));
  it('is none where it is not valid, whatever was read', () => {
    expect(resultText({ ...TEST, valid: false })).toBe('no valid result');
    expect(resultText({ results: [], valid: false })).toBe('no valid result');
  });
  it('is done where a method has no number of its own', () => {
    expect(resultText({ results: [], valid: true })).toBe('done');
  });
});

it('a break is told by its ends and its fracture, what was not said left out', () => {
  expect(breakWords(TEST)).toBe('Unbonded pads; 3 Vertical cracks through both ends');
  expect(breakWords({ ...TEST, readings: [] })).toBe('');
});

it('a set is called by what it is of, or by whether the strength is asked for at its age', () => {
  expect(setName(SET)).toBe('Strength test');
  expect(setName({ ...SET, designated: false })).toBe('For information');
  expect(setName({ ...SET, designated: false, what: 'Cores' })).toBe('Cores');
});

it('remarks say what each is about, fresh tests first, sets last', () => {
  const specimen = { label: 'S-1-A', size: '', cure: '', designatedAge: '', age: '', castAt: '', test: TEST };
  expect(
    remarksOf({
      fresh: [{ ...TEST, title: 'Slump', remarks: ['Shear.', 'Again.'] }],
      specimens: [specimen],
      sets: [SET, { ...SET, what: 'Cores', age: '39 d', remarks: ['The arithmetic meets the rule.'] }],
    }),
  ).toEqual([
    'Slump: Shear.',
    'Slump: Again.',
    'S-1-A: Tested late.',
    'Strength test at 28 d: The range is wide.',
    'Cores at 39 d: The arithmetic meets the rule.',
  ]);
});
