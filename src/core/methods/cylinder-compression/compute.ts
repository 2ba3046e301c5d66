import { nominalOf } from '../../moulds';
import type { Exact } from '../../quantity';
import { bySeverity, Sheet, standard } from '../../working';
import type { Outcome, Result } from '../contract';
import { readMeasure } from '../fields';
import { resultOf } from '../outcome';
import { LENGTH_UNIT, lengthFactor, STRESS_UNIT } from '../press';
import { limitsOf, type RunSetup } from '../setup';
import { findingsAfterLoad } from './after-load';
import { findingsBeforeLoad, waterFindings } from './before-load';
import { endsFindings } from './ends';
import type { CylinderCompressionInput } from './input';

const C39 = standard('ASTM C39/C39M');

/**
 * Compressive strength of one cylinder.
 * @param input readings in the run's system: diameters and length in in or mm, load in lbf or kN, mass in lb or kg
 * @param setup limits in force, specimen and equipment facts
 * @returns strength in psi or MPa (corrected for L/D where that applies), density when mass and length are given,
 *   the working lines and the findings; no results while load or diameters are missing
 * Source: ASTM C39/C39M (from memory): f = P / (π D² / 4), D rounded to 0.01 in [0.25 mm], f to 10 psi [0.1 MPa].
 */
export function compute(input: CylinderCompressionInput, setup: RunSetup): Outcome {
  const { system } = input;
  const limits = limitsOf(setup);
  const mode = setup.rounding ?? 'half-even';
  const sheet = new Sheet(mode);
  const results: Result[] = [];
  const stress = STRESS_UNIT[system];
  const one = readMeasure(input, 'diameter1')?.value;
  const two = readMeasure(input, 'diameter2')?.value;
  const load = readMeasure(input, 'maximumLoad')?.value;
  const length = readMeasure(input, 'length')?.value;
  const mass = readMeasure(input, 'mass')?.value;
  const inWater = readMeasure(input, 'massInWater')?.value;

  let diameter: Exact | undefined;
  let strength: Exact | undefined;
  let ratio: Exact | undefined;
  let density: Exact | undefined;
  let corrected = false;
  const strengthRound = {
    step: limits.number('cylinder.strength-step', system),
    rule: `strength to ${limits.of('cylinder.strength-step', system).high} ${stress}`,
  };

  if (one && two) {
    diameter = sheet.line({
      symbol: 'D',
      name: input.diameterBy === 'lot' ? 'Diameter, mean of its lot' : 'Mean diameter',
      formula: '(D1 + D2) / 2',
      uses: { D1: one, D2: two },
      unit: LENGTH_UNIT[system],
      source: C39,
      round: {
        step: limits.number('cylinder.diameter-step', system),
        rule: 'mean diameter to the place it was read to',
      },
      carry: 'rounded',
    });
  }
  if (diameter && length) {
    ratio = sheet.line({
      symbol: 'R',
      name: 'Length to diameter',
      formula: 'L / D',
      uses: { L: length, D: diameter },
      unit: 'one',
      source: C39,
      round: { step: '0.01', rule: 'ratio to 0.01 before the factor' },
      carry: 'rounded',
    });
  }
  if (diameter && load && !load.isZero()) {
    const area = sheet.line({
      symbol: 'A',
      name: 'Area',
      formula: 'pi * D^2 / 4',
      uses: { D: diameter },
      unit: system === 'US' ? 'in2' : 'mm2',
      source: C39,
    });
    const short = ratio?.lessThanOrEqualTo(limits.number('factor.applies', system)) ?? false;
    const measured = sheet.line({
      symbol: 'f',
      name: short ? 'Strength as measured' : 'Compressive strength',
      formula: system === 'US' ? 'P / A' : '1000 * P / A',
      uses: { P: load, A: area },
      unit: stress,
      source: C39,
      round: strengthRound,
    });
    strength = measured;
    if (short && ratio) {
      const factor = lengthFactor(ratio, limits, sheet);
      corrected = factor !== undefined;
      strength = factor
        ? sheet.line({
            symbol: 'fc',
            name: 'Strength corrected for length to diameter',
            formula: 'f * k',
            uses: { f: measured, k: factor },
            unit: stress,
            source: C39,
            round: strengthRound,
          })
        : undefined;
      if (factor) {
        results.push(measuredStrength(measured));
        results.push(
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
    if (strength) {
      const other = system === 'US' ? 'SI' : 'US';
      results.unshift(
        resultOf({
          quantity: 'compressive strength',
          symbol: corrected ? 'fc' : 'f',
          value: strength,
          unit: stress,
          step: strengthRound.step,
          mode,
          other: { unit: STRESS_UNIT[other], step: limits.number('cylinder.strength-step', other) },
        }),
      );
    }
  }
  if (diameter && length && mass) {
    const step = limits.number('cylinder.density-step', system);
    density = sheet.line({
      symbol: 'rho',
      name: 'Density',
      formula: system === 'US' ? '6912 * W / (pi * D^2 * L)' : '4 * 10^9 * W / (pi * D^2 * L)',
      uses: { W: mass, D: diameter, L: length },
      unit: system === 'US' ? 'lb/ft3' : 'kg/m3',
      source: C39,
      round: { step, rule: `density to ${step}` },
    });
    results.push(
      resultOf({
        quantity: 'density',
        symbol: 'rho',
        value: density,
        unit: system === 'US' ? 'lb/ft3' : 'kg/m3',
        step,
        mode,
      }),
    );
  }
  let byWater: Exact | undefined;
  if (mass && inWater?.lessThan(mass)) {
    const step = limits.number('cylinder.density-step', system);
    const water = limits.number('cylinder.water-density', system);
    byWater = sheet.line({
      symbol: 'rhow',
      name: 'Density by weighing in water',
      formula: 'W * gw / (W - Ws)',
      uses: { W: mass, gw: water, Ws: inWater },
      unit: system === 'US' ? 'lb/ft3' : 'kg/m3',
      source: C39,
      round: { step, rule: `density to ${step}` },
    });
    // One density is reported: by size where the size is known, the other one checks it.
    if (!density)
      results.push(
        resultOf({
          quantity: 'density',
          symbol: 'rhow',
          value: byWater,
          unit: system === 'US' ? 'lb/ft3' : 'kg/m3',
          step,
          mode,
        }),
      );
  }
  return {
    results,
    lines: sheet.lines,
    findings: bySeverity([
      ...waterFindings(input, limits, { density, byWater, mass, inWater }),
      ...findingsBeforeLoad(input, setup, limits),
      ...endsFindings(input, setup, limits, strength),
      ...findingsAfterLoad(input, setup, limits, { strength, ratio, density: density ?? byWater, corrected }),
    ]),
    verdicts: [],
    picture: {
      kind: 'cylinder',
      values: {
        diameter: diameter?.toNumber() ?? null,
        length: length?.toNumber() ?? null,
        size: nominalOf(setup.specimen?.form, 'cylinder', system) ? (setup.specimen?.form ?? null) : null,
        fracture: input.fracture ?? null,
        ends: input.ends ?? null,
        broken: Boolean(load),
      },
    },
  };

  function measuredStrength(value: Exact): Result {
    return resultOf({
      quantity: 'strength as measured',
      symbol: 'f',
      value,
      unit: stress,
      step: strengthRound.step,
      mode,
    });
  }
}
