import type { SetPlot } from '../acceptance/set-rule';

/** A plot as marks in a box, its height downward, in the unit of the box. */
export interface PlotMarks {
  readonly points: readonly { readonly label: string; readonly x: number; readonly y: number }[];
  /** SVG path data; null where there is no line. */
  readonly line: string | null;
  /** Where lines of the grid stand, and what they say. */
  readonly xs: readonly { readonly at: number; readonly value: string }[];
  readonly ys: readonly { readonly at: number; readonly value: string }[];
}

/** Part of the range that is left free at either end. */
const MARGIN = 0.08;
const STEPS = [1, 2, 3, 5] as const;

/**
 * Lays points above zero out on two axes divided by powers of ten.
 * @param width of the box, with its height, in any unit
 */
export function plotMarks({ points, line }: SetPlot, width: number, height: number): PlotMarks {
  const across = scaleOf(points.map(({ x }) => x));
  const up = scaleOf(points.map(({ y }) => y));
  const round = (value: number): number => Number(value.toFixed(1));
  const at = (x: number): number => round(across.share(x) * width);
  const down = (y: number): number => round((1 - up.share(y)) * height);
  const xs = points.map(({ x }) => x);
  const ends = [Math.min(...xs), Math.max(...xs)];
  const drawn = line
    ? ends
        .map((x, place) => `${place === 0 ? 'M' : 'L'}${at(x)} ${down(10 ** line.a * x ** line.b)}`)
        .join('')
    : null;
  return {
    points: points.map(({ label, x, y }) => ({ label, x: at(x), y: down(y) })),
    line: drawn,
    xs: across.ticks.map((value) => ({ at: at(value), value: tickText(value) })),
    ys: up.ticks.map((value) => ({ at: down(value), value: tickText(value) })),
  };
}

const tickText = (value: number): string => Number(value.toPrecision(3)).toLocaleString('en-US');

/** A scale by powers of ten over some values, with the 1, 2, 3, 5 of each power that fall on it. */
function scaleOf(values: readonly number[]) {
  const logs = values.map((value) => Math.log10(value));
  const [least, most] = [Math.min(...logs), Math.max(...logs)];
  const margin = (most - least) * MARGIN || MARGIN;
  const [low, high] = [least - margin, most + margin];
  const powers = Array.from(
    { length: Math.floor(high) - Math.floor(low) + 1 },
    (_, place) => Math.floor(low) + place,
  );
  return {
    share: (value: number): number => (Math.log10(value) - low) / (high - low),
    ticks: powers
      .flatMap((power) => STEPS.map((step) => step * 10 ** power))
      .filter((tick) => Math.log10(tick) >= low && Math.log10(tick) <= high),
  };
}
