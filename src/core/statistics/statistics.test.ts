import { readFileSync } from 'node:fs';
import path from 'node:path';
import Papa from 'papaparse';
import { mean, sampleStandardDeviation } from 'simple-statistics';
import { describe, expect, it } from 'vitest';
import { exact, meanOf } from '../quantity';
import { rangePercent, standardDeviation, withinTest } from '.';

// Open data: I-C. Yeh, Cement and Concrete Research 28(12), 1998; see the fixtures' README.
const csv = readFileSync(path.resolve('src/testing/fixtures/concrete-strength-1030.csv'), 'utf8');
const rows = Papa.parse<Record<string, string>>(csv, { header: true, skipEmptyLines: true }).data;
const ageColumn = Object.keys(rows[0] ?? {}).find((name) => /age/i.test(name)) ?? '';
const strengthColumn = Object.keys(rows[0] ?? {}).find((name) => /strength/i.test(name)) ?? '';
const at = (days: number): string[] =>
  rows.filter((row) => Number(row[ageColumn]) === days).map((row) => row[strengthColumn] ?? '');

describe('mean and deviation of 1,030 published results', () => {
  it('has all of them', () => expect(rows.length).toBe(1030));

  it.each([3, 7, 28, 90])('agrees with the statistics library at %s d', (days) => {
    const values = at(days);
    const numbers = values.map(Number);
    expect(meanOf(values.map(exact)).toNumber()).toBeCloseTo(mean(numbers), 10);
    expect(standardDeviation(values.map(exact))?.toNumber()).toBeCloseTo(
      sampleStandardDeviation(numbers),
      10,
    );
  });

  it('shows concrete gaining strength', () => {
    const means = [3, 7, 28, 90].map((days) => meanOf(at(days).map(exact)).toNumber());
    expect(means).toEqual(means.toSorted((a, b) => a - b));
  });
});

it('gives within-test variation by ACI 214R (divisor from memory; figures worked by hand)', () => {
  const sets = [
    [4520, 4610, 4580],
    [4390, 4300, 4450],
    [4710, 4660, 4760],
    [4250, 4330, 4280],
    [4600, 4480, 4550],
    [4820, 4750, 4790],
    [4410, 4520, 4470],
    [4350, 4290, 4400],
    [4680, 4590, 4640],
    [4540, 4630, 4500],
  ].map((set) => set.map((value) => exact(value)));
  const result = withinTest(sets);
  expect(result?.meanRange.toFixed(1)).toBe('105.0');
  expect(result?.deviation.toFixed(2)).toBe('62.02');
  expect(result?.coefficient.toFixed(2)).toBe('1.37');
  expect(withinTest([[exact(1)]])).toBeUndefined();
  expect(withinTest([])).toBeUndefined();
});

it('says nothing where there is nothing to say', () => {
  expect(standardDeviation([exact(1)])).toBeUndefined();
  expect(rangePercent([exact(5)])).toBeUndefined();
  expect(rangePercent([exact(-1), exact(1)])).toBeUndefined();
});
