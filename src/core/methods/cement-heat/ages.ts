import type { HeatCurve } from '../../calorimetry';
import { type Cell, markAt, movedTo, powerAt } from './read-cells';

/** Ages that heat is told at, h, with what it is called. */
export const HEATS = [
  [24, 'heat in 24 h', 'Q1'],
  [48, 'heat in 48 h', 'Q2'],
  [72, 'heat in 3 d', 'Q3'],
  [168, 'heat in 7 d', 'Q7'],
] as const;
export const PEAK = 'main maximum of power';
export const HALF = 'half of the maximum, from the water';

/** Main maximum and half of it, where a person put them or where they were found. */
export function timesOf(cell: Cell): {
  readonly peak: number | undefined;
  readonly half: number | undefined;
} {
  const main = movedTo(cell, 'main');
  return {
    peak: main && cell.curve ? powerAt(cell.curve, main.at) : cell.curve?.features?.main.power,
    half: markAt(cell, 'half'),
  };
}

/** J/g up to an age, from where heat is added up or the curve begins; undefined where it does not reach. */
export const heatTo = (curve: HeatCurve, from: number, age: number): number | undefined =>
  curve.heat(Math.max(from, curve.first), age);

/** The cells of the cement as it came that have a curve: together they give its result. */
export const ownCells = (cells: readonly Cell[]) =>
  cells.filter(
    (cell): cell is Cell & { readonly curve: HeatCurve } => cell.plain && cell.curve !== undefined,
  );
