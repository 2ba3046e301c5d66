import { levenbergMarquardt } from 'ml-levenberg-marquardt';
import { inverse, Matrix } from 'ml-matrix';
import { fitLine } from '../statistics';
import { studentT } from '../statistics/student';

/** A break of a calibration: its maturity index (°C·h, or hours of equivalent age) and its strength in any unit. */
export interface CalibrationPoint {
  readonly index: number;
  readonly strength: number;
}

export const CURVES = ['hyperbolic', 'exponential', 'logarithmic'] as const;
export type CurveId = (typeof CURVES)[number];

/** The names of the parameters of each curve, in their order. */
export const PARAMETERS: Readonly<Record<CurveId, readonly string[]>> = {
  hyperbolic: ['Su', 'K', 'M0'],
  exponential: ['Su', 'tau', 'alpha'],
  logarithmic: ['a', 'b'],
};

/** A strength curve through the breaks of a calibration, by least squares on each of them. */
export interface StrengthCurve {
  readonly id: CurveId;
  readonly parameters: readonly number[];
  /** Standard errors of the parameters. */
  readonly errors: readonly number[];
  readonly covariance: readonly (readonly number[])[];
  /** Breaks less parameters. */
  readonly freedom: number;
  /** Standard deviation of breaks about the curve. */
  readonly scatter: number;
  /** Least and greatest index of the calibration: it says nothing outside of them. */
  readonly range: readonly [number, number];
  /** Greatest strength that was broken. */
  readonly strongest: number;
}

const at = (values: readonly number[], place: number): number => values[place] as number;

/**
 * Strength by a curve.
 * @param index above nought for the logarithmic one
 */
export function strengthBy(id: CurveId, p: readonly number[], index: number): number {
  if (id === 'hyperbolic') {
    const grown = at(p, 1) * (index - at(p, 2));
    return (at(p, 0) * grown) / (1 + grown);
  }
  if (id === 'exponential') return at(p, 0) * Math.exp(-((at(p, 1) / index) ** at(p, 2)));
  return at(p, 0) + at(p, 1) * Math.log10(index);
}

/** How the strength at an index changes with each parameter. */
function gradient(id: CurveId, p: readonly number[], index: number): number[] {
  if (id === 'hyperbolic') {
    const since = index - at(p, 2);
    const below = (1 + at(p, 1) * since) ** 2;
    return [
      (at(p, 1) * since) / (1 + at(p, 1) * since),
      (at(p, 0) * since) / below,
      (-at(p, 0) * at(p, 1)) / below,
    ];
  }
  if (id === 'exponential') {
    const ratio = at(p, 1) / index;
    const power = ratio ** at(p, 2);
    const share = Math.exp(-power);
    return [
      share,
      (-at(p, 0) * share * at(p, 2) * power) / at(p, 1),
      -at(p, 0) * share * power * Math.log(ratio),
    ];
  }
  return [1, Math.log10(index)];
}

/** Ages of a calibration that a curve needs, at the least. */
const LEAST_AGES = 5;
/** A strength that a curve goes on to is credible up to so many times the greatest that was broken; our choice. */
const CREDIBLE = 2;
const ALMOST_NOUGHT = 1e-9;
/** An index or a strength that is one at all. */
const LEAST = 1e-6;

/**
 * Parameters of the curve that goes nearest to points of about one in both directions.
 * @param half where half of the strength is reached
 */
function nearest(
  id: Exclude<CurveId, 'logarithmic'>,
  data: { readonly x: number[]; readonly y: number[] },
  half: number,
): readonly number[] | undefined {
  const hyperbolic = id === 'hyperbolic';
  try {
    return levenbergMarquardt(data, (p) => (x) => strengthBy(id, p, x), {
      initialValues: hyperbolic ? [1.1, 1 / half, 0] : [1.1, half, 0.6],
      minValues: [ALMOST_NOUGHT, ALMOST_NOUGHT, hyperbolic ? -1 : 0.05],
      maxValues: hyperbolic ? [10, 1e6, Math.min(...data.x)] : [10, 1e3, 10],
      jacobianFunction: (p) => (x) => gradient(id, p, x),
      damping: 0.01,
      maxIterations: 400,
      errorTolerance: 1e-14,
      improvementThreshold: 1e-12,
    }).parameterValues;
  } catch {
    // It throws where the breaks leave no step to take: then no such curve goes through them.
    return undefined;
  }
}

function solve(id: CurveId, points: readonly CalibrationPoint[]): readonly number[] | undefined {
  if (id === 'logarithmic') {
    const line = fitLine(points.map(({ index, strength }) => ({ x: Math.log10(index), y: strength })));
    return line && [line.intercept, line.slope];
  }
  // Of about one in both directions, so that no step is lost in the digits.
  const [across, up] = [
    Math.max(...points.map(({ index }) => index)),
    Math.max(...points.map(({ strength }) => strength)),
  ];
  const half = points.find(({ strength }) => strength >= up / 2)?.index ?? across / 4;
  const data = {
    x: points.map(({ index }) => index / across),
    y: points.map(({ strength }) => strength / up),
  };
  const found = nearest(id, data, half / across);
  if (!found) return undefined;
  return id === 'hyperbolic'
    ? [at(found, 0) * up, at(found, 1) / across, at(found, 2) * across]
    : [at(found, 0) * up, at(found, 1) * across, at(found, 2)];
}

