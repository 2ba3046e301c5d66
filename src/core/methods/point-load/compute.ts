import type { Limits } from '../../limits';
import { type Exact, exact, type System } from '../../quantity';
import { bySeverity, Sheet, standard } from '../../working';
import type { Outcome, Result } from '../contract';
import { readMeasure } from '../fields';
import { meanLine } from '../mean-line';
import { resultOf } from '../outcome';
import { FORCE_FACTOR, FORCE_UNIT, LENGTH_UNIT, STRESS_UNIT } from '../press';
import { limitsOf, type RunSetup } from '../setup';
import { expectedLoad } from './expected';
import { type PointValues, pointLoadFindings } from './findings';
import { PIECE } from './group';
import type { PointLoadInput } from './input';

const D5731 = standard('ASTM D5731');
const AREA = { US: 'in2', SI: 'mm2' } as const;
/** How far the index follows depth and width: De^−1.55 is (W·D)^−0.775. */
const LUMP_SHARE = exact('0.775');
const DIAMETRAL_SHARE = exact('1.55');

/** The widths that were taken, in order. */
function widthsOf(input: PointLoadInput): Exact[] {
  return (['width1', 'width2', 'width3'] as const).flatMap((name) => readMeasure(input, name)?.value ?? []);
}

/**
 * Point load strength index of one piece of rock.
 * @param input sizes in in or mm, load in lbf or kN, or the pressure of a gauge with the area of its ram
 * @returns the index corrected to 50 mm, Is(50) to 0.01 MPa [1 psi], and the uncorrected one
 * Source: ASTM D5731, ISRM 1985 (from memory): De² = D² across a core, else 4·W·D / π; Is = P / De²; F = (De / 50)^0.45.
 *   Where the points dug in by more than 2 % the depth at failure stands in the area, never in the shape.
 */
export function compute(input: PointLoadInput, setup: RunSetup): Outcome {
  const { system } = input;
  const limits = limitsOf(setup);
  const mode = setup.rounding ?? 'half-even';
  const sheet = new Sheet(mode);
  const depth = readMeasure(input, 'separation')?.value;
  const width = input.type === 'diametral' ? depth : widthLine(input, sheet);
  const load = loadLine(input, sheet);
  const results: Result[] = [];
  const square = depth && width && squareLine(input, depth, width, limits, sheet);
  let index: Exact | undefined;
  if (square && load?.greaterThan(0)) {
    index = indexLines({ square, load, system, limits, sheet, results, mode });
    uncertaintyLine(input, limits, sheet);
  }
  const diameter = square?.sqrt();
  const expected = diameter && expectedLoad(diameter, system, setup, limits);
  const values: PointValues = { depth, width, load, index, expected };
  return {
    results,
    lines: sheet.lines,
    findings: bySeverity(pointLoadFindings(input, values, setup, limits)),
    verdicts: [],
    picture: {
      kind: 'point-load',
      values: {
        type: input.type ?? null,
        depth: depth?.toNumber() ?? null,
        width: width?.toNumber() ?? null,
        top: widthsOf(input)[0]?.toNumber() ?? null,
        bottom: widthsOf(input).at(-1)?.toNumber() ?? null,
        freeEnd: readMeasure(input, 'freeEnd')?.value.toNumber() ?? null,
        diameter: diameter?.toNumber() ?? null,
        system,
        least: limits.of('point.depth', system).low?.toNumber() ?? null,
        most: limits.of('point.depth', system).high?.toNumber() ?? null,
        lowRatio: limits.of('point.depth-width', system).low?.toNumber() ?? null,
        highRatio: limits.of('point.depth-width', system).high?.toNumber() ?? null,
        share: limits.of('point.free-end', system).low?.toNumber() ?? null,
        expected: expected?.toNumber() ?? null,
        stroke: readMeasure(input, 'stroke')?.value.toNumber() ?? null,
        soonest: limits.of('point.time', system).low?.toNumber() ?? null,
        latest: limits.of('point.time', system).high?.toNumber() ?? null,
      },
    },
  };
}

function widthLine(input: PointLoadInput, sheet: Sheet): Exact | undefined {
  const widths = widthsOf(input);
  const [first] = widths;
  if (!first || widths.length === 1) return first;
  return meanLine(sheet, widths, {
    symbol: 'W',
    name: 'Width, mean',
    unit: LENGTH_UNIT[input.system],
    source: D5731,
  });
}

function loadLine(input: PointLoadInput, sheet: Sheet): Exact | undefined {
  const { system } = input;
  const pressure = readMeasure(input, 'pressure')?.value;
  const area = readMeasure(input, 'ramArea')?.value;
  const shown =
    readMeasure(input, 'load')?.value ??
    (pressure && area
      ? sheet.line({
          symbol: 'P',
          name: 'Load by the pressure of the gauge',
          formula: 'p * Ar / k',
          uses: { p: pressure, Ar: area, k: exact(FORCE_FACTOR[system]) },
          unit: FORCE_UNIT[system],
          source: D5731,
        })
      : undefined);
  const held = input.zeroed === 'held' ? readMeasure(input, 'seatLoad')?.value : undefined;
  if (!shown || !held) return shown;
  return sheet.line({
    symbol: 'P',
    name: 'Load, with what was held at zero',
    formula: 'Pi + P0',
    uses: { Pi: shown, P0: held },
    unit: FORCE_UNIT[system],
    source: D5731,
  });
}

