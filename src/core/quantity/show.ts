import type { Exact } from './exact';
import { withThousands } from './round';
import { type UnitId, unitLabel } from './units';

/** A quantity for a sentence: four significant digits, thousands separators, its unit. Never used further. */
export function plainOf(value: Exact, unit: UnitId): string {
  const label = unitLabel(unit);
  const digits = value.abs().greaterThanOrEqualTo(10_000)
    ? value.toDecimalPlaces(0)
    : value.toSignificantDigits(4);
  return `${withThousands(digits.toFixed())}${label ? ` ${label}` : ''}`;
}
