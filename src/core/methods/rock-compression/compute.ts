import { circleArea, convert, type Exact, exact, type RoundingMode, type System } from '../../quantity';
import { bySeverity, Sheet, standard } from '../../working';
import type { Outcome, PressTest, PressUse, Result } from '../contract';
import { readMeasure } from '../fields';
import { resultOf } from '../outcome';
import { packedRows } from '../picture-rows';
import { FORCE_FACTOR, FORCE_UNIT, LENGTH_UNIT, PRESS_FIELDS, STRESS_UNIT } from '../press';
import { limitsOf, type RunSetup } from '../setup';
import { profilesOf } from './ends';
import { type CoreValues, coreFindings, SHAPE } from './findings';
import type { RockCompressionInput } from './input';
import { besideLine, type EndValues, endLines, sizeLines } from './lines';
import { bandOf, expectedStress } from './rate';
import { DIAMETERS, LENGTHS, meanRead, readAll } from './sizes';

const D7012 = standard('ASTM D7012', 'method C');

/** What the strength of a core is called: in a mean stands only that of whole rock in the shape of the method. */
export const STRENGTH = {
  rock: 'uniaxial strength',
  other: 'uniaxial strength, other shape',
  joint: 'strength along a joint',
} as const;

const DENSITY = { US: 'lb/ft3', SI: 'kg/m3' } as const;

/** A core of rock in the press: bare ends, its rate from the beginning, and it breaks at once. */
export const PRESS: PressUse<RockCompressionInput> = {
  steps: { setup: 'spacers', load: 'load' },
  fields: { ...PRESS_FIELDS, rate: 'loadingRate' },
  test(input, setup): PressTest | undefined {
    const { system } = input;
    const diameter = meanRead(input, DIAMETERS);
    if (!diameter?.greaterThan(0)) return undefined;
    const area = circleArea(diameter);
    const factor = exact(FORCE_FACTOR[system]);
    const expected = expectedStress(setup, system);
    return {
      area,
      factor,
      band: bandOf(input, expected, limitsOf(setup)),
      from: 'start',
      expected: expected?.times(area).div(factor),
      snaps: true,
      width: diameter,
      round: true,
      height: meanRead(input, LENGTHS),
      ends: 'bare',
      measured: true,
    };
  },
};

/** What a strength is reported to: so many figures, and never finer than the register says. */
function stepOf(value: Exact, figures: number, finest: Exact): Exact {
  if (value.isZero()) return finest;
  const step = exact(10).pow(Math.floor(value.abs().log(10).toNumber()) + 1 - figures);
  return step.greaterThan(finest) ? step : finest;
}

/** Seconds from the first load to the peak: by the record, else by the stopwatch. */
function timeOf(input: RockCompressionInput, setup: RunSetup): Exact | undefined {
  const { toPeak } = setup.loadLog ?? {};
  return toPeak === undefined ? readMeasure(input, 'time')?.value : exact(toPeak);
}

/**
 * Uniaxial compressive strength of a core of rock, with what its ends are like.
 * @param input sizes in in or mm, the dial's readings in in or mm, load in lbf or kN
 * @returns the strength to three figures; of another shape, or along a joint, under a name of its own, so that no mean takes it
 * Source: ASTM D7012 method C, ASTM D4543 (from memory): S = P / A, with no correction for its length.
 */
export function compute(input: RockCompressionInput, setup: RunSetup): Outcome {
  const { system } = input;
  const limits = limitsOf(setup);
  const mode = setup.rounding ?? 'half-even';
  const sheet = new Sheet(mode);
  const { diameter, length, ratio } = sizeLines(
    { diameters: readAll(input, DIAMETERS), lengths: readAll(input, LENGTHS) },
    system,
    sheet,
  );
  const profiles = profilesOf(input.endReadings, limits.number('ucs.points', system).toNumber());
  const ends = endLines(profiles, diameter, input, sheet);
  const results: Result[] = [];
  const area =
    diameter?.greaterThan(0) &&
    sheet.line({
      symbol: 'A',
      name: 'Area',
      formula: 'pi * D^2 / 4',
      uses: { D: diameter },
      unit: system === 'US' ? 'in2' : 'mm2',
      source: D7012,
      show: 5,
    });
  const density = densityLine(input, { area: area || undefined, length }, sheet);
  const values: CoreValues = { diameter, ratio, ends, profiles, density, time: timeOf(input, setup) };
  const findings = coreFindings(input, values, setup, limits);
  const ended = endResults(ends, findings, system, mode);
  const load = loadLine(input, sheet);
  if (area && load?.greaterThan(0)) {
    const figures = limits.number('ucs.figures', system).toNumber();
    const finest = limits.number('ucs.step', system);
    const unit = STRESS_UNIT[system];
    const rough = load.times(FORCE_FACTOR[system]).div(area);
    const step = stepOf(rough, figures, finest);
    const strength = sheet.line({
      symbol: 'S',
      name: 'Uniaxial strength',
      formula: 'k * P / A',
      uses: { k: exact(FORCE_FACTOR[system]), P: load, A: area },
      unit,
      source: D7012,
      round: { step, rule: `${figures} figures` },
    });
    const other = system === 'US' ? 'SI' : 'US';
    const shaped = !findings.some(({ id }) => (SHAPE as readonly string[]).includes(id));
    results.push(
      resultOf({
        quantity: input.failure === 'joint' ? STRENGTH.joint : shaped ? STRENGTH.rock : STRENGTH.other,
        symbol: 'S',
        value: strength,
        unit,
        step,
        mode,
        other: {
          unit: STRESS_UNIT[other],
          step: stepOf(convert(rough, unit, STRESS_UNIT[other]), figures, limits.number('ucs.step', other)),
        },
      }),
    );
    if (input.beside && length?.greaterThan(0) && diameter)
      results.push(besideResult(input.beside, { strength, diameter, length }, { input, setup, sheet, mode }));
  }
  results.push(...ended);
  if (density)
    results.push(
      resultOf({
        ...{ quantity: 'density as tested', symbol: 'rho', value: density, mode },
        unit: DENSITY[system],
        step: limits.number('ucs.density-step', system),
      }),
    );
  return {
    results,
    lines: sheet.lines,
    findings: bySeverity(findings),
    verdicts: [],
    picture: {
      kind: 'rock-core',
      values: {
        diameter: diameter?.toNumber() ?? null,
        length: length?.toNumber() ?? null,
        failure: input.failure ?? null,
        angle: readMeasure(input, 'failureAngle')?.value.toNumber() ?? null,
        unit: LENGTH_UNIT[system],
        profiles: packedRows(
          profiles.map(({ scan, line, points }) => [
            scan,
            line.intercept,
            line.slope,
            points.map(({ x, y }) => `${x},${y}`).join(' '),
          ]),
        ),
        band: limits.of('ucs.flat', system).high?.toNumber() ?? null,
        flat: ends.flat?.toNumber() ?? null,
        square: ends.square?.toNumber() ?? null,
        parallel: ends.parallel?.toNumber() ?? null,
        ...judged(findings),
      },
    },
  };
}

