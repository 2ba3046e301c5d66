import { cite, isWithin, type Limits } from '../../limits';
import { nominalOf } from '../../moulds';
import { type Exact, exact, plainOf } from '../../quantity';
import { bySeverity, type Finding, finding, Sheet, standard } from '../../working';
import type { Outcome, PressTest, PressUse, Result } from '../contract';
import { equipmentUse } from '../equipment-checks';
import { readMeasure } from '../fields';
import { coarseReading, resultOf } from '../outcome';
import {
  compressiveStrength,
  expectedStrength,
  FORCE_FACTOR,
  LENGTH_UNIT,
  PRESS_FIELDS,
  specimenFindings,
} from '../press';
import { limitsOf, type RunSetup } from '../setup';
import { cylinderGuidance } from './guidance';
import type { CubeCompressionInput } from './input';

const EN = standard('EN 12390-3');
const IS = standard('IS 516');

/** The designated side, in or mm; undefined where the specimen is not known to be a cube. */
function designated(input: CubeCompressionInput, setup: RunSetup): Exact | undefined {
  return nominalOf(setup.specimen?.form, 'cube', input.system)?.across;
}

interface Sides {
  readonly x: Exact;
  readonly y: Exact;
  /** True when both lie within the tolerance of the designated size, whose area then counts. */
  readonly within: boolean;
  readonly nominal: Exact | undefined;
}

function sidesOf(input: CubeCompressionInput, setup: RunSetup, limits: Limits): Sides | undefined {
  const [x, y] = [readMeasure(input, 'sideX')?.value, readMeasure(input, 'sideY')?.value];
  if (!x || !y) return undefined;
  const nominal = designated(input, setup);
  const most = limits.number('cube.side', input.system);
  const near = (side: Exact): boolean =>
    nominal !== undefined && side.minus(nominal).abs().times(100).lessThanOrEqualTo(nominal.times(most));
  return { x, y, nominal, within: near(x) && near(y) && limits.profile !== 'is' };
}

function areaOf({ x, y, nominal, within }: Sides): Exact {
  return within && nominal ? nominal.pow(2) : x.times(y);
}

/** A cube in the press. */
export const PRESS: PressUse<CubeCompressionInput> = {
  steps: { setup: 'spacers', load: 'load' },
  fields: { ...PRESS_FIELDS, rate: 'loadingRate' },
  test(input, setup): PressTest | undefined {
    const limits = limitsOf(setup);
    const sides = sidesOf(input, setup, limits);
    const nominal = designated(input, setup);
    const area = sides ? areaOf(sides) : nominal?.pow(2);
    if (!area) return undefined;
    const factor = exact(FORCE_FACTOR[input.system]);
    return {
      area,
      factor,
      band: limits.of('cube.rate', input.system),
      // The faster beginning that EN allows ends at about a third of the load; the record is judged from half on.
      from: 'half',
      expected: expectedStrength(setup, input.system, limits)?.times(area).div(factor),
      width: sides?.x ?? nominal,
      height: readMeasure(input, 'height')?.value ?? sides?.x ?? nominal,
      ends: 'bare',
      measured: sides !== undefined,
    };
  },
};

/**
 * Compressive strength of one cube.
 * @param input sides in in or mm, load in lbf or kN, mass in lb or kg
 * @returns strength; by EN over the designated area while both sides are within ±1 %, by IS over the measured one
 * Source: EN 12390-3: fc = F / A to 0.1 MPa; IS 516: to 0.5 N/mm² (both from memory).
 */
