import type { Limits } from '../../limits';
import { type Exact, largest, meanOf, type RoundingMode, smallest } from '../../quantity';
import type { Result } from '../contract';
import { type RunInput, readMeasure } from '../fields';
import { resultOf } from '../outcome';
import { LENGTH_UNIT } from '../press/units';

export const SIDES = ['width', 'height', 'length'] as const;
export type Side = (typeof SIDES)[number];

/** The two readings of a side of a unit, once both are there. */
export function sideOf(input: RunInput, side: Side): readonly [Exact, Exact] | undefined {
  const [one, two] = [1, 2].map((place) => readMeasure(input, `${side}${place}`)?.value);
  return one && two ? [one, two] : undefined;
}

/** The mean of a side; undefined while one of its readings is missing. */
export function meanSide(input: RunInput, side: Side): Exact | undefined {
  const both = sideOf(input, side);
  return both && meanOf(both);
}

/** How far a unit’s sizes are off the specified ones, side by side; in or mm. */
export function variations(
  input: RunInput,
  specified: Readonly<Partial<Record<Side, Exact>>>,
): readonly { readonly side: Side; readonly off: Exact }[] {
  return SIDES.flatMap((side) => {
    const [mean, wanted] = [meanSide(input, side), specified[side]];
    return mean && wanted ? [{ side, off: mean.minus(wanted) }] : [];
  });
}

/** The greatest of them as results: of all sides, and of length and width alone. */
export function variationResults(
  off: ReturnType<typeof variations>,
  { system }: RunInput,
  limits: Limits,
  mode: RoundingMode,
): Result[] {
  const step = limits.number('unit.size-step', system);
  const greatest = (quantity: string, symbol: string, of: typeof off): Result[] => {
    if (of.length === 0) return [];
    const value = largest(of.map((each) => each.off.abs()));
    return [resultOf({ quantity, symbol, value, unit: LENGTH_UNIT[system], step, mode })];
  };
  return [
    ...greatest('greatest variation', 'v', off),
    ...greatest(
      'greatest variation in plan',
      'vp',
      off.filter(({ side }) => side !== 'height'),
    ),
  ];
}

/**
 * The face shell of a unit.
 * @returns the mean of both where they are alike, else the thinner one
 * Source: ASTM C140/C140M annex A1 (from memory); at the very difference the thinner counts: our choice.
 */
export function faceShell(shells: readonly [Exact, Exact], alike: Exact): Exact {
  const [one, two] = shells;
  return one.minus(two).abs().lessThan(alike) ? meanOf(shells) : smallest(shells);
}
