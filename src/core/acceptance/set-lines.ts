import { type Exact, exact, type UnitId } from '../quantity';
import { rangePercent } from '../statistics';
import type { Sheet, Source } from '../working';

/** The strengths of a set by the symbols its lines call them. */
function symbolsOf(values: readonly Exact[]): Readonly<Record<string, Exact>> {
  return Object.fromEntries(values.map((value, index) => [`f${index + 1}`, value]));
}

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
  const uses = symbolsOf(values);
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
  const uses = symbolsOf(values);
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
