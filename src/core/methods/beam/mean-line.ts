import type { Limits } from '../../limits';
import type { Exact, System } from '../../quantity';
import type { Sheet, Source } from '../../working';
import { meanLine } from '../mean-line';
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
export function meanLength(
  sheet: Sheet,
  values: readonly Exact[],
  { symbol, name, source, system, limits }: MeanWords,
): Exact {
  return meanLine(sheet, values, {
    ...{ symbol, name, source, unit: LENGTH_UNIT[system] },
    round: {
      step: limits.number('beam.size-step', system),
      rule: 'printed to what it is read to; used unrounded',
    },
  });
}
