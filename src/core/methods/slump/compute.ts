import { cite, isWithin, type LimitId, type Limits } from '../../limits';
import { type Exact, exact, type Measure, plainOf, roundTo, type System, unitLabel } from '../../quantity';
import { bySeverity, type Finding, finding, Sheet, standard } from '../../working';
import type { Conformity, Outcome } from '../contract';
import { equipmentFindings } from '../equipment-checks';
import { readMeasure } from '../fields';
import { resultOf } from '../outcome';
import { limitsOf, type RunSetup, setupMeasure } from '../setup';
import type { SlumpInput } from './input';

const C143 = standard('ASTM C143/C143M');

/**
 * Slump of fresh concrete.
 * @param input slump in in or mm; times in seconds or m:ss
 * @param setup limits in force and the specified slump
 * @returns the slump to 1/4 in [5 mm], findings on shape and clocks, and its conformity to the specification.
 *   A sheared or collapsed portion, or one outside the method's range, gives no result.
 * Source: ASTM C143/C143M; tolerances ASTM C94/C94M (from memory).
 */
export function compute(input: SlumpInput, setup: RunSetup): Outcome {
  const limits = limitsOf(setup);
  const { system } = input;
  const mode = setup.rounding ?? 'half-even';
  const sheet = new Sheet(mode);
  const read = readMeasure(input, 'slump');
  const unit = system === 'US' ? 'in' : 'mm';
  const step = limits.number('slump.step', system);
  const applicable =
    read !== undefined &&
    (input.shape === 'true' || input.shape === undefined) &&
    isWithin(read.value, limits.of('slump.measurable', system));
  let rounded: Exact | undefined;
  if (read && applicable) {
    sheet.line({
      symbol: 'S',
      name: 'Slump',
      formula: 's',
      uses: { s: read.value },
      value: read.value,
      unit,
      source: C143,
      round: { step, rule: `slump to ${step} ${unit}` },
    });
    rounded = roundTo(read.value, step, mode);
  }
  const other = system === 'US' ? 'SI' : 'US';
  return {
    results:
      read && applicable
        ? [
            resultOf({
              quantity: 'slump',
              symbol: 'S',
              value: read.value,
              unit,
              step,
              mode,
              other: { unit: other === 'US' ? 'in' : 'mm', step: limits.number('slump.step', other) },
            }),
          ]
        : [],
    lines: sheet.lines,
    findings: bySeverity([
      ...equipmentUse(input, setup, limits),
      ...clockFindings(input, limits),
      ...shapeFindings(input),
      ...rangeFindings(input, read, limits),
    ]),
    conformity: slumpConformity(rounded, system, setup, limits),
    picture: {
      kind: 'slump',
      values: {
        slump: read?.value.toNumber() ?? null,
        height: limits.number('slump.mould-height', system).toNumber(),
        shape: input.shape ?? null,
        unit,
      },
    },
  };
}

function equipmentUse(input: SlumpInput, setup: RunSetup, limits: Limits): Finding[] {
  if (!input.mould) return [];
  const day = (input.readAt ?? setup.asOf)?.slice(0, 10);
  return equipmentFindings('mould', input.mould, setup.equipment ?? [], day, limits, 'departure');
}

function clockFindings(input: SlumpInput, limits: Limits): Finding[] {
  const checks: {
    field: 'startDelay' | 'totalTime' | 'liftTime';
    limit: LimitId;
    what: string;
    redo: string;
  }[] = [
    {
      field: 'startDelay',
      limit: 'slump.start',
      what: 'Started',
      redo: 'Take a new sample: this one waited too long for a slump test.',
    },
    {
      field: 'totalTime',
      limit: 'slump.total',
      what: 'From fill start to mould off took',
      redo: 'Repeat on another part of the sample while its clock still allows, else resample.',
    },
    {
      field: 'liftTime',
      limit: 'slump.lift',
      what: 'The lift took',
      redo: 'Repeat on another part of the sample.',
    },
  ];
  const found: Finding[] = [];
  for (const check of checks) {
    const time = readMeasure(input, check.field);
    if (!time) continue;
    const limit = limits.of(check.limit, input.system);
    if (isWithin(time.value, limit)) continue;
    const seconds = time.value.toNumber();
    const said = seconds < 120 ? `${seconds} s` : `${Math.floor(seconds / 60)} min ${seconds % 60} s`;
    found.push(
      finding({
        id: check.limit,
        severity: 'invalid',
        fields: [check.field],
        limit: cite(limit),
        message:
          check.field === 'startDelay'
            ? `Started ${said} after the sample was complete.`
            : `${check.what} ${said}.`,
        action: check.redo,
      }),
    );
  }
  if (input.layers === false) {
    found.push(
      finding({
        id: 'slump.layers',
        severity: 'invalid',
        fields: ['layers'],
        message: 'Layers or strokes were not as the method asks.',
        action: 'Repeat on another part of the sample.',
      }),
    );
  }
  return found;
}

