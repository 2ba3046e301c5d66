import type { Limits } from '../../limits';
import { mouldOf } from '../../moulds';
import { type Exact, exact } from '../../quantity';
import { bySeverity, type Finding, finding, Sheet, standard } from '../../working';
import type { Outcome, PressTest, PressUse, Result } from '../contract';
import { equipmentUse } from '../equipment-checks';
import { readMeasure } from '../fields';
import {
  compressiveStrength,
  expectedStrength,
  FORCE_FACTOR,
  PRESS_FIELDS,
  specimenFindings,
} from '../press';
import { limitsOf, type RunSetup } from '../setup';
import type { MortarCubeInput } from './input';

const C109 = standard('ASTM C109/C109M');
/** Side of the cube: the two systems have cubes of their own. */
const SIDE = {
  US: exact(mouldOf('mortar-2').across),
  SI: exact(mouldOf('mortar-50').across),
} as const;

interface Section {
  readonly area: Exact;
  /** The edges, where they were measured and the section is off the nominal one. */
  readonly edges: { readonly x: Exact; readonly y: Exact } | undefined;
}

/** The cross-section that counts: the nominal one, unless the measured one is further off than allowed. */
function sectionOf(input: MortarCubeInput, limits: Limits): Section {
  const nominal = SIDE[input.system].pow(2);
  const [x, y] = [readMeasure(input, 'edgeX')?.value, readMeasure(input, 'edgeY')?.value];
  if (!x || !y) return { area: nominal, edges: undefined };
  const off = x.times(y).minus(nominal).abs().div(nominal).times(100);
  if (off.lessThanOrEqualTo(limits.number('mortar-cube.area', input.system)))
    return { area: nominal, edges: undefined };
  return { area: x.times(y), edges: { x, y } };
}

/** A mortar cube in the press: its band is a rate of the load, not of the stress. */
export const PRESS: PressUse<MortarCubeInput> = {
  steps: { setup: 'spacers', load: 'load' },
  fields: { ...PRESS_FIELDS, rate: 'loadingRate' },
  test(input, setup): PressTest {
    const limits = limitsOf(setup);
    const { area } = sectionOf(input, limits);
    const factor = exact(FORCE_FACTOR[input.system]);
    const side = SIDE[input.system];
    return {
      area,
      factor,
      band: limits.of('mortar-cube.rate', input.system),
      from: 'half',
      expected: expectedStrength(setup, input.system, limits)?.times(area).div(factor),
      width: side,
      height: side,
      ends: 'bare',
      measured: true,
    };
  },
};

/**
 * Compressive strength of one mortar cube.
 * @param input load in lbf or kN; edges in in or mm, where they were measured
 * @returns f = P / A, A being 4 in² or 2500 mm² while the section is within 1.5 % of it; to 10 psi [0.1 MPa]
 * Source: ASTM C109/C109M (from memory).
 */
export function compute(input: MortarCubeInput, setup: RunSetup): Outcome {
  const { system } = input;
  const limits = limitsOf(setup);
  const mode = setup.rounding ?? 'half-even';
  const sheet = new Sheet(mode);
  const results: Result[] = [];
  const section = sectionOf(input, limits);
  const load = readMeasure(input, 'maximumLoad')?.value;
  if (load && !load.isZero()) {
    const area = sheet.line({
      symbol: 'A',
      name: section.edges ? 'Area, measured' : 'Area, nominal',
      formula: section.edges ? 'x * y' : 'a^2',
      uses: section.edges ?? { a: SIDE[system] },
      unit: system === 'US' ? 'in2' : 'mm2',
      source: C109,
    });
    results.push(
      compressiveStrength(sheet, {
        load,
        area,
        system,
        limits,
        step: 'small.step',
        mode,
        source: C109,
        symbols: { load: 'P', strength: 'f' },
      }),
    );
  }
  return {
    results,
    lines: sheet.lines,
    findings: bySeverity([
      ...specimenFindings(input, setup, limits),
      ...equipmentUse(input, { machine: 'invalid', calliper: 'departure' }, input.testedAt, setup, limits),
      ...(section.edges ? [OFF_NOMINAL] : []),
      ...faultFindings(input),
    ]),
    verdicts: [],
    picture: {
      kind: 'mortar cube',
      values: {
        side: SIDE[system].toNumber(),
        faces: input.faces ?? null,
        found: input.found ?? null,
        broken: Boolean(load),
      },
    },
  };
}

const OFF_NOMINAL = finding({
  id: 'mortar-cube.area',
  severity: 'departure',
  beforeLoad: true,
  fields: ['edgeX', 'edgeY'],
  message: 'The cross-section is off the nominal one: the measured one counts.',
  action: 'Measure again; if it stands, look at the mould.',
  remark: 'Strength over the measured cross-section.',
});

/** A cube of mortar that is manifestly faulty, whoever's it is. */
export function faultFindings({ found }: Pick<MortarCubeInput, 'found'>): Finding[] {
  if (!found || found === 'sound') return [];
  return [
    finding({
      id: 'mortar-cube.faulty',
      severity: 'invalid',
      beforeLoad: true,
      fields: ['found'],
      message: 'A manifestly faulty cube does not stand for its batch.',
      action:
        'Say what is wrong in the remarks, now, before the strengths of the others are seen. The others are averaged without it.',
    }),
  ];
}
