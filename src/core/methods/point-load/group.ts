import type { DeriveAbout, Derived, SetPiece } from '../../acceptance/set-rule';
import { isWithin } from '../../limits';
import { type Exact, exact, plainOf } from '../../quantity';
import { type FittedLine, fitLine } from '../../statistics/line';
import { ourChoice, Sheet, standard, type WorkingLine } from '../../working';
import { FORCE_FACTOR, FORCE_UNIT, LENGTH_UNIT } from '../press';
import { estimateFrom } from './estimate';

const ISRM = standard('ISRM suggested method, point load strength, 1985');
/** What a group's pieces are known by, of the results of their tests. */
export const PIECE = { load: 'failure load', diameter: 'equivalent diameter' } as const;

/** The line through the pieces of a group, load against De², both as logarithms to ten. */
export interface GroupLine {
  readonly fit: FittedLine;
  /** Load on the line at 50 mm, in the unit of the readings. */
  readonly load: number;
  /** Index by the line, in the unit of the index. */
  readonly index: number;
  /** Those that lie more than two and a half deviations off it. */
  readonly off: readonly string[];
  /** Why the line may not be used; empty where it may. */
  readonly doubts: readonly string[];
}

const OFF = 2.5;

/** The pieces that have a size and a load: the square of the one, and the other. */
function pointsOf(pieces: readonly Pick<SetPiece, 'label' | 'quantities'>[]) {
  return pieces.flatMap(({ label, quantities }) => {
    const [load, diameter] = [Number(quantities[PIECE.load]), Number(quantities[PIECE.diameter])];
    return load > 0 && diameter > 0 ? [{ label, x: diameter ** 2, y: load }] : [];
  });
}

/**
 * Fits the pieces of a group over their sizes.
 * @param pieces all valid ones
 * @returns undefined while fewer than two have a size and a load
 * Source: ISRM 1985 (from memory): Is(50) = P50 / 2500 mm², where log P = a + b log De². What it wants is our choice.
 */
export function lineOf(
  pieces: readonly Pick<SetPiece, 'label' | 'quantities'>[],
  { limits, system }: Pick<DeriveAbout, 'limits' | 'system'>,
): GroupLine | undefined {
  const points = pointsOf(pieces).map(({ label, x, y }) => ({ label, x: Math.log10(x), y: Math.log10(y) }));
  const fit = fitLine(points);
  if (!fit) return undefined;
  const size = limits.number('point.size', system).toNumber();
  const square = size ** 2;
  const load = 10 ** (fit.intercept + fit.slope * Math.log10(square));
  const squares = points.map(({ x }) => 10 ** x);
  const [least, most] = [Math.min(...squares), Math.max(...squares)];
  const reach = limits.of('point.fit-reach', system).high?.toNumber() ?? 1;
  const wanted = limits.of('point.fit-count', system).low?.toNumber() ?? 0;
  const span = limits.of('point.fit-span', system).low?.toNumber() ?? 0;
  return {
    fit,
    load,
    index: (load * Number(FORCE_FACTOR[system])) / square,
    off: points
      .filter(({ x, y }) => Math.abs(y - fit.intercept - fit.slope * x) > OFF * fit.residual)
      .filter(() => fit.residual > 1e-9)
      .map(({ label }) => label),
    doubts: [
      ...(points.length < wanted ? [`${points.length} of the ${wanted} pieces it wants`] : []),
      ...(most / least < span ? ['the pieces are too much of one size'] : []),
      ...(square > most * reach || square < least / reach ? ['50 mm lies too far from their sizes'] : []),
      ...(isWithin(exact(fit.slope), limits.of('point.fit-slope', system))
        ? []
        : [`its slope of ${fit.slope.toFixed(2)} is not that of one rock: mixed pieces, or a wrong reading`]),
    ],
  };
}

/** What follows from the mean index of a group: the line over sizes, the estimate of the strength, the grade. */
export function derives(mean: Exact, about: DeriveAbout): Derived {
  const { pieces, rejected, limits, system, unit, mode } = about;
  const sheet = new Sheet(mode);
  const estimate = estimateFrom(mean, about, sheet);
  const line = lineOf(pieces, about);
  const good = line && line.doubts.length === 0 ? line : undefined;
  if (good) fitLines(good, about, sheet);
  const values = pieces.map(({ value }) => exact(value));
  const ratio = values.length > 1 ? values.reduce(max).div(values.reduce(min)) : exact(1);
  const alike = limits.of('point.alike', system);
  const share = exact(rejected * 100).div(rejected + pieces.length || 1);
  const step = limits.number('point.step', system);
  return {
    values: estimate.values,
    said: [
      ...estimate.said,
      ...(good
        ? [
            [
              'By the line over sizes',
              `Is(50) ${plainOf(exact(good.index).toDecimalPlaces(step.decimalPlaces()), unit)}, slope ${good.fit.slope.toFixed(2)}`,
            ] as const,
          ]
        : []),
    ],
    plot: {
      title: 'Load over size',
      x: `De², ${LENGTH_UNIT[system]}²`,
      y: `P, ${FORCE_UNIT[system]}`,
      points: pointsOf(pieces),
      line: good ? { a: good.fit.intercept, b: good.fit.slope } : null,
      doubts: line ? line.doubts : ['pieces of one size carry none'],
    },
    lines: sheet.lines,
    remarks: [
      ...estimate.remarks,
      ...(isWithin(ratio, alike)
        ? []
        : [
            `The strongest piece is ${ratio.toFixed(1)} times the weakest: look at them before they are averaged.`,
          ]),
      ...(isWithin(share, limits.of('point.rejected', system))
        ? []
        : [
            `${rejected} of ${rejected + pieces.length} were no valid test: look at the points, whether they meet, and at the fabric.`,
          ]),
      ...(good?.off.length ? [`Far off the line over sizes: ${good.off.join(', ')}.`] : []),
    ],
  };
}

const max = (a: Exact, b: Exact): Exact => (a.greaterThan(b) ? a : b);
const min = (a: Exact, b: Exact): Exact => (a.lessThan(b) ? a : b);

function fitLines({ fit }: GroupLine, about: DeriveAbout, sheet: Sheet): readonly WorkingLine[] {
  const { limits, system, unit } = about;
  const size = limits.number('point.size', system);
  const { xx, xy } = fit.sums;
  const slope = sheet.line({
    symbol: 'b',
    name: 'Slope of the load over De², both as logarithms, by least squares',
    formula: 'Sxy / Sxx',
    uses: { Sxy: exact(xy), Sxx: exact(xx) },
    unit: 'one',
    source: ISRM,
    show: 4,
  });
  const at = sheet.line({
    symbol: 'P50',
    name: 'Load on the line at 50 mm',
    formula: '10^(my + b * (log10(S^2) - mx))',
    uses: { my: exact(fit.mean.y), b: slope, S: size, mx: exact(fit.mean.x) },
    unit: system === 'US' ? 'lbf' : 'kN',
    source: ISRM,
    show: 5,
  });
  sheet.line({
    symbol: 'Is50l',
    name: `Index by the line over sizes, ${LENGTH_UNIT[system]}`,
    formula: 'k * P50 / S^2',
    uses: { k: exact(FORCE_FACTOR[system]), P50: at, S: size },
    unit,
    source: ourChoice('least squares; the hand draws it by eye'),
    show: 4,
  });
  return sheet.lines;
}
