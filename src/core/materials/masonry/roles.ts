import type { RolePiece, RoleProposal } from '../../material/contract';
import { type FactSources, factMeasure } from '../../methods/facts';
import { type Exact, exact, meanOf } from '../../quantity';
import { ABSORPTION, COMPRESSION } from './forms';
import { bestSplit, type Weighed } from './split';

/** What units are split by: their masses as they came. */
export const ROLE_FACTS: FactSources = {
  receivedMass: { of: 'batch', take: 'receivedMass', by: ['unit-receiving'], is: { dimension: 'mass' } },
};

/** How far the mean masses of the two groups lie apart as they are, in percent of all. */
function apartNow(units: readonly (Weighed & { readonly role: string | null })[]): Exact {
  const mean = (role: string): Exact =>
    meanOf(units.filter((unit) => unit.role === role).map(({ mass }) => mass));
  return mean(COMPRESSION)
    .minus(mean(ABSORPTION))
    .abs()
    .div(meanOf(units.map(({ mass }) => mass)))
    .times(100);
}

/**
 * Which units of a set are for strength and which for absorption, so that both groups weigh alike: the net area of the one
 * is carried over to the other.
 * @returns null while not all of them are weighed, or where they are split as well as they can be
 * Source: ASTM C140/C140M 7.2 (from memory).
 */
export function proposesRoles(pieces: readonly RolePiece[]): RoleProposal | null {
  const units = pieces
    .filter(({ role }) => role === COMPRESSION || role === ABSORPTION)
    .flatMap(({ label, role, facts }) => {
      const mass = factMeasure({ facts }, 'receivedMass', 'mass')?.toNumber();
      return mass === undefined ? [] : [{ label, role, mass: exact(mass) }];
    });
  const wanted = pieces.filter(({ role }) => role === COMPRESSION || role === ABSORPTION).length;
  if (units.length < wanted || !units.some(({ role }) => role === COMPRESSION)) return null;
  if (!units.some(({ role }) => role === ABSORPTION)) return null;
  const best = bestSplit(units);
  const now = apartNow(units);
  if (!best || best.apart.greaterThanOrEqualTo(now)) return null;
  return {
    roles: Object.fromEntries(
      units.map(({ label }) => [label, best.first.includes(label) ? COMPRESSION : ABSORPTION]),
    ),
    why: `The mean masses of the two groups lie ${now.toFixed(2)} % apart; split like this, ${best.apart.toFixed(2)} %.`,
  };
}
