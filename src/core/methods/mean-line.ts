import type { Exact } from '../quantity';
import { type LineRequest, numbered, type Sheet } from '../working';

/** A line for the mean of several readings, each named by the symbol and its number. @returns the mean, unrounded */
export function meanLine(
  sheet: Sheet,
  values: readonly Exact[],
  about: Pick<LineRequest, 'symbol' | 'name' | 'unit' | 'source' | 'round' | 'show'>,
): Exact {
  const uses = numbered(about.symbol, values);
  return sheet.line({
    ...about,
    formula: `(${Object.keys(uses).join(' + ')}) / ${values.length}`,
    uses,
  });
}
