import { type Cell, movedTo, powerAt } from './read-cells';

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
  const features = cell.curve?.features;
  const [main, half] = [movedTo(cell, 'main'), movedTo(cell, 'half')];
  return {
    peak: main && cell.curve ? powerAt(cell.curve, main.at) : features?.main.power,
    half: half?.at ?? features?.indicated.find(({ share }) => share === 0.5)?.max,
  };
}
