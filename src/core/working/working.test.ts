import { describe, expect, it } from 'vitest';
import { exact } from '../quantity';
import {
  bySeverity,
  commonPractice,
  finding,
  isReportable,
  ourChoice,
  prettyFormula,
  Sheet,
  sourceText,
  standard,
} from '.';

describe('a calculation sheet', () => {
  const line = {
    symbol: 'x',
    name: 'Mean',
    formula: '(a + b) / 2',
    uses: { a: exact('4.00'), b: exact('4.01') },
    unit: 'in' as const,
    source: standard('ASTM C39/C39M'),
  };

  it('hands on the unrounded value unless the method says otherwise', () => {
    const sheet = new Sheet('half-even');
    const round = { step: '0.01', rule: 'to 0.01 in' };
    expect(sheet.line({ ...line, round }).toFixed()).toBe('4.005');
    expect(sheet.line({ ...line, round, carry: 'rounded' }).toFixed()).toBe('4');
    expect(sheet.lines.map(({ rounded, carry }) => [rounded, carry])).toEqual([
      ['4.00', 'unrounded'],
      ['4.00', 'rounded'],
    ]);
  });

  it('rounds by the mode of the project, and says which', () => {
    const sheet = new Sheet('half-up');
    sheet.line({ ...line, round: { step: '0.01', rule: 'to 0.01 in' } });
    expect(sheet.lines[0]).toMatchObject({ rounded: '4.01', rounding: { mode: 'half-up', step: '0.01' } });
  });

  it('puts the numbers in the place of the symbols, and only there', () => {
    const sheet = new Sheet('half-even');
    sheet.line({ ...line, formula: 'pi * D1^2 / (4 * D)', uses: { D1: exact(-2), D: exact('0.5') } });
    expect(sheet.lines[0]?.substituted).toBe('pi * (-2)^2 / (4 * 0.5)');
    expect(sheet.lines[0]).toMatchObject({ rounding: null, rounded: '6.28319' });
  });

  it('never shows an exponent, however small or large', () => {
    const sheet = new Sheet('half-even');
    for (const value of ['0.00000012345678901234567', '123456789012345678'])
      sheet.line({ ...line, formula: 'a', uses: { a: exact(value) } });
    for (const { value } of sheet.lines) expect(value).toMatch(/^[\d.]+$/);
  });

  it('is read by people as they write it', () => {
    expect(prettyFormula('4 * P / (pi * D^2)')).toBe('4·P / (π·D²)');
  });
});

it('names its sources as what they are', () => {
  expect(sourceText(standard('ACI 318', '26.12.3'))).toBe('ACI 318, 26.12.3');
  expect(sourceText(commonPractice)).toBe('common practice, no source');
  expect(sourceText(ourChoice('ask again'))).toBe('our choice: ask again');
});

describe('findings', () => {
  const base = { id: 'a', fields: [], message: 'm', action: 'do something' };
  it('that forbid a result always ask for a reason; others only where said', () => {
    expect(finding({ ...base, severity: 'invalid' }).needsReason).toBe(true);
    expect(finding({ ...base, severity: 'departure' }).needsReason).toBe(false);
    expect(finding({ ...base, severity: 'departure', needsReason: true }).needsReason).toBe(true);
  });

  it('stand the most serious first, otherwise as they were found', () => {
    const all = (['advice', 'invalid', 'departure', 'invalid'] as const).map((severity, index) =>
      finding({ ...base, id: String(index), severity }),
    );
    expect(bySeverity(all).map(({ id }) => id)).toEqual(['1', '3', '2', '0']);
    expect(isReportable(all)).toBe(false);
    expect(isReportable(all.filter(({ severity }) => severity !== 'invalid'))).toBe(true);
  });
});
