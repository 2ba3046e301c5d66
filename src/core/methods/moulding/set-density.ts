import { type MouldSize, mouldOf } from '../../moulds';
import { convert, type Exact, exact } from '../../quantity';
import { linesOf } from '../rows';

export interface WeighedSpecimen {
  readonly name: string;
  /** lb/ft³ or kg/m³. */
  readonly density: Exact;
}

const NUMBER = /^\d*\.?\d+$/u;

/**
 * Densities of weighed specimens by the nominal volume of their mould.
 * @param text a line each: name, filled mass, empty mass (or name and net mass), in lb or kg
 * @returns the specimens, and the lines that could not be read
 */
export function weighedSpecimens(
  text: string | undefined,
  size: MouldSize,
): { weighed: WeighedSpecimen[]; bad: string[] } {
  const mould = mouldOf(size);
  const volume = mould.system === 'US' ? exact(mould.volume) : convert(exact(mould.volume), 'L', 'm3');
  const weighed: WeighedSpecimen[] = [];
  const bad: string[] = [];
  for (const line of linesOf(text)) {
    const [name = '', filled = '', empty = '0'] = line.split(/[,;\t]/u).map((cell) => cell.trim());
    if (!NUMBER.test(filled) || !NUMBER.test(empty) || !exact(filled).greaterThan(empty)) bad.push(line);
    else weighed.push({ name, density: exact(filled).minus(empty).div(volume) });
  }
  return { weighed, bad };
}

/** The middle of the values; of an even number, the mean of the two in the middle. */
export function medianOf(values: readonly Exact[]): Exact | undefined {
  if (values.length === 0) return undefined;
  const sorted = values.toSorted((a, b) => a.comparedTo(b));
  const middle = Math.floor(sorted.length / 2);
  const upper = sorted[middle];
  const lower = sorted[middle - 1];
  if (!upper) return undefined;
  return sorted.length % 2 === 1 || !lower ? upper : upper.plus(lower).div(2);
}

export interface MouldMeasure {
  readonly one: Exact;
  readonly two: Exact;
  readonly height: Exact;
}

/** Measured moulds, one a line: two diameters and the height. */
export function measuredMoulds(text: string | undefined): { moulds: MouldMeasure[]; bad: string[] } {
  const moulds: MouldMeasure[] = [];
  const bad: string[] = [];
  for (const line of linesOf(text)) {
    const [one = '', two = '', height = ''] = line.split(/[,;\s]+/u);
    if ([one, two, height].some((each) => !NUMBER.test(each) || exact(each).isZero())) bad.push(line);
    else moulds.push({ one: exact(one), two: exact(two), height: exact(height) });
  }
  return { moulds, bad };
}
