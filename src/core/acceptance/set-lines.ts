import { type Exact, exact, type UnitId } from '../quantity';
import { rangePercent } from '../statistics';
import { numbered, type Sheet, type Source } from '../working';

/**
 * Adds the mean of a set to its sheet.
 * @param values unrounded strengths, at least one
 * @returns the mean, unrounded
 */
export function meanLine(
  sheet: Sheet,
  values: readonly Exact[],
  { name, unit, step, source }: { name: string; unit: UnitId; step: Exact; source: Source },
): Exact {
  const uses = numbered('f', values);
  return sheet.line({
    symbol: 'x',
    name,
    formula: `(${Object.keys(uses).join(' + ')}) / ${values.length}`,
    uses,
    unit,
    source,
    round: { step, rule: `mean rounded once, to ${step} ${unit}` },
  });
}

/**
 * Adds the range of a set to its sheet, as a percentage of its mean.
 * @returns the range; zero, and no line, for fewer than two strengths
 */
export function rangeLine(sheet: Sheet, values: readonly Exact[], source: Source): Exact {
  const range = rangePercent(values);
  if (!range) return exact(0);
  const uses = numbered('f', values);
  const symbols = Object.keys(uses).join(', ');
  return sheet.line({
    symbol: 'w',
    name: 'Range of the set, of its mean',
    formula: `100 * (max(${symbols}) - min(${symbols})) / mean(${symbols})`,
    uses,
    unit: 'percent',
    source,
    show: 4,
  });
}