export function compute(input: CubeCompressionInput, setup: RunSetup): Outcome {
  const { system } = input;
  const limits = limitsOf(setup);
  const mode = setup.rounding ?? 'half-even';
  const sheet = new Sheet(mode);
  const results: Result[] = [];
  const source = limits.profile === 'is' ? IS : EN;
  const sides = sidesOf(input, setup, limits);
  const load = readMeasure(input, 'maximumLoad')?.value;
  const [height, mass] = [readMeasure(input, 'height')?.value, readMeasure(input, 'mass')?.value];
  const us = system === 'US';
  if (sides && load && !load.isZero()) {
    const area = sheet.line({
      symbol: 'A',
      name: sides.within ? 'Area, designated' : 'Area, measured',
      formula: sides.within ? 'a^2' : 'x * y',
      uses: sides.within && sides.nominal ? { a: sides.nominal } : { x: sides.x, y: sides.y },
      unit: us ? 'in2' : 'mm2',
      source,
    });
    results.push(
      compressiveStrength(sheet, {
        load,
        area,
        system,
        limits,
        step: 'cube.step',
        mode,
        source,
        symbols: { load: 'F', strength: 'fc' },
      }),
    );
  }
  if (sides && height && mass) {
    const step = limits.number('cylinder.density-step', system);
    const density = sheet.line({
      symbol: 'rho',
      name: 'Density, wet',
      formula: us ? '1728 * m / (x * y * h)' : '10^9 * m / (x * y * h)',
      uses: { m: mass, x: sides.x, y: sides.y, h: height },
      unit: us ? 'lb/ft3' : 'kg/m3',
      source,
      round: { step, rule: `density to ${step}` },
    });
    results.push(
      resultOf({
        quantity: 'density',
        symbol: 'rho',
        value: density,
        unit: us ? 'lb/ft3' : 'kg/m3',
        step,
        mode,
      }),
    );
  }
  return {
    results,
    lines: sheet.lines,
    findings: bySeverity([
      ...specimenFindings(input, setup, limits),
      ...equipmentUse(input, { machine: 'invalid', calliper: 'departure' }, input.testedAt, setup, limits),
      ...sideFindings(input, limits, sides),
      ...placeFindings(input),
      ...patternFindings(input),
    ]),
    verdicts: [],
    picture: {
      kind: 'cube',
      values: {
        x: sides?.x.toNumber() ?? null,
        y: sides?.y.toNumber() ?? null,
        pattern: input.pattern ?? null,
        guidance: (results[0] && cylinderGuidance(exact(results[0].value), system)) ?? null,
        broken: Boolean(load),
      },
    },
  };
}

function sideFindings(input: CubeCompressionInput, limits: Limits, sides: Sides | undefined): Finding[] {
  const found: Finding[] = [];
  for (const field of ['sideX', 'sideY']) {
    const measure = readMeasure(input, field);
    if (measure) found.push(...coarseReading(input, field, measure, input.system === 'US' ? '0.01' : '0.2'));
  }
  if (!sides?.nominal) return found;
  const limit = limits.of('cube.side', input.system);
  const unit = LENGTH_UNIT[input.system];
  for (const [field, side] of [
    ['sideX', sides.x],
    ['sideY', sides.y],
  ] as const) {
    const off = side.minus(sides.nominal).abs().div(sides.nominal).times(100);
    if (isWithin(off, limit)) continue;
    const large = off.greaterThan(10);
    found.push(
      finding({
        id: large ? 'cube.side-possible' : 'cube.side',
        severity: large ? 'invalid' : 'departure',
        needsReason: large,
        beforeLoad: true,
        fields: [field],
        limit: cite(limit),
        message: `${plainOf(side, unit)} is ${off.toFixed(1)} % from the designated ${plainOf(sides.nominal.toSignificantDigits(6), unit)}.`,
        action: large
          ? 'Check the reading, its unit and which cube this is.'
          : 'Measure again. If it stands, the measured area counts, with this remark.',
        remark: 'Side out of tolerance: strength over the measured area.',
      }),
    );
  }
  return found;
}

function placeFindings(input: CubeCompressionInput): Finding[] {
  if (input.trowelled !== 'up') return [];
  return [
    finding({
      id: 'cube.trowelled',
      severity: 'invalid',
      beforeLoad: true,
      fields: ['trowelled'],
      message: 'The trowelled face lies under a platen: it is neither plane nor parallel.',
      action: 'Turn the cube so that cast faces are loaded, the trowelled one to the side.',
    }),
  ];
}

const UNSATISFACTORY: readonly string[] = ['bare-face', 'corner', 'tensile', 'leaning', 'spalled'];

function patternFindings(input: CubeCompressionInput): Finding[] {
  if (!input.pattern || !UNSATISFACTORY.includes(input.pattern)) return [];
  return [
    finding({
      id: 'cube.pattern',
      severity: 'departure',
      needsReason: true,
      fields: ['pattern'],
      message: 'The failure pattern is not satisfactory: the load did not go in evenly.',
      action: 'Look at seat, centring, faces and platens before the next cube; the result is suspect.',
      remark: 'Unsatisfactory failure pattern.',
    }),
  ];
}
