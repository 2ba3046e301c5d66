import { cite, isWithin, type Limits, type Profile } from '../../limits';
import { nominalOf } from '../../moulds';
import { type Exact, exact, meanOf, PI, plainOf, roundTo } from '../../quantity';
import { bySeverity, type Finding, finding, Sheet, type Source, standard } from '../../working';
import type { Outcome, PressTest, PressUse, Result } from '../contract';
import { equipmentUse } from '../equipment-checks';
import { readMeasure } from '../fields';
import { coarseReading, resultOf } from '../outcome';
import {
  expectedStrength,
  FORCE_FACTOR,
  LENGTH_UNIT,
  PRESS_FIELDS,
  STRESS_UNIT,
  specimenFindings,
} from '../press';
import { limitsOf, type RunSetup } from '../setup';
import type { SplittingTensileInput } from './input';

const C496 = standard('ASTM C496/C496M');
const SOURCES: Readonly<Partial<Record<Profile, Source>>> = {
  en: standard('EN 12390-6'),
  is: standard('IS 5816'),
};
/** Splitting strength that goes with a compressive strength: 6.7 √f′c psi, 0.56 √f′c MPa. */
const RELATION = { US: '6.7', SI: '0.56' } as const;

interface Size {
  readonly diameters: readonly Exact[];
  readonly lengths: readonly Exact[];
}

function measured(input: SplittingTensileInput): Size | undefined {
  const read = (names: readonly string[]): Exact[] =>
    names.flatMap((name) => readMeasure(input, name)?.value ?? []);
  const diameters = read(['diameter1', 'diameter2', 'diameter3']);
  const lengths = read(['length1', 'length2']);
  return diameters.length === 3 && lengths.length === 2 ? { diameters, lengths } : undefined;
}

/** What the splitting strength will probably be: from the compressive strength that is expected. */
function expectedSplitting(input: SplittingTensileInput, setup: RunSetup, limits: Limits): Exact | undefined {
  return expectedStrength(setup, input.system, limits)?.sqrt().times(RELATION[input.system]);
}

/** A cylinder lying in the press. */
export const PRESS: PressUse<SplittingTensileInput> = {
  steps: { setup: 'spacers', load: 'load' },
  fields: { ...PRESS_FIELDS, rate: 'loadingRate' },
  test(input, setup): PressTest | undefined {
    const { system } = input;
    const limits = limitsOf(setup);
    const own = measured(input);
    const nominal = nominalOf(setup.specimen?.form, 'cylinder', system);
    const diameter = own
      ? roundTo(meanOf(own.diameters), limits.number('cylinder.diameter-step', system), setup.rounding)
      : nominal?.across;
    const length = own ? meanOf(own.lengths) : nominal?.length;
    if (!diameter || !length) return undefined;
    const area = PI.times(length).times(diameter).div(2);
    const factor = exact(FORCE_FACTOR[system]);
    return {
      area,
      factor,
      band: limits.of('splitting.rate', system),
      from: 'start',
      expected: expectedSplitting(input, setup, limits)?.times(area).div(factor),
      height: diameter,
      ends: 'bare',
      measured: own !== undefined,
    };
  },
};

/**
 * Splitting tensile strength of one cylinder.
 * @param input diameters and lengths in in or mm, load in lbf or kN
 * @returns T = 2P / (π l d), to 5 psi [0.05 MPa]
 * Source: ASTM C496/C496M; EN 12390-6 and IS 5816 with their own rates (from memory).
 */
export function compute(input: SplittingTensileInput, setup: RunSetup): Outcome {
  const { system } = input;
  const us = system === 'US';
  const limits = limitsOf(setup);
  const mode = setup.rounding ?? 'half-even';
  const source = SOURCES[limits.profile] ?? C496;
  const sheet = new Sheet(mode);
  const results: Result[] = [];
  const size = measured(input);
  const load = readMeasure(input, 'maximumLoad')?.value;
  let strength: Exact | undefined;
  if (size) {
    const [d1, d2, d3] = size.diameters as [Exact, Exact, Exact];
    const [l1, l2] = size.lengths as [Exact, Exact];
    const diameter = sheet.line({
      symbol: 'd',
      name: 'Mean diameter',
      formula: '(d1 + d2 + d3) / 3',
      uses: { d1, d2, d3 },
      unit: LENGTH_UNIT[system],
      source,
      round: { step: limits.number('cylinder.diameter-step', system), rule: 'mean diameter as it is read' },
      carry: 'rounded',
    });
    const length = sheet.line({
      symbol: 'l',
      name: 'Mean length',
      formula: '(l1 + l2) / 2',
      uses: { l1, l2 },
      unit: LENGTH_UNIT[system],
      source,
    });
    if (load && !load.isZero()) {
      const step = limits.number('splitting.step', system);
      strength = sheet.line({
        symbol: 'T',
        name: 'Splitting tensile strength',
        formula: us ? '2 * P / (pi * l * d)' : '2000 * P / (pi * l * d)',
        uses: { P: load, l: length, d: diameter },
        unit: STRESS_UNIT[system],
        source,
        round: { step, rule: `strength to ${step} ${STRESS_UNIT[system]}` },
      });
      const other = us ? 'SI' : 'US';
      results.push(
        resultOf({
          quantity: 'splitting tensile strength',
          symbol: 'T',
          value: strength,
          unit: STRESS_UNIT[system],
          step,
          mode,
          other: { unit: STRESS_UNIT[other], step: limits.number('splitting.step', other) },
        }),
      );
    }
  }
  return {
    results,
    lines: sheet.lines,
    findings: bySeverity([
      ...specimenFindings(input, setup, limits),
      ...equipmentUse(input, { machine: 'invalid', calliper: 'departure' }, input.testedAt, setup, limits),
      ...coarse(input, limits),
      ...resultFindings(input, setup, limits, strength),
    ]),
    verdicts: [],
    picture: {
      kind: 'splitting',
      values: {
        diameter: size ? meanOf(size.diameters).toNumber() : null,
        length: size ? meanOf(size.lengths).toNumber() : null,
        lines: input.lines ?? null,
        fracture: input.fracture ?? null,
        broken: Boolean(load),
      },
    },
  };
}

function coarse(input: SplittingTensileInput, limits: Limits): Finding[] {
  const step = limits.number('cylinder.diameter-step', input.system);
  return ['diameter1', 'diameter2', 'diameter3'].flatMap((field) => {
    const measure = readMeasure(input, field);
    return measure ? coarseReading(input, field, measure, step) : [];
  });
}

function resultFindings(
  input: SplittingTensileInput,
  setup: RunSetup,
  limits: Limits,
  strength: Exact | undefined,
): Finding[] {
  const expected = expectedSplitting(input, setup, limits);
  if (!strength || !expected) return [];
  const limit = limits.of('splitting.usual', input.system);
  const share = strength.div(expected);
  if (isWithin(share, limit)) return [];
  return [
    finding({
      id: 'splitting.usual',
      severity: 'advice',
      fields: ['maximumLoad'],
      limit: cite(limit),
      message: `${plainOf(strength, STRESS_UNIT[input.system])} is ${share.toFixed(2)} times what goes with the compressive strength expected.`,
      action:
        'Check load, unit, length and diameter; is it the splitting stress and not the compressive one?',
    }),
  ];
}
