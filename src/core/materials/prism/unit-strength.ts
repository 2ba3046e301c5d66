import type { LimitId, Limits } from '../../limits';
import { type Exact, exact, interpolate } from '../../quantity';

const MS: readonly (readonly [masonry: string, row: LimitId])[] = [
  ['2000', 'prism.ms-2000'],
  ['2250', 'prism.ms-2250'],
  ['2500', 'prism.ms-2500'],
  ['2750', 'prism.ms-2750'],
  ['3000', 'prism.ms-3000'],
];
const N: readonly (readonly [masonry: string, row: LimitId])[] = [
  ['1750', 'prism.n-1750'],
  ['2000', 'prism.n-2000'],
  ['2250', 'prism.n-2250'],
  ['2500', 'prism.n-2500'],
];

/**
 * The strength of masonry that units of concrete and their mortar stand for without prisms.
 * @param units mean net strength of the units, psi
 * @param height of a unit, in; low units count for less
 * @returns psi, between the rows by a straight line, never above the last; undefined below the first
 * Source: TMS 602 Table 2 (from memory).
 */
export function byUnits(
  units: Exact,
  mortar: 'M' | 'S' | 'N',
  height: Exact | undefined,
  limits: Limits,
): Exact | undefined {
  const rows = (mortar === 'N' ? N : MS).map(
    ([masonry, row]) => [limits.number(row, 'US'), exact(masonry)] as const,
  );
  const [first] = rows;
  if (!first || units.lessThan(first[0])) return undefined;
  const found = interpolate(units, rows);
  return height?.lessThan(limits.number('prism.low', 'US'))
    ? found.times(limits.number('prism.low-units', 'US'))
    : found;
}
