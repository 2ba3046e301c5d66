import { circleArea, type Exact, exact } from '../../quantity';
import { bySeverity, Sheet, standard } from '../../working';
import type { Outcome, PressTest, PressUse, Result } from '../contract';
import { equipmentUse } from '../equipment-checks';
import { readMeasure } from '../fields';
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
import { coreDiameter } from './diameter';
import { coreFindings } from './findings';
import { inPlaceEstimate } from './in-place';
import type { CoreCompressionInput } from './input';

const C42 = standard('ASTM C42/C42M');

/** A core in the press: as a cylinder. */
export const PRESS: PressUse<CoreCompressionInput> = {
  steps: { setup: 'spacers', load: 'load' },
  fields: { ...PRESS_FIELDS, rate: 'loadingRate' },
  test(input, setup): PressTest | undefined {
    const limits = limitsOf(setup);
    const diameter = coreDiameter(input, setup, limits);
    if (!diameter) return undefined;
    const area = circleArea(diameter.mean);
    const factor = exact(FORCE_FACTOR[input.system]);
    return {
      area,
      factor,
      band: limits.of('cylinder.loading-rate', input.system),
      from: 'half',
      expected: expectedStrength(setup, input.system, limits)?.times(area).div(factor),
      width: diameter.mean,
      round: true,
      height: readMeasure(input, 'length')?.value,
      ends: input.ends === 'ground' ? 'bare' : 'bonded',
      measured: true,
    };
  },
};

/**
 * Compressive strength of one drilled core, corrected for its length.
 * @param input diameters and lengths in in or mm, load in lbf or kN
 * @returns strength to 10 psi [0.1 MPa], to 50 psi [0.5 MPa] where the diameters differ by more than 2 %
 * Source: ASTM C42/C42M with the factors of ASTM C39/C39M (from memory).
 */
export function compute(input: CoreCompressionInput, setup: RunSetup): Outcome {
  const { system } = input;
  const us = system === 'US';
  const limits = limitsOf(setup);
  const mode = setup.rounding ?? 'half-even';
  const sheet = new Sheet(mode);
  const results: Result[] = [];
  const diameter = coreDiameter(input, setup, limits);
  const [before, length] = [readMeasure(input, 'lengthBefore')?.value, readMeasure(input, 'length')?.value];
  const load = readMeasure(input, 'maximumLoad')?.value;
  let ratio: Exact | undefined;
  if (diameter) {
    sheet.line({
      symbol: 'D',
      name: diameter.fine ? 'Mean diameter' : 'Mean diameter, rough',
      formula: '(D1 + D2) / 2',
      uses: { D1: diameter.one, D2: diameter.two },
      unit: LENGTH_UNIT[system],
      source: C42,
      round: {
        step: limits.number(diameter.fine ? 'core.step-fine' : 'core.step-rough', system),
        rule: diameter.fine ? 'diameters agree: read finely' : 'diameters differ: read roughly, rounded once',
      },
      carry: 'rounded',
    });
    if (length) {
      ratio = sheet.line({
        symbol: 'R',
        name: 'Length to diameter, capped',
        formula: 'L / D',
        uses: { L: length, D: diameter.mean },
        unit: 'one',
        source: C42,
        round: { step: '0.01', rule: 'ratio to 0.01 before the factor' },
        carry: 'rounded',
      });
    }
  }
  if (diameter && ratio && load && !load.isZero()) {
    const area = sheet.line({
      symbol: 'A',
      name: 'Area',
      formula: 'pi * D^2 / 4',
      uses: { D: diameter.mean },
      unit: us ? 'in2' : 'mm2',
      source: C42,
    });
    const step = limits.number(diameter.fine ? 'core.report-fine' : 'core.report-rough', system);
    const round = { step, rule: `strength to ${step} ${STRESS_UNIT[system]}` };
    const measured = sheet.line({
      symbol: 'f',
      name: 'Strength as measured',
      formula: us ? 'P / A' : '1000 * P / A',
      uses: { P: load, A: area },
      unit: STRESS_UNIT[system],
      source: C42,
      round,
    });
    const short = ratio.lessThanOrEqualTo(limits.number('factor.applies', system));
    const factor = short ? lengthFactor(ratio, limits, sheet) : undefined;
    const strength = factor
      ? sheet.line({
          symbol: 'fc',
          name: 'Strength corrected for length to diameter',
          formula: 'f * k',
          uses: { f: measured, k: factor },
          unit: STRESS_UNIT[system],
          source: C42,
          round,
        })
      : short
        ? undefined
        : measured;
    if (strength) {
      const other = us ? 'SI' : 'US';
      results.push(
        resultOf({
          quantity: 'core strength',
          symbol: factor ? 'fc' : 'f',
          value: strength,
          unit: STRESS_UNIT[system],
          step,
          mode,
          other: {
            unit: STRESS_UNIT[other],
            step: limits.number(diameter.fine ? 'core.report-fine' : 'core.report-rough', other),
          },
        }),
      );
      if (factor) {
        results.push(
          resultOf({
            quantity: 'strength as measured',
            symbol: 'f',
            value: measured,
            unit: STRESS_UNIT[system],
            step,
            mode,
          }),
          resultOf({
            quantity: 'length to diameter factor',
            symbol: 'k',
            value: factor,
            unit: 'one',
            step: '0.001',
            mode,
          }),
        );
      }
    }
    const estimate =
      input.conditioning &&
      inPlaceEstimate(
        sheet,
        { strength: measured, ratio, diameter: diameter.mean },
        { conditioning: input.conditioning, system, limits, mode, step },
      );
    if (strength && estimate) results.push(estimate);
  }
  return {
    results,
    lines: sheet.lines,
    findings: bySeverity([
      ...equipmentUse(input, { machine: 'invalid', calliper: 'departure' }, input.testedAt, setup, limits),
      ...coreFindings(input, setup, limits, { diameter, before, length }),
    ]),
    verdicts: [],
    picture: {
      kind: 'core',
      values: {
        diameter: diameter?.mean.toNumber() ?? null,
        length: length?.toNumber() ?? null,
        drilledAt: input.drilledAt ?? null,
        wettedAt: input.wettedAt ?? null,
        testedAt: input.testedAt ?? null,
        dryDays: limits.number('core.dry', system).toNumber(),
        testDays: limits.number('core.test', system).toNumber(),
        broken: Boolean(load),
      },
    },
  };
}