/**
 * Fits a strength curve.
 * @param points every break by itself, strengths above nought
 * @returns undefined for fewer than five ages, or where no such curve goes through them
 * Source: forms of ASTM C1074 (from memory); least squares on single breaks are our choice.
 */
export function fitCurve(id: CurveId, points: readonly CalibrationPoint[]): StrengthCurve | undefined {
  const usable = points
    .filter(({ index, strength }) => index > LEAST && strength > LEAST)
    .toSorted((a, b) => a.index - b.index);
  const [first, last] = [usable[0], usable.at(-1)];
  if (!first || !last || new Set(usable.map(({ index }) => index)).size < LEAST_AGES) return undefined;
  const parameters = solve(id, usable);
  if (!parameters?.every((each) => Number.isFinite(each))) return undefined;
  const freedom = usable.length - parameters.length;
  const left = usable.reduce(
    (sum, { index, strength }) => sum + (strength - strengthBy(id, parameters, index)) ** 2,
    0,
  );
  // Scaled to ones on the diagonal before it is inverted: parameters differ by many powers of ten.
  const jacobian = new Matrix(usable.map(({ index }) => gradient(id, parameters, index)));
  const normal = jacobian.transpose().mmul(jacobian);
  const scale = parameters.map((_, place) => 1 / Math.sqrt(normal.get(place, place)));
  const even = new Matrix(
    parameters.map((_, row) =>
      parameters.map((__, column) => normal.get(row, column) * at(scale, row) * at(scale, column)),
    ),
  );
  // Breaks that lie all but on one another leave nothing to tell parameters from.
  if (!even.to1DArray().every((each) => Number.isFinite(each))) return undefined;
  const inverted = inverse(even, true);
  const variance = left / freedom;
  const covariance = parameters.map((_, row) =>
    parameters.map((__, column) => variance * inverted.get(row, column) * at(scale, row) * at(scale, column)),
  );
  const errors = parameters.map((_, place) => Math.sqrt(Math.max(0, covariance[place]?.[place] ?? 0)));
  if (!errors.every((each) => Number.isFinite(each))) return undefined;
  return {
    id,
    parameters,
    errors,
    covariance,
    freedom,
    scatter: Math.sqrt(variance),
    range: [first.index, last.index],
    strongest: Math.max(...usable.map(({ strength }) => strength)),
  };
}

/** Strength by the curve at an index. */
export function strengthAt(curve: StrengthCurve, index: number): number {
  return strengthBy(curve.id, curve.parameters, index);
}

/** Standard error of the curve itself at an index. */
export function errorAt(curve: StrengthCurve, index: number): number {
  const g = gradient(curve.id, curve.parameters, index);
  const spread = g.reduce(
    (sum, own, row) =>
      sum +
      own * g.reduce((inner, other, column) => inner + other * (curve.covariance[row]?.[column] ?? 0), 0),
    0,
  );
  return Math.sqrt(Math.max(0, spread));
}

/** Confidence and allowance with which a strength may be decided on. */
export interface Caution {
  /** Share that lies below: 0.9. */
  readonly confidence: number;
  /** What is left for the batch not being that of the calibration: 0.9. */
  readonly allowance: number;
}

/**
 * The lower edge of the curve, one-sided.
 * @param confidence share, 0.9
 */
export function lowerAt(curve: StrengthCurve, index: number, confidence: number): number {
  return strengthAt(curve, index) - studentT(confidence, curve.freedom) * errorAt(curve, index);
}

/** What may be counted on at an index: the lower edge of the curve, less what a batch may differ. */
export function decisionAt(curve: StrengthCurve, index: number, { confidence, allowance }: Caution): number {
  return allowance * lowerAt(curve, index, confidence);
}

/**
 * The index from which a strength may be counted on.
 * @returns undefined where the calibration does not reach so far
 */
export function indexFor(curve: StrengthCurve, strength: number, caution: Caution): number | undefined {
  let [low, high] = curve.range;
  if (decisionAt(curve, high, caution) < strength) return undefined;
  if (decisionAt(curve, low, caution) >= strength) return low;
  for (let step = 0; step < 80; step += 1) {
    const middle = (low + high) / 2;
    if (decisionAt(curve, middle, caution) < strength) low = middle;
    else high = middle;
  }
  return high;
}

/** True where a curve rises all the way and ends at a strength that such breaks can lead to. */
export function isCredible(curve: StrengthCurve): boolean {
  const [low, high] = curve.range;
  const most = curve.id === 'logarithmic' ? strengthAt(curve, high) : at(curve.parameters, 0);
  return strengthAt(curve, high) > strengthAt(curve, low) && most <= CREDIBLE * curve.strongest && most > 0;
}

/** The curve that goes nearest to the breaks of those that are credible; the logarithmic one where no other is. */
export function bestCurve(curves: readonly StrengthCurve[]): StrengthCurve | undefined {
  const [best] = curves.filter(isCredible).toSorted((a, b) => a.scatter - b.scatter);
  return best ?? curves.find(({ id }) => id === 'logarithmic');
}
