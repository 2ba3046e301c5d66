import type { Verdict } from '../../acceptance/criterion';
import { cite, isWithin, type Limits } from '../../limits';
import { type Exact, exact, plainOf, roundTo, type System } from '../../quantity';
import { bySeverity, type Finding, finding, Sheet, standard } from '../../working';
import type { Outcome, Result } from '../contract';
import { equipmentUse } from '../equipment-checks';
import { factMeasure } from '../facts';
import { readMeasure } from '../fields';
import { resultOf } from '../outcome';
import { limitsOf, type RunSetup } from '../setup';
import { clockFindings } from '../stamps';
import { heldWithin } from '../within';
import type { SlumpFlowInput } from './input';

const C1611 = standard('ASTM C1611/C1611M');

/**
 * Slump flow of self-consolidating concrete.
 * @param input two diameters in in or mm, time to the ring in seconds, stability index
 * @returns the flow, mean of the diameters, to 1/2 in [10 mm]; none when they differ by more than 2 in [50 mm]
 * Source: ASTM C1611/C1611M; tolerances ASTM C94/C94M (from memory).
 */
export function compute(input: SlumpFlowInput, setup: RunSetup): Outcome {
  const limits = limitsOf(setup);
  const { system } = input;
  const mode = setup.rounding ?? 'half-even';
  const unit = system === 'US' ? 'in' : 'mm';
  const sheet = new Sheet(mode);
  const one = readMeasure(input, 'diameter1')?.value;
  const two = readMeasure(input, 'diameter2')?.value;
  const step = limits.number('flow.step', system);
  const results: Result[] = [];
  let rounded: Exact | undefined;
  const findings: Finding[] = [
    ...equipmentUse(input, { mould: 'departure' }, input.readAt, setup, limits),
    ...clockFindings(input, setup, limits, ['flow-start', 'flow-total', 'flow-lift'], {
      'flow-total': 'totalTime',
      'flow-lift': 'liftTime',
    }),
    ...stabilityFindings(input, limits),
    ...ringFindings(input, limits),
  ];
  if (one && two) {
    const difference = sheet.line({
      symbol: 'dd',
      name: 'Difference of the diameters',
      formula: 'abs(d1 - d2)',
      uses: { d1: one, d2: two },
      unit,
      source: C1611,
    });
    const flow = sheet.line({
      symbol: 'SF',
      name: 'Slump flow',
      formula: '(d1 + d2) / 2',
      uses: { d1: one, d2: two },
      unit,
      source: C1611,
      round: { step, rule: `slump flow to ${step} ${unit}` },
    });
    const limit = limits.of('flow.difference', system);
    if (isWithin(difference, limit)) {
      const other = system === 'US' ? 'SI' : 'US';
      rounded = roundTo(flow, step, mode);
      results.push(
        resultOf({
          quantity: 'slump flow',
          symbol: 'SF',
          value: flow,
          unit,
          step,
          mode,
          other: { unit: other === 'US' ? 'in' : 'mm', step: limits.number('flow.step', other) },
        }),
      );
    } else {
      findings.push(
        finding({
          id: 'flow.difference',
          severity: 'invalid',
          fields: ['diameter1', 'diameter2'],
          limit: cite(limit),
          message: `The diameters differ by ${plainOf(difference, unit)}: the plate was not level or the lift not straight.`,
          action: 'Repeat on a new portion of the sample.',
        }),
      );
    }
  }
  const ring = readMeasure(input, 'ringTime')?.value;
  if (ring) {
    const ringStep = limits.number('flow.ring-step', system);
    sheet.line({
      symbol: 'T50',
      name: 'Time to the ring',
      formula: 't',
      uses: { t: ring },
      unit: 's',
      source: C1611,
      round: { step: ringStep, rule: `time to ${ringStep} s` },
    });
    results.push(
      resultOf({ quantity: 'time to the ring', symbol: 'T50', value: ring, unit: 's', step: ringStep, mode }),
    );
  }
  return {
    results,
    lines: sheet.lines,
    findings: bySeverity(findings),
    verdicts: flowVerdicts(rounded, system, setup, limits),
    picture: {
      kind: 'flow',
      values: {
        diameter1: one?.toNumber() ?? null,
        diameter2: two?.toNumber() ?? null,
        ring: limits.number('flow.ring', system).toNumber(),
        plate: system === 'US' ? 36 : 915,
        stability: input.stability ?? null,
        unit,
      },
    },
  };
}

function ringFindings(input: SlumpFlowInput, limits: Limits): Finding[] {
  const ring = readMeasure(input, 'ringTime')?.value;
  const usual = limits.of('flow.ring-usual', input.system);
  if (!ring || isWithin(ring, usual)) return [];
  return [
    finding({
      id: usual.id,
      severity: 'advice',
      fields: ['ringTime'],
      limit: cite(usual),
      message: `${ring} s to the ring is not met with concrete that flows.`,
      action: 'Check the stopwatch: seconds from the lift to the first touch of the ring.',
    }),
  ];
}

function stabilityFindings(input: SlumpFlowInput, limits: Limits): Finding[] {
  const limit = limits.of('flow.unstable', input.system);
  if (input.stability === undefined || exact(input.stability).lessThan(limit.low ?? 2)) return [];
  return [
    finding({
      id: limit.id,
      severity: 'departure',
      fields: ['stability'],
      limit: cite(limit),
      message: `Stability index ${input.stability}: the concrete segregates.`,
      action: 'Tell the purchaser’s representative; specimens made of it carry the remark.',
      remark: `Visual stability index ${input.stability}.`,
    }),
  ];
}

function flowVerdicts(
  rounded: Exact | undefined,
  system: System,
  setup: RunSetup,
  limits: Limits,
): Verdict[] {
  const unit = system === 'US' ? 'in' : 'mm';
  const specified = factMeasure(setup, 'slumpFlow', 'length', unit);
  if (!specified) return [];
  const small = specified.lessThanOrEqualTo(limits.number('flow.band', system));
  const tolerance = limits.number(small ? 'flow.tolerance-low' : 'flow.tolerance-high', system);
  const [low, high] = [specified.minus(tolerance), specified.plus(tolerance)];
  return heldWithin({
    what: 'slump flow',
    value: rounded && { number: rounded, text: `${rounded} ${unit}` },
    low,
    high,
    range: `${low} to ${high} ${unit} (target ${specified} ± ${tolerance})`,
    source: 'ASTM C94/C94M tolerances',
    outside: 'Tell the purchaser’s representative now; a check test on a new sample is made at once.',
  });
}
