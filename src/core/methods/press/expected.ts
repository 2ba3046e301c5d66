import type { LimitId, Limits } from '../../limits';
import type { Exact, System } from '../../quantity';
import { factMeasure, factText } from '../facts';
import type { RunSetup } from '../setup';
import { STRESS_UNIT } from './units';

const YOUNG: readonly { hours: number; id: LimitId }[] = [
  { hours: 72, id: 'expected.3d' },
  { hours: 168, id: 'expected.7d' },
  { hours: 336, id: 'expected.14d' },
];

/**
 * Strength expected at the specimen's age: the specified strength times the usual excess and, before the designated age,
 * the share usual by then.
 */
export function expectedStrength(
  setup: Pick<RunSetup, 'specimen' | 'facts'>,
  system: System,
  limits: Limits,
): Exact | undefined {
  const ageHours = setup.specimen?.ageHours;
  const designatedAgeHours = Number(factText(setup, 'designatedAgeHours') ?? 0);
  const specified = factMeasure(setup, 'specifiedStrength', 'stress', STRESS_UNIT[system]);
  const mature = specified?.times(limits.number('expected.over-specified', system));
  if (!mature || !ageHours || !designatedAgeHours || ageHours >= designatedAgeHours) return mature;
  const young = YOUNG.find((row) => ageHours <= row.hours);
  return young ? mature.times(limits.number(young.id, system)) : mature;
}
