import { isWithin, type Limits } from '../../limits';
import { type Exact, exact, meanOf, plainOf } from '../../quantity';
import type { Finding } from '../../working';
import type { Result } from '../contract';
import { factTexts } from '../facts';
import { limitFinding } from '../limit-finding';
import { setupMeasure } from '../measure-text';
import type { RunSetup } from '../setup';
import { type PipeLoads, UNITS_OF } from './loads';

/** The share of its class that a pipe has between crack and end, percent; undefined where one of them is no more than a bound. */
function ratioShare(results: readonly Result[], { design, ultimate }: PipeLoads): Exact | undefined {
  const [crack, most] = results;
  if (
    !design ||
    !ultimate ||
    !crack ||
    !most ||
    [crack, most].some(({ bound, provisional }) => bound ?? provisional)
  )
    return undefined;
  return exact(most.value).div(crack.value).div(ultimate.div(design)).times(100);
}

/**
 * What a careful technician compares: the first hairline with that of earlier pipe of its class, the end with the crack.
 * @param read the first hairline on the pipe, lbf or kN
 * @param setup facts: the first hairlines of earlier pipe, as their gauges showed them
 */
export function likelyFindings(
  results: readonly Result[],
  loads: PipeLoads,
  { hairline }: { readonly hairline: Exact | undefined },
  limits: Limits,
  setup: RunSetup,
): Finding[] {
  const system = loads.system;
  const { force } = UNITS_OF[system];
  const found: Finding[] = [];
  const earlier = factTexts(setup, 'hairlines').flatMap((text) => setupMeasure(text, 'force', force) ?? []);
  const usual = earlier.length > 0 ? meanOf(earlier) : undefined;
  if (hairline && usual && !isWithin(hairline.div(usual).times(100), limits.of('teb.hairline-early', system)))
    found.push(
      limitFinding(
        limits,
        system,
        { id: 'teb.hairline-early', severity: 'advice', fields: ['hairline'] },
        {
          message: `Earlier pipe of its class showed the first hairline at ${plainOf(usual.toSignificantDigits(3), force)}.`,
          action: 'Look at the cover and the place of the cage, and whether it is the cage of its class.',
        },
      ),
    );
  const share = ratioShare(results, loads);
  if (share && !isWithin(share, limits.of('teb.ratio', system)))
    found.push(
      limitFinding(
        limits,
        system,
        { id: 'teb.ratio', severity: 'advice', fields: ['most'] },
        {
          message: `Between crack and end it has ${share.toFixed(0)} % of what its class has.`,
          action: share.lessThan(100)
            ? 'Look at the steel: area, strength, laps; or the load was let down too early.'
            : 'Was the crack called too early, by the eye?',
        },
      ),
    );
  return found;
}
