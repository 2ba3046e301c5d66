import type { LimitId, Limits } from '../../limits';
import { type Exact, exact, type System } from '../../quantity';
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
export function expectedStrength(setup: Known, system: System, limits: Limits): Exact | undefined {
  const specified = factMeasure(setup, 'specifiedStrength', 'stress', STRESS_UNIT[system]);
  return specified
    ?.times(limits.number('expected.over-specified', system))
    .times(youngShare(setup, system, limits));
}

type Known = Pick<RunSetup, 'specimen' | 'facts'>;

/** Share of the strength at the designated age that is usual by the specimen's age; one from that age on. */
export function youngShare(setup: Known, system: System, limits: Limits): Exact {
  const ageHours = setup.specimen?.ageHours;
  const designatedAgeHours = Number(factText(setup, 'designatedAgeHours') ?? 0);
  if (!ageHours || !designatedAgeHours || ageHours >= designatedAgeHours) return exact(1);
  const young = YOUNG.find((row) => ageHours <= row.hours);
  return young ? limits.number(young.id, system) : exact(1);
}
