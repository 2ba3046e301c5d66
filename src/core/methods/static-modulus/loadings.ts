import Papa from 'papaparse';
import { type Exact, exact } from '../../quantity';

/** One reading of a loading: load in lbf or kN, strains in millionths. */
export interface LoadingPoint {
  readonly load: Exact;
  readonly axial: Exact;
  readonly lateral: Exact | undefined;
}

export interface Loadings {
  /** The readings of each loading in order, by its number. */
  readonly cycles: ReadonlyMap<number, readonly LoadingPoint[]>;
  /** Lines that could not be read, as they stand. */
  readonly bad: readonly string[];
}

/**
 * Reads rows of loading, load, axial reading and lateral strain; a header is passed over, a decimal comma borne.
 * @param strainOf turns an axial reading into strain, millionths
 */
export function readLoadings(text: string | undefined, strainOf: (reading: Exact) => Exact): Loadings {
  const cycles = new Map<number, LoadingPoint[]>();
  const bad: string[] = [];
  const trimmed = (text ?? '').trim();
  if (trimmed === '') return { cycles, bad };
  const delimiter = /;/u.test(trimmed) ? ';' : /\t/u.test(trimmed) ? '\t' : ',';
  const { data } = Papa.parse<string[]>(trimmed, { delimiter, skipEmptyLines: true });
  data.forEach((cells, index) => {
    const values = cells.map((cell) => cell.trim().replace(',', '.'));
    const numbers = values.map((value) => (/^-?\d+(\.\d+)?$/u.test(value) ? exact(value) : undefined));
    const [cycle, load, axial, lateral] = numbers;
    if (!cycle || !load || !axial || !cycle.isInteger()) {
      if (index > 0 || numbers.some((value) => value !== undefined)) bad.push(cells.join(delimiter));
      return;
    }
    const own = cycles.get(cycle.toNumber()) ?? [];
    own.push({ load, axial: strainOf(axial), lateral });
    cycles.set(cycle.toNumber(), own);
  });
  return { cycles, bad };
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
