import type { Limits } from '../../limits';
import type { Exact, System } from '../../quantity';
import { factMeasure } from '../facts';
import { expectedStrength, STRESS_UNIT, youngShare } from '../press';
import type { RunSetup } from '../setup';

/**
 * Modulus of rupture that a beam will probably reach at its age: what is asked for, and more as is usual, else what goes
 * with the compressive strength. It grows with the root of the strength.
 * @returns psi or MPa; undefined where neither is asked for
 * Source: 9 √f′c psi, 0.75 √f′c MPa, common practice, no source.
 */
export function expectedRupture(setup: RunSetup, system: System, limits: Limits): Exact | undefined {
  const asked = factMeasure(setup, 'flexuralStrength', 'stress', STRESS_UNIT[system]);
  if (asked)
    return asked
      .times(limits.number('expected.over-specified', system))
      .times(youngShare(setup, system, limits).sqrt());
  return expectedStrength(setup, system, limits)?.sqrt().times(limits.number('beam.relation', system));
}
