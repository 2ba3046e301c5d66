import { isWithin, type Limits } from '../../limits';
import { circleArea, type Exact, exact, plainOf } from '../../quantity';
import { bySeverity, type Finding, finding, Sheet, standard } from '../../working';
import type { Outcome, PressTest, PressUse, Result } from '../contract';
import { readMeasure } from '../fields';
import { limitFinding } from '../limit-finding';
import { resultOf } from '../outcome';
import {
  expectedStrength,
  FORCE_FACTOR,
  LENGTH_UNIT,
  lengthFactor,
  PRESS_FIELDS,
  STRESS_UNIT,
} from '../press';
import { limitsOf, type RunSetup } from '../setup';
import type { PipeCoreInput } from './input';

export const STRENGTH = 'core strength of the wall';

const C497 = standard('ASTM C497/C497M');

function meanDiameter(input: PipeCoreInput): Exact | undefined {
  const [one, two] = ['diameter1', 'diameter2'].map((name) => readMeasure(input, name)?.value);
  return one && two ? one.plus(two).div(2) : undefined;
}

/** A core of pipe in the press: as a cylinder. */
export const PRESS: PressUse<PipeCoreInput> = {
  steps: { setup: 'spacers', load: 'load' },
  fields: { ...PRESS_FIELDS, rate: 'loadingRate' },
  test(input, setup): PressTest | undefined {
    const { system } = input;
    const diameter = meanDiameter(input);
    if (!diameter?.greaterThan(0)) return undefined;
    const limits = limitsOf(setup);
    const area = circleArea(diameter);
    const factor = exact(FORCE_FACTOR[system]);
    return {
      area,
      factor,
      band: limits.of('cylinder.loading-rate', system),
      from: 'half',
      expected: expectedStrength(setup, system, limits)?.times(area).div(factor),
      width: diameter,
      round: true,
      height: readMeasure(input, 'length')?.value,
      ends: input.ends === 'pads' ? 'pads' : 'bonded',
      measured: true,
    };
  },
};

/**
 * Strength of a core through the wall of a pipe, taken to a cylinder twice as long as wide.
 * @param input two diameters and the length with its caps in in or mm, load in lbf or kN
 * @returns the strength to 10 psi [0.1 MPa]; none for a core shorter than wide, which has no factor
 * Source: ASTM C497/C497M, the factors of ASTM C42/C42M (from memory).
 */
export function compute(input: PipeCoreInput, setup: RunSetup): Outcome {
  const { system } = input;
  const us = system === 'US';
  const limits = limitsOf(setup);
  const sheet = new Sheet(setup.rounding ?? 'half-even');
  const results: Result[] = [];
  const [one, two] = ['diameter1', 'diameter2'].map((name) => readMeasure(input, name)?.value);
  const [length, load] = ['length', 'maximumLoad'].map((name) => readMeasure(input, name)?.value);
  const diameter =
    one &&
    two &&
    sheet.line({
      symbol: 'D',
      name: 'Mean diameter',
      formula: '(D1 + D2) / 2',
      uses: { D1: one, D2: two },
      unit: LENGTH_UNIT[system],
      source: C497,
    });
  const ratio =
    diameter?.greaterThan(0) && length
      ? sheet.line({
          symbol: 'R',
          name: 'Length with its caps to diameter',
          formula: 'L / D',
          uses: { L: length, D: diameter },
          unit: 'one',
          source: C497,
          show: 5,
        })
      : undefined;
  if (diameter && ratio && load?.greaterThan(0)) {
    const raw = sheet.line({
      symbol: 'f',
      name: 'Strength as measured',
      formula: us ? 'P / (pi * D^2 / 4)' : '1000 * P / (pi * D^2 / 4)',
      uses: { P: load, D: diameter },
      unit: STRESS_UNIT[system],
      source: C497,
    });
    const short = ratio.lessThanOrEqualTo(limits.number('factor.applies', system));
    const factor = short ? lengthFactor(ratio, limits, sheet) : exact(1);
    if (factor) {
      const value = sheet.line({
        symbol: 'fc',
        name: 'Strength of the core',
        formula: 'f * k',
        uses: { f: raw, k: factor },
        unit: STRESS_UNIT[system],
        source: C497,
      });
      const other = us ? 'SI' : 'US';
      results.push(
        resultOf({
          quantity: STRENGTH,
          symbol: 'fc',
          value,
          unit: STRESS_UNIT[system],
          step: limits.number('pipe-core.step', system),
          mode: sheet.mode,
          other: { unit: STRESS_UNIT[other], step: limits.number('pipe-core.step', other) },
        }),
      );
    }
  }
  return {
    results,
    lines: sheet.lines,
    findings: bySeverity([
      ...shapeFindings(input, { one, two, diameter, ratio }, limits),
      ...sizeFindings(input, diameter, limits),
    ]),
    verdicts: [],
    picture: {
      kind: 'pipe-core',
      values: {
        diameter: diameter?.toNumber() ?? null,
        length: length?.toNumber() ?? null,
        failure: null,
        unit: LENGTH_UNIT[system],
        ratio: ratio?.toNumber() ?? null,
      },
    },
  };
}