/** The worst of each check of the ends as a result of its own: it stands in the table of a report, held or not. */
function endResults(
  { flat, square, parallel }: EndValues,
  findings: Outcome['findings'],
  system: System,
  mode: RoundingMode,
): Result[] {
  const checks = [
    ['ends off flat', 'e', flat, LENGTH_UNIT[system], system === 'US' ? '0.0001' : '0.001', 'ucs.flat'],
    ['ends off square', 'q', square, 'one', '0.0001', 'ucs.square'],
    ['ends off parallel', 'w', parallel, 'deg', '0.01', 'ucs.parallel'],
  ] as const;
  return checks.flatMap(([quantity, symbol, value, unit, step, id]): Result[] => {
    if (!value) return [];
    const result = resultOf({ quantity, symbol, value, unit, step, mode });
    const off = findings.some((each) => each.id === id);
    return [{ ...result, text: `${result.text}${off ? ' ✕' : ''}` }];
  });
}

/** Which of the three checks of the ends an outcome says do not hold. */
function judged(findings: Outcome['findings']): Record<'flatBad' | 'squareBad' | 'parallelBad', boolean> {
  const has = (id: string): boolean => findings.some((each) => each.id === id);
  return { flatBad: has('ucs.flat'), squareBad: has('ucs.square'), parallelBad: has('ucs.parallel') };
}

function loadLine(input: RockCompressionInput, sheet: Sheet): Exact | undefined {
  const shown = readMeasure(input, 'maximumLoad')?.value;
  const held = readMeasure(input, 'heldAtZero')?.value;
  if (!shown || !held?.greaterThan(0)) return shown;
  return sheet.line({
    symbol: 'P',
    name: 'Load, with what was held at zero',
    formula: 'Pi + P0',
    uses: { Pi: shown, P0: held },
    unit: FORCE_UNIT[input.system],
    source: D7012,
  });
}

function besideResult(
  beside: NonNullable<RockCompressionInput['beside']>,
  about: { readonly strength: Exact; readonly diameter: Exact; readonly length: Exact },
  given: { input: RockCompressionInput; setup: RunSetup; sheet: Sheet; mode: RoundingMode },
): Result {
  const { system } = given.input;
  const limits = limitsOf(given.setup);
  const value = besideLine(beside, about, { limits, system, sheet: given.sheet });
  return resultOf({
    quantity: 'strength taken to another size',
    symbol: beside === 'size' ? 'S50' : beside === 'two' ? 'S2' : 'S1',
    value,
    unit: STRESS_UNIT[system],
    step: stepOf(value, limits.number('ucs.figures', system).toNumber(), limits.number('ucs.step', system)),
    mode: given.mode,
  });
}

function densityLine(
  input: RockCompressionInput,
  { area, length }: { area: Exact | undefined; length: Exact | undefined },
  sheet: Sheet,
): Exact | undefined {
  const mass = readMeasure(input, 'mass')?.value;
  if (!mass || !area || !length?.greaterThan(0)) return undefined;
  return sheet.line({
    symbol: 'rho',
    name: 'Density as tested',
    // Grams over in³ to lb/ft³, grams over mm³ to kg/m³.
    formula: input.system === 'US' ? '1728 * m / (453.59237 * A * L)' : '1000000 * m / (A * L)',
    uses: { m: mass, A: area, L: length },
    unit: DENSITY[input.system],
    source: D7012,
    show: 4,
  });
}
