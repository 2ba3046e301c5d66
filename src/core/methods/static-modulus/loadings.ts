import type { Exact } from '../../quantity';
import { readMeasure } from '../fields';
import { wholeRows } from '../rows-field';
import type { LoadingRow } from './rows';

/** One reading of a loading: load in lbf or kN, strains in millionths. */
export interface LoadingPoint {
  readonly load: Exact;
  readonly axial: Exact;
  readonly lateral: Exact | undefined;
}

/** The readings of each loading in order, by its number. */
export type Loadings = ReadonlyMap<number, readonly LoadingPoint[]>;

/** The rows of the loadings. @param strainOf turns an axial reading into strain, millionths */
export function loadingsOf(
  rows: readonly LoadingRow[] | undefined,
  strainOf: (reading: Exact) => Exact,
): Loadings {
  const cycles = new Map<number, LoadingPoint[]>();
  for (const row of wholeRows(rows)) {
    const [cycle, load, axial, lateral] = (['loading', 'load', 'axial', 'lateral'] as const).map(
      (column) => readMeasure(row, column)?.value,
    );
    if (!cycle || !load || !axial) continue;
    const own = cycles.get(cycle.toNumber()) ?? [];
    own.push({ load, axial: strainOf(axial), lateral });
    cycles.set(cycle.toNumber(), own);
  }
  return cycles;
}

/** Two readings that stand on either side of a value, and how the one sought lies between them. */
export interface Between {
  readonly below: LoadingPoint;
  readonly above: LoadingPoint;
}

/** The first pair of readings on the way up between which a quantity passes a value. */
export function passing(
  points: readonly LoadingPoint[],
  of: (point: LoadingPoint) => Exact,
  value: Exact,
): Between | undefined {
  for (let index = 1; index < points.length; index += 1) {
    const [below, above] = [points[index - 1], points[index]];
    if (below && above && of(below).lessThanOrEqualTo(value) && of(above).greaterThanOrEqualTo(value)) {
      if (of(above).equals(of(below))) continue;
      return { below, above };
    }
  }
  return undefined;
}