function shapeFindings(
  input: PipeCoreInput,
  { one, two, diameter, ratio }: Readonly<Record<'one' | 'two' | 'diameter' | 'ratio', Exact | undefined>>,
  limits: Limits,
): Finding[] {
  const { system } = input;
  const found: Finding[] = [];
  if (
    one &&
    two &&
    diameter &&
    !isWithin(one.minus(two).abs().div(diameter).times(100), limits.of('pipe-core.spread', system))
  )
    found.push(
      limitFinding(
        limits,
        system,
        {
          id: 'pipe-core.spread',
          severity: 'departure',
          fields: ['diameter1', 'diameter2'],
          beforeLoad: true,
        },
        {
          message: 'Its two diameters differ by more than 2 %.',
          action: 'Measure again at the middle; it is reported.',
          remark: 'Diameters of the core more than 2 % apart.',
        },
      ),
    );
  const before = readMeasure(input, 'lengthBefore')?.value;
  const length = readMeasure(input, 'length')?.value;
  if (before && length?.lessThan(before))
    found.push(
      finding({
        id: 'pipe-core.caps',
        severity: 'invalid',
        fields: ['lengthBefore', 'length'],
        beforeLoad: true,
        message: 'With its caps it is shorter than without.',
        action: 'Look which length was written where.',
      }),
    );
  if (ratio && !isWithin(ratio, limits.of('factor.smallest', system)))
    found.push(
      limitFinding(
        limits,
        system,
        { id: 'factor.smallest', severity: 'invalid', fields: ['length'], beforeLoad: true },
        {
          message: 'It is shorter than it is wide: it has no strength to report.',
          action: 'Drill another, no wider than the wall that is left after trimming.',
        },
      ),
    );
  if (ratio && !isWithin(ratio, limits.of('pipe-core.most', system)))
    found.push(
      limitFinding(
        limits,
        system,
        { id: 'pipe-core.most', severity: 'departure', fields: ['length'], beforeLoad: true },
        {
          message: 'It is longer than twice its width.',
          action: 'Trim it.',
          remark: 'Core longer than twice its width.',
        },
      ),
    );
  return found;
}

function sizeFindings(input: PipeCoreInput, diameter: Exact | undefined, limits: Limits): Finding[] {
  const { system } = input;
  const aggregate = readMeasure(input, 'aggregate')?.value;
  if (!aggregate?.greaterThan(0) || !diameter) return [];
  const times = diameter.div(aggregate);
  const id = isWithin(times, limits.of('pipe-core.agreed', system))
    ? 'pipe-core.aggregate'
    : 'pipe-core.agreed';
  if (isWithin(times, limits.of(id, system))) return [];
  const said = `The core is ${times.toFixed(1)} times as wide as its largest aggregate, ${plainOf(aggregate, LENGTH_UNIT[system])}`;
  return [
    limitFinding(
      limits,
      system,
      { id, severity: 'departure', fields: ['aggregate'], beforeLoad: true },
      {
        message: `${said}.`,
        action: 'A wider core; down to twice only where that is agreed.',
        remark: `${said}.`,
      },
    ),
  ];
}
