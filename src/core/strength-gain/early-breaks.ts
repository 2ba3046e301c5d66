import type { Limits } from '../limits';
import { convert, parseMeasure, type UnitId } from '../quantity';
import { type Estimate, type EstimateRules, estimateLater, type GainPair } from './later';

/** A set with what its youngest specimens came to. */
export interface EarlyBreak {
  readonly label: string;
  readonly sampleId: string;
  readonly early: { readonly ageHours: number; readonly text: string } | null;
  /** Its strength at the specified age, decimal text; null while it is not broken. */
  readonly value: string | null;
  readonly state: string;
}

/** A set that waits for its age, with what its early break says of it. */
export interface Foreseen extends Estimate {
  readonly label: string;
  readonly sampleId: string;
  readonly early: number;
  /** Chance of what is asked is low enough to look into it now. */
  readonly look: boolean;
}

/** All that the early breaks of a series say. */
export interface Gain {
  /** Age of the early breaks, hours. */
  readonly ageHours: number;
  readonly pairs: readonly GainPair[];
  readonly foreseen: readonly Foreseen[];
  readonly rules: EstimateRules;
}

/** A strength as it is printed, in a unit. */
function numberIn(text: string, unit: UnitId): number | undefined {
  const read = parseMeasure(text.replaceAll(',', ''), 'stress', unit);
  return read.ok ? convert(read.measure.value, read.measure.unit, unit).toNumber() : undefined;
}

const AGES = { 72: '3', 168: '7' } as const;
const least = (range: { readonly low?: { toNumber(): number } | undefined }, other: number): number =>
  range.low?.toNumber() ?? other;

/**
 * What early breaks of a series say of those that still wait; those of one early age stand together, the commonest counts.
 * @param rows of the series, in any order
 * @param asked strength at the specified age, in the unit of the series
 * @returns undefined where nothing was broken early, at an age that is known
 */
export function gainOf(
  rows: readonly EarlyBreak[],
  asked: number,
  unit: UnitId,
  limits: Limits,
): Gain | undefined {
  const read = rows.flatMap((row) => {
    const strength = row.early && numberIn(row.early.text, unit);
    return row.early && strength ? [{ ...row, ageHours: row.early.ageHours, strength }] : [];
  });
  const counts = new Map<number, number>();
  for (const { ageHours } of read) counts.set(ageHours, (counts.get(ageHours) ?? 0) + 1);
  const [commonest] = [...counts].toSorted((a, b) => b[1] - a[1] || b[0] - a[0]);
  const age = commonest?.[0] === 72 || commonest?.[0] === 168 ? commonest[0] : undefined;
  if (age === undefined) return undefined;
  const days = AGES[age];
  const range = limits.of(`gain.range-${days}`, 'US');
  const rules: EstimateRules = {
    shown: limits.number('gain.shown', 'US').toNumber(),
    relied: limits.number('gain.relied', 'US').toNumber(),
    usual: limits.number(`gain.usual-${days}`, 'US').toNumber(),
    usualLeast: least(range, 1),
    usualMost: range.high?.toNumber() ?? 1,
  };
  const own = read.filter(({ ageHours }) => ageHours === age);
  const pairs = own.flatMap(({ strength, value, state }) =>
    state === 'tested' && value !== null ? [{ early: strength, later: Number(value) }] : [],
  );
  const look = limits.number('gain.look', 'US').div(100).toNumber();
  const foreseen = own
    .filter(({ state }) => state === 'pending')
    .map(({ label, sampleId, strength }): Foreseen => {
      const estimate = estimateLater(pairs, strength, rules, asked);
      return {
        ...estimate,
        label,
        sampleId,
        early: strength,
        look: estimate.chance === null ? estimate.expected < asked : estimate.chance < look,
      };
    });
  return { ageHours: age, pairs, foreseen, rules };
}