/** The square of the equivalent core diameter. */
function squareLine(
  input: PointLoadInput,
  depth: Exact,
  width: Exact,
  limits: Limits,
  sheet: Sheet,
): Exact | undefined {
  const { system } = input;
  const failed = readMeasure(input, 'depthAtFailure')?.value;
  const small = limits.of('point.penetration', system).high ?? exact(0);
  const dug = failed && depth.greaterThan(0) && depth.minus(failed).div(depth).times(100).greaterThan(small);
  const counted = dug ? failed : depth;
  const symbol = dug ? 'Df' : 'D';
  if (!counted.greaterThan(0) || !width.greaterThan(0)) return undefined;
  if (input.type === 'diametral')
    return sheet.line({
      symbol: 'De2',
      name: dug ? 'Equivalent diameter, squared, points dug in' : 'Equivalent diameter, squared',
      formula: dug ? 'D * Df' : 'D^2',
      uses: dug ? { D: depth, Df: counted } : { D: depth },
      unit: AREA[system],
      source: D5731,
    });
  const section = sheet.line({
    symbol: 'A',
    name: dug ? 'Section through the points, dug in' : 'Section through the points',
    formula: `W * ${symbol}`,
    uses: { W: width, [symbol]: counted },
    unit: AREA[system],
    source: D5731,
  });
  return sheet.line({
    symbol: 'De2',
    name: 'Equivalent diameter, squared',
    formula: '4 * A / pi',
    uses: { A: section },
    unit: AREA[system],
    source: D5731,
  });
}

function indexLines(about: {
  readonly square: Exact;
  readonly load: Exact;
  readonly system: System;
  readonly limits: Limits;
  readonly sheet: Sheet;
  readonly results: Result[];
  readonly mode: 'half-even' | 'half-up';
}): Exact {
  const { square, load, system, limits, sheet, results, mode } = about;
  const unit = STRESS_UNIT[system];
  const step = limits.number('point.step', system);
  const diameter = sheet.line({
    symbol: 'De',
    name: 'Equivalent core diameter',
    formula: 'sqrt(De2)',
    uses: { De2: square },
    unit: LENGTH_UNIT[system],
    source: D5731,
    show: 4,
  });
  const raw = sheet.line({
    symbol: 'Is',
    name: 'Uncorrected index',
    formula: 'k * P / De2',
    uses: { k: exact(FORCE_FACTOR[system]), P: load, De2: square },
    unit,
    source: D5731,
    show: 4,
  });
  const size = limits.number('point.size', system);
  const exponent = limits.number('point.exponent', system);
  const factor = sheet.line({
    symbol: 'F',
    name: 'Size factor',
    formula: '(De / S)^n',
    uses: { De: diameter, S: size, n: exponent },
    unit: 'one',
    source: D5731,
    show: 4,
  });
  const index = sheet.line({
    symbol: 'Is50',
    name: 'Point load strength index, at 50 mm',
    formula: 'F * Is',
    uses: { F: factor, Is: raw },
    unit,
    source: D5731,
    round: { step, rule: `index to ${step} ${unit}` },
  });
  const other: System = system === 'US' ? 'SI' : 'US';
  results.push(
    resultOf({
      quantity: 'point load strength index',
      symbol: 'Is50',
      value: index,
      unit,
      step,
      mode,
      other: { unit: STRESS_UNIT[other], step: limits.number('point.step', other) },
    }),
    resultOf({ quantity: 'uncorrected index', symbol: 'Is', value: raw, unit, step, mode }),
    resultOf({
      quantity: PIECE.diameter,
      symbol: 'De',
      value: diameter,
      unit: LENGTH_UNIT[system],
      step: limits.number('point.size-step', system),
      mode,
    }),
    resultOf({
      quantity: PIECE.load,
      symbol: 'P',
      value: load,
      unit: FORCE_UNIT[system],
      step: limits.number('point.load-step', system),
      mode,
    }),
  );
  return index;
}

/** How well the index is known, by how well its readings are: it explains why more decimals say nothing. */
function uncertaintyLine(input: PointLoadInput, limits: Limits, sheet: Sheet): void {
  const { system } = input;
  const [p, d, w] = (['point.read-load', 'point.read-depth', 'point.read-width'] as const).map((id) =>
    limits.number(id, system),
  );
  if (!p || !d || !w) return;
  const across = input.type === 'diametral';
  const share = across ? DIAMETRAL_SHARE : LUMP_SHARE;
  sheet.line({
    symbol: 'u',
    name: 'Uncertainty of the index by its readings',
    formula: across ? 'sqrt(uP^2 + (n * uD)^2)' : 'sqrt(uP^2 + (n * uD)^2 + (n * uW)^2)',
    uses: across ? { uP: p, n: share, uD: d } : { uP: p, n: share, uD: d, uW: w },
    unit: 'percent',
    source: standard('ISRM suggested method, point load strength, 1985'),
    show: 2,
  });
}