function shapeFindings(input: SlumpInput): Finding[] {
  if (input.shape === 'shear') {
    const twice = input.shearedBefore === true;
    return [
      finding({
        id: twice ? 'slump.shear-twice' : 'slump.shear',
        severity: 'invalid',
        fields: ['shape'],
        message: twice
          ? 'Two portions in a row sheared: the concrete lacks the cohesion this test needs.'
          : 'A sheared portion gives no slump.',
        action: twice
          ? 'Report "slump test not applicable, lacks cohesion". No number is reported.'
          : 'Repeat on another portion of the sample. If it shears again, the test is not applicable.',
      }),
    ];
  }
  if (input.shape === 'collapse') {
    return [
      finding({
        id: 'slump.collapse',
        severity: 'invalid',
        fields: ['shape'],
        message: 'The cone collapsed: the method does not apply.',
        action: 'Report the collapse; measure slump flow if the mix is meant to flow.',
      }),
    ];
  }
  return [];
}

function rangeFindings(input: SlumpInput, read: Measure | undefined, limits: Limits): Finding[] {
  if (!read) return [];
  const limit = limits.of('slump.measurable', input.system);
  if (isWithin(read.value, limit)) return [];
  const high = limit.high !== undefined && read.value.greaterThan(limit.high);
  return [
    finding({
      id: 'slump.measurable',
      severity: 'invalid',
      fields: ['slump'],
      limit: cite(limit),
      message: `${plainOf(read.value, read.unit)} is outside what this method can tell.`,
      action: high
        ? `Report "more than ${limit.high} ${unitLabel(limit.unit)}, not applicable"; measure slump flow if the mix is cohesive.`
        : `Report "less than ${limit.low} ${unitLabel(limit.unit)}, not plastic enough for the method".`,
    }),
  ];
}

/** Ends of the range the specification allows, in the run's unit; undefined when no slump is specified. */
export function slumpRange(
  system: System,
  setup: RunSetup,
  limits: Limits,
): { low: Exact; high: Exact; text: string } | undefined {
  const unit = system === 'US' ? 'in' : 'mm';
  const specified = setupMeasure(setup.sample?.slump, 'length', unit);
  if (!specified) return undefined;
  if (setup.sample?.slumpKind === 'maximum') {
    const small = specified.lessThanOrEqualTo(limits.number('slump.maximum-band', system));
    const minus = limits.number(small ? 'slump.maximum-minus-low' : 'slump.maximum-minus-high', system);
    const low = specified.minus(minus);
    const floor = low.lessThan(0) ? exact(0) : low;
    return { low: floor, high: specified, text: `${floor} to ${specified} ${unit} (maximum ${specified})` };
  }
  const bands = limits.of('slump.target-bands', system);
  const id: LimitId = specified.lessThanOrEqualTo(bands.low ?? 0)
    ? 'slump.target-low'
    : specified.lessThanOrEqualTo(bands.high ?? 0)
      ? 'slump.target-mid'
      : 'slump.target-high';
  const tolerance = limits.number(id, system);
  const low = specified.minus(tolerance);
  const high = specified.plus(tolerance);
  return { low, high, text: `${low} to ${high} ${unit} (target ${specified} ± ${tolerance})` };
}

function slumpConformity(
  rounded: Exact | undefined,
  system: System,
  setup: RunSetup,
  limits: Limits,
): Conformity[] {
  const range = slumpRange(system, setup, limits);
  if (!range) return [];
  const criterion = `slump ${range.text}, ASTM C94/C94M tolerances`;
  if (!rounded) {
    return [{ criterion, verdict: 'not yet determinable', sentence: `Not yet determinable: ${criterion}.` }];
  }
  const inside = rounded.greaterThanOrEqualTo(range.low) && rounded.lessThanOrEqualTo(range.high);
  const unit = system === 'US' ? 'in' : 'mm';
  return [
    {
      criterion,
      verdict: inside ? 'meets' : 'does not meet',
      sentence: inside
        ? `In tolerance: ${rounded} ${unit} within ${range.text}.`
        : `Out of tolerance: ${rounded} ${unit} is outside ${range.text}. Tell the purchaser’s representative now; a check test on a new sample is made at once.`,
    },
  ];
}
