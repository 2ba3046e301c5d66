import type { LimitId, Limits } from '../../limits';
import { type Exact, exact } from '../../quantity';
import type { Sheet } from '../../working';

const ROWS: readonly { ratio: string; id: LimitId }[] = [
  { ratio: '1.00', id: 'factor.1.00' },
  { ratio: '1.25', id: 'factor.1.25' },
  { ratio: '1.50', id: 'factor.1.50' },
  { ratio: '1.75', id: 'factor.1.75' },
];

/**
 * The correction factor for a short cylinder, by straight line between the two table rows around its ratio.
 * @param ratio L/D, rounded to 0.01
 * @param sheet receives the line that shows the two rows and the interpolation
 * @returns the factor; undefined below the smallest ratio of the table (never extrapolated)
 * Source: ASTM C39/C39M table of correction factors (from memory): 1.75 0.98, 1.50 0.96, 1.25 0.93, 1.00 0.87.
 */
export function lengthFactor(ratio: Exact, limits: Limits, sheet: Sheet): Exact | undefined {
  const found = ROWS.findIndex((row) => ratio.lessThanOrEqualTo(row.ratio));
  const at = found === -1 ? ROWS.length - 1 : found;
  const above = ROWS[at];
  const below = ROWS[Math.max(0, at - 1)];
  if (!above || !below || ratio.lessThan(limits.number('factor.smallest', 'US'))) return undefined;
  const { source } = limits.of(above.id, 'US');
  const high = limits.number(above.id, 'US');
  const low = limits.number(below.id, 'US');
  const r1 = exact(below.ratio);
  const r2 = exact(above.ratio);
  if (r1.equals(r2) || ratio.greaterThanOrEqualTo(r2)) {
    return sheet.line({
      symbol: 'k',
      name: 'Factor for length to diameter, from the table',
      formula: 'k1',
      uses: { k1: high },
      unit: 'one',
      source,
    });
  }
  return sheet.line({
    symbol: 'k',
    name: `Factor for length to diameter, between ${below.ratio} and ${above.ratio}`,
    formula: 'k1 + (k2 - k1) * (R - R1) / (R2 - R1)',
    uses: { k1: low, k2: high, R: ratio, R1: r1, R2: r2 },
    unit: 'one',
    source,
  });
}
