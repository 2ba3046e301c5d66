import { cite, isWithin, type Limits } from '../../limits';
import { type Exact, roundTo } from '../../quantity';
import { bySeverity, type Finding, finding, Sheet, standard } from '../../working';
import { aggregateFindings } from '../aggregate';
import {
  airVerdicts,
  compareFindings,
  consolidationFindings,
  layerFindings,
  mortarAir,
  sievedAir,
} from '../air';
import type { Outcome, Result } from '../contract';
import { equipmentUse } from '../equipment-checks';
import { readMeasure } from '../fields';
import { resultOf } from '../outcome';
import { limitsOf, type RunSetup } from '../setup';
import { clockFindings } from '../stamps';
import { aggregateFactor } from './factor';
import type { AirPressureInput } from './input';

const C231 = standard('ASTM C231/C231M');

/**
 * Air content by the pressure method.
 * @param input apparent air in percent (or the two columns of a type A meter), aggregate correction
 * @param setup limits in force, the air that is specified, the slump of the sample
 * @returns the air content to 0.1 %, above a reading of 8 % to half a division; for wet-sieved concrete that of the
 *   full mixture, and of the mortar when its volume is given
 * Source: ASTM C231/C231M (from memory): As = A1 − G; type A: A1 = h1 − h2.
 */
export function compute(input: AirPressureInput, setup: RunSetup): Outcome {
  const limits = limitsOf(setup);
  const { system } = input;
  const mode = setup.rounding ?? 'half-even';
  const sheet = new Sheet(mode);
  const findings: Finding[] = [
    ...equipmentUse(input, { meter: 'invalid' }, input.readAt, setup, limits),
    ...clockFindings(input, setup, limits, ['air-start', 'pressure-settle']),
    ...(input.consolidation === 'rod' ? layerFindings(input, 3, limits) : []),
    ...consolidationFindings(input, setup, limits),
    ...aggregateFindings(
      input,
      'air-pressure.aggregate',
      'bowl',
      'Wet-sieve the part for the meter over 1 1/2 in [37.5 mm] and give the volumes.',
      setup,
      limits,
    ),
  ];
  const apparent = apparentAir(input, limits, sheet, findings);
  const factor = aggregateFactor(input, setup, limits, sheet);
  findings.push(...factor.findings);
  const results: Result[] = [];
  let air: Exact | undefined;
  const coarse = apparent?.greaterThan(limits.number('air-pressure.coarse-above', system)) ?? false;
  const step = limits.number(coarse ? 'air-pressure.coarse-step' : 'air-pressure.step', system);
  if (apparent) {
    const sieved = input.wetSieved === true;
    const sample = sheet.line({
      symbol: 'As',
      name: sieved ? 'Air of the sieved part' : 'Air content',
      formula: 'A1 - G',
      uses: { A1: apparent, G: factor.value },
      unit: 'percent',
      source: C231,
      ...(sieved ? {} : { round: { step, rule: `air to ${step} %` } }),
    });
    air = sieved ? mixtureAir(sample, input, sheet, findings, results, mode) : sample;
  }
  if (air?.isNegative()) {
    findings.push(
      finding({
        id: 'air-pressure.negative',
        severity: 'invalid',
        fields: ['apparent', 'factor'],
        message: 'The correction is larger than the reading: air cannot be below zero.',
        action: 'Check the reading and the correction.',
      }),
    );
    air = undefined;
  }
  if (air) {
    results.unshift(
      resultOf({ quantity: 'air content', symbol: 'A', value: air, unit: 'percent', step, mode }),
    );
  }
  results.push(...factor.results);
  return {
    results,
    lines: sheet.lines,
    findings: bySeverity([...findings, ...compareFindings(air, 'apparent', system, setup, limits)]),
    verdicts: airVerdicts(air && roundTo(air, step, mode), system, setup, limits),
    picture: {
      kind: 'gauge',
      values: {
        reading: apparent?.toNumber() ?? null,
        factor: factor.value.toNumber(),
        air: air?.toNumber() ?? null,
        most: 20,
        mainValve: input.mainValve ?? null,
        petcocks: input.petcocks ?? null,
      },
    },
  };
}

/** The apparent air: the gauge, or the difference of the columns, the second pair when it was made. */
function apparentAir(
  input: AirPressureInput,
  limits: Limits,
  sheet: Sheet,
  findings: Finding[],
): Exact | undefined {
  if (input.type !== 'A') return readMeasure(input, 'apparent')?.value;
  const pair = (up: string, down: string, symbol: string): Exact | undefined => {
    const h1 = readMeasure(input, up)?.value;
    const h2 = readMeasure(input, down)?.value;
    if (!h1 || !h2) return undefined;
    return sheet.line({
      symbol,
      name: symbol === 'A1' ? 'Apparent air' : 'Apparent air, first time',
      formula: 'h1 - h2',
      uses: { h1, h2 },
      unit: 'percent',
      source: C231,
    });
  };
  const again = input.h1Again !== undefined && input.h2Again !== undefined;
  const first = pair('h1', 'h2', again ? 'A0' : 'A1');
  const second = again ? pair('h1Again', 'h2Again', 'A1') : undefined;
  const limit = limits.of('air-pressure.repeat', input.system);
  if (first && second && !isWithin(first.minus(second).abs(), limit)) {
    findings.push(
      finding({
        id: limit.id,
        severity: 'invalid',
        fields: ['h1Again'],
        limit: cite(limit),
        message: `The two apparent readings differ by ${first.minus(second).abs()} %.`,
        action: 'Tap, release, press again, until two in a row agree.',
      }),
    );
  }
  return second ?? first;
}

/** Air of the full mixture from its wet-sieved part; the air of the mortar is a result of its own. */
function mixtureAir(
  sample: Exact,
  input: AirPressureInput,
  sheet: Sheet,
  findings: Finding[],
  results: Result[],
  mode: 'half-even' | 'half-up',
): Exact | undefined {
  const full = sievedAir(sample, input, sheet, findings);
  if (!full) return undefined;
  const mortar = readMeasure(input, 'mortarVolume')?.value;
  const inMortar = mortar ? mortarAir(sample, full.passing, mortar, sheet) : null;
  if (inMortar) {
    results.push(
      resultOf({
        quantity: 'air of the mortar',
        symbol: 'Am',
        value: inMortar,
        unit: 'percent',
        step: '0.1',
        mode,
      }),
    );
  }
  return full.air;
}
