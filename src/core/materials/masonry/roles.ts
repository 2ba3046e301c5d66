import type { Limits } from '../../limits';
import type { Role, RolePiece, RoleProposal, Stored } from '../../material/contract';
import { roleByCount } from '../../material/roles';
import { type FactSources, factMeasure } from '../../methods/facts';
import { type Exact, meanOf } from '../../quantity';
import { ABSORPTION, COMPRESSION, SPARE } from './forms';
import { countsOf } from './sets-wanted';
import { bestSplit, type Weighed } from './split';

/** What units of a set are for, in the order they are numbered. Source: ASTM C140/C140M 5.2 (from memory): three of each, other schools as their rows say. */
export const ROLES: readonly Role[] = [
  { id: COMPRESSION, text: 'Strength' },
  { id: ABSORPTION, text: 'Absorption' },
  { id: SPARE, text: 'Spare' },
];

/** What the next unit of a set is for. @param before how many the set has */
export function roleOf(before: number, { product }: Stored, limits: Limits): string {
  const [broken, dried] = countsOf(product, limits);
  const count: Readonly<Record<string, number>> = { [COMPRESSION]: broken, [ABSORPTION]: dried };
  return roleByCount(
    ROLES.map((role) => ({ ...role, count: count[role.id] ?? 0 })),
    SPARE,
    before,
  );
}

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
  const wanted = pieces.filter(({ role }) => role === COMPRESSION || role === ABSORPTION);
  const units = wanted.flatMap(({ label, role, facts }) => {
    const mass = factMeasure({ facts }, 'receivedMass', 'mass');
    return mass ? [{ label, role, mass }] : [];
  });
  const has = (role: string): boolean => units.some((unit) => unit.role === role);
  if (units.length < wanted.length || !has(COMPRESSION) || !has(ABSORPTION)) return null;
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
