import { type MouldSize, mouldOf } from '../../moulds';
import { convert, type Exact, exact, measureIn } from '../../quantity';
import { readMeasure } from '../fields';
import { wholeRows } from '../rows-field';
import type { MassRow, MouldRow } from './rows';

export interface WeighedSpecimen {
  readonly name: string;
  /** lb/ft³ or kg/m³. */
  readonly density: Exact;
}

/**
 * Densities of weighed specimens by the nominal volume of their mould.
 * @param rows the masses, filled and empty
 * @returns the specimens, and the letters of those that weigh no more filled than empty
 */
export function weighedSpecimens(
  rows: readonly MassRow[] | undefined,
  size: MouldSize,
): { weighed: WeighedSpecimen[]; bad: string[] } {
  const mould = mouldOf(size);
  const [unit, volume] =
    mould.system === 'US'
      ? (['lb', exact(mould.volume)] as const)
      : (['kg', convert(exact(mould.volume), 'L', 'm3')] as const);
  const weighed: WeighedSpecimen[] = [];
  const bad: string[] = [];
  for (const row of wholeRows(rows)) {
    const [filled, empty] = [readMeasure(row, 'filled'), readMeasure(row, 'empty')];
    if (!filled || !empty) continue;
    const net = measureIn(filled, unit).value.minus(measureIn(empty, unit).value);
    if (net.greaterThan(0)) weighed.push({ name: row.letter ?? '', density: net.div(volume) });
    else bad.push(row.letter ?? '');
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

/** The moulds that were measured, in the unit of their own system. */
export function measuredMoulds(rows: readonly MouldRow[] | undefined, size: MouldSize): MouldMeasure[] {
  const unit = mouldOf(size).system === 'US' ? 'in' : 'mm';
  return wholeRows(rows).flatMap((row) => {
    const [one, two, height] = (['one', 'two', 'height'] as const).map((name) => {
      const read = readMeasure(row, name);
      return read && measureIn(read, unit).value;
    });
    return one?.greaterThan(0) && two?.greaterThan(0) && height ? [{ one, two, height }] : [];
  });
}
