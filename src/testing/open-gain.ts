import { readFileSync } from 'node:fs';
import path from 'node:path';
import Papa from 'papaparse';
import { type EstimateRules, estimateLater, type GainPair } from '@/core/strength-gain';

const COLUMN = 'compressive_strength_mpa';

/** Mixes of the open data set that were broken at both ages: the means of each, MPa. Provenance in fixtures/README.md. */
export function openPairs(early: number, later = 28): GainPair[] {
  const text = readFileSync(path.resolve('src/testing/fixtures/concrete-strength-1030.csv'), 'utf8');
  const { data } = Papa.parse<Record<string, string>>(text, { header: true, skipEmptyLines: true });
  const mixes = new Map<string, Map<number, number[]>>();
  for (const row of data) {
    const mix = Object.entries(row)
      .filter(([name]) => name.endsWith('_m3'))
      .map(([, value]) => value)
      .join(' ');
    const ages = mixes.get(mix) ?? new Map<number, number[]>();
    mixes.set(mix, ages);
    const age = Number(row.age_d);
    ages.set(age, [...(ages.get(age) ?? []), Number(row[COLUMN])]);
  }
  const mean = (values: readonly number[]): number => values.reduce((a, b) => a + b, 0) / values.length;
  return [...mixes.values()].flatMap((ages) => {
    const [first, last] = [ages.get(early), ages.get(later)];
    return first && last ? [{ early: mean(first), later: mean(last) }] : [];
  });
}

/** How far estimates are off where each mix is estimated by all the others, and by usual shares alone. */
export interface GainError {
  readonly pairs: number;
  /** MPa: mean of the errors, and their root mean square. */
  readonly bias: number;
  readonly spread: number;
  /** Share of later strengths that lie between the ends of their estimate. */
  readonly within: number;
}

/** Each pair is left out once and estimated by the others; `alone` leaves all others out. */
export function openError(pairs: readonly GainPair[], rules: EstimateRules, alone: boolean): GainError {
  const errors = pairs.map(({ early, later }, place) => {
    const { expected, low, high } = estimateLater(alone ? [] : pairs.toSpliced(place, 1), early, rules);
    return { off: expected - later, within: later >= low && later <= high };
  });
  const count = errors.length;
  return {
    pairs: count,
    bias: errors.reduce((sum, { off }) => sum + off, 0) / count,
    spread: Math.sqrt(errors.reduce((sum, { off }) => sum + off ** 2, 0) / count),
    within: errors.filter(({ within }) => within).length / count,
  };
}
