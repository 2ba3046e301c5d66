import type { Limits } from '../../limits';
import type { Exact, System } from '../../quantity';
import { numbered, type Sheet, type Source } from '../../working';
import { LENGTH_UNIT } from '../press';

/** What a mean of lengths is called, and by which document it is taken. */
export interface MeanWords {
  readonly symbol: string;
  readonly name: string;
  readonly source: Source;
  readonly system: System;
  readonly limits: Limits;
}

/** A line for the mean of lengths of a beam, and the mean, unrounded; in or mm. */
export function meanLine(
  sheet: Sheet,
  values: readonly Exact[],
  { symbol, name, source, system, limits }: MeanWords,
): Exact {
  const uses = numbered(symbol, values);
  return sheet.line({
    symbol,
    name,
    formula: `(${Object.keys(uses).join(' + ')}) / ${values.length}`,
    uses,
    unit: LENGTH_UNIT[system],
    source,
    round: {
      step: limits.number('beam.size-step', system),
      rule: 'printed to what it is read to; used unrounded',
    },
  });
}
