import { cite, isWithin, type Limits } from '../../limits';
import { Exact, exact, type Measure, PI, plainOf, type System, unitLabel } from '../../quantity';
import { ageText, ageWindow, durationText, offWindow } from '../../windows';
import { type Finding, finding } from '../../working';
import { equipmentUse } from '../equipment-checks';
import { readMeasure } from '../fields';
import { coarseReading } from '../outcome';
import type { RunSetup } from '../setup';
import { nominalDiameter } from './facts';
import type { CylinderCompressionInput } from './input';

/** Everything that can be checked before the specimen is destroyed; while an `invalid` one stands, no go-ahead. */
export function findingsBeforeLoad(
  input: CylinderCompressionInput,
  setup: RunSetup,
  limits: Limits,
): Finding[] {
  return [
    ...heldFindings(setup),
    ...ageFindings(input, setup, limits),
    ...equipmentUse(input, { machine: 'invalid', calliper: 'departure' }, input.testedAt, setup, limits),
    ...surfaceFindings(input, setup, limits),
    ...squareFindings(input, limits),
    ...diameterFindings(input, setup, limits),
    ...endFindings(input, limits),
    ...guardFindings(input),
  ];
}

/** A held specimen that nobody has decided on: tested now, it could only be used to pick the better number. */
function heldFindings(setup: RunSetup): Finding[] {
  if (!setup.specimen?.held) return [];
  return [
    finding({
      id: 'specimen.held',
      severity: 'departure',
      needsReason: true,
      beforeLoad: true,
      fields: [],
      message: 'This specimen is held in reserve; nobody has decided what it is for.',
      action:
        'Leave it wet. A reviewer decides first: in place of a defective one while its window is open, or for information.',
      remark: 'Held specimen tested without a decision beforehand.',
    }),
  ];
}

function ageFindings(input: CylinderCompressionInput, setup: RunSetup, limits: Limits): Finding[] {
  const { castAt, ageHours } = setup.specimen ?? {};
  const at = input.testedAt ?? setup.asOf;
  if (!castAt || !at) {
    if (!input.testedAt) return [];
    return [
      finding({
        id: 'cylinder.age-unknown',
        severity: 'departure',
        fields: ['testedAt'],
        message: 'The casting time is not known, so the age cannot be shown.',
        action: 'Find the casting time in the sample record before reporting.',
        remark: 'Age at test not known.',
      }),
    ];
  }
  const cast = Date.parse(castAt);
  const broken = Date.parse(at);
  if (broken < cast) {
    return [
      finding({
        id: 'cylinder.age-negative',
        severity: 'invalid',
        fields: ['testedAt'],
        message: 'The time of the break is before the casting time.',
        action: 'Check date and time of the break, and the casting time of the specimen.',
      }),
    ];
  }
  if (ageHours === undefined) return [];
  const { ageFrom } = setup.specimen ?? {};
  const window = ageWindow(ageFrom ? Date.parse(ageFrom) : cast, ageHours, limits);
  const off = offWindow(window, broken);
  if (off.where === 'inside') return [];
  const early = off.where === 'before';
  return [
    finding({
      id: early ? 'cylinder.age-early' : 'cylinder.age-late',
      severity: 'departure',
      needsReason: true,
      beforeLoad: true,
      fields: ['testedAt'],
      limit: {
        ...cite(window.limit),
        text: `${ageText(ageHours)} ± ${window.limit.high} ${unitLabel(window.limit.unit)}`,
      },
      message: early
        ? `The ${ageText(ageHours)} window opens in ${durationText(off.minutes)}.`
        : `The ${ageText(ageHours)} window closed ${durationText(off.minutes)} before.`,
      action: early
        ? 'Put it back in moist storage until the window opens.'
        : 'Break it all the same if the engineer wants the number; the true age is reported and an engineer decides whether it counts.',
      remark: `Broken at ${durationText((broken - cast) / 60_000)}, ${durationText(off.minutes)} ${early ? 'before' : 'after'} the ${ageText(ageHours)} window.`,
    }),
  ];
}

function surfaceFindings(input: CylinderCompressionInput, setup: RunSetup, limits: Limits): Finding[] {
  const found: Finding[] = [];
  const cure = setup.specimen?.cure ?? 'standard';
  if (input.surface === 'dry' && cure === 'standard') {
    found.push(
      finding({
        id: 'cylinder.surface-dry',
        severity: 'departure',
        beforeLoad: true,
        fields: ['surface'],
        message: 'A standard-cured cylinder is tested moist; dry ones read high.',
        action: 'Put it back in water until the surface is wet again, if the window allows.',
        remark: 'Surface dry when tested.',
      }),
    );
  }
  const end = input.testedAt ?? setup.asOf;
  if (input.outOfMoistAt && end && cure === 'standard') {
    const minutes = (Date.parse(end) - Date.parse(input.outOfMoistAt)) / 60_000;
    const limit = limits.of('cylinder.out-of-moist', input.system);
    if (minutes < 0) {
      found.push(
        finding({
          id: 'cylinder.out-of-moist-later',
          severity: 'departure',
          fields: ['outOfMoistAt'],
          message: 'It left moist storage after it was broken, by these times.',
          action: 'Correct the time that is wrong.',
          remark: 'Time out of moist storage not consistent.',
        }),
      );
    } else if (
      exact(minutes)
        .div(60)
        .greaterThan(limit.high ?? 0)
    ) {
      found.push(
        finding({
          id: 'cylinder.out-of-moist-long',
          severity: 'departure',
          beforeLoad: true,
          fields: ['outOfMoistAt'],
          limit: cite(limit),
          message: `Out of moist storage for ${durationText(minutes)}.`,
          action: 'Re-wet it and test later if the window allows.',
          remark: `Out of moist storage for ${durationText(minutes)}.`,
        }),
      );
    }
  }
  return found;
}

function squareFindings(input: CylinderCompressionInput, limits: Limits): Finding[] {
  const gap = readMeasure(input, 'outOfSquareGap');
  const first = readMeasure(input, 'diameter1') ?? readMeasure(input, 'diameter2');
  if (!gap || !first) return [];
  const limit = limits.of('cylinder.out-of-square', input.system);
  const slope = gap.value.div(first.value);
  if (isWithin(slope, limit)) return [];
  const angle = Exact.atan(slope).times(180).div(PI);
  return [
    finding({
      id: 'cylinder.out-of-square',
      severity: 'invalid',
      beforeLoad: true,
      fields: ['outOfSquareGap'],
      limit: { ...cite(limit), text: `gap not more than ${limit.high} of the diameter, about 0.5°` },
      message: `The end is ${angle.toFixed(2)}° out of square (gap ${slope.toFixed(4)} of the diameter).`,
      action: 'Grind or cap it square before testing.',
    }),
  ];
}

function diameterFindings(input: CylinderCompressionInput, setup: RunSetup, limits: Limits): Finding[] {
  const found: Finding[] = [];
  const step = limits.number('cylinder.diameter-step', input.system);
  const read: { field: string; measure: Measure }[] = [];
  for (const field of ['diameter1', 'diameter2']) {
    const measure = readMeasure(input, field);
    if (!measure) continue;
    read.push({ field, measure });
    found.push(...coarseReading(input, field, measure, step));
    found.push(...againstNominal(field, measure, setup, input.system, limits));
  }
  const [one, two] = read.map(({ measure }) => measure.value);
  if (one && two) {
    const limit = limits.of('cylinder.diameter-spread', input.system);
    const spread = one.minus(two).abs().div(Exact.min(one, two)).times(100);
    if (!isWithin(spread, limit)) {
      found.push(
        finding({
          id: 'cylinder.diameter-spread',
          severity: 'invalid',
          beforeLoad: true,
          fields: ['diameter1', 'diameter2'],
          limit: cite(limit),
          message: `The diameters differ by ${spread.toFixed(2)} % of the smaller.`,
          action:
            'Measure both again. If it stands, do not test this cylinder: use a companion and record why.',
        }),
      );
    }
  }
  return found;
}

function againstNominal(
  field: string,
  measure: Measure,
  setup: RunSetup,
  system: System,
  limits: Limits,
): Finding[] {
  const size = setup.specimen?.nominalSize;
  if (!size) return [];
  const share = measure.value.div(nominalDiameter(size, system));
  const possible = limits.of('cylinder.diameter-possible', system);
  const usual = limits.of('cylinder.diameter-usual', system);
  if (isWithin(share, usual)) return [];
  const impossible = !isWithin(share, possible);
  return [
    finding({
      id: impossible ? 'cylinder.diameter-possible' : 'cylinder.diameter-usual',
      severity: impossible ? 'invalid' : 'advice',
      beforeLoad: true,
      fields: [field],
      limit: cite(impossible ? possible : usual),
      message: `${plainOf(measure.value, measure.unit)} is ${impossible ? 'not a' : 'unusual for a'} ${size} cylinder.`,
      action: 'Check the reading, its unit and the specimen’s size.',
    }),
  ];
}

function endFindings(input: CylinderCompressionInput, limits: Limits): Finding[] {
  const limit = limits.of('cylinder.planeness', input.system);
  if (input.endsPlane === 'no') {
    return [
      finding({
        id: 'cylinder.planeness',
        severity: 'invalid',
        beforeLoad: true,
        fields: ['endsPlane'],
        limit: cite(limit),
        message: 'The ends, caps or pads are not in order.',
        action: 'Grind, cap or change the pads before testing.',
      }),
    ];
  }
  if (input.ends === 'as-cast' && input.endsPlane === undefined) {
    return [
      finding({
        id: 'cylinder.planeness-unchecked',
        severity: 'departure',
        beforeLoad: true,
        fields: ['ends', 'endsPlane'],
        limit: cite(limit),
        message: 'Ends as cast are tested only when they are plane, and that was not checked.',
        action: 'Check with straightedge and feeler.',
        remark: 'Ends as cast, planeness not checked.',
      }),
    ];
  }
  return [];
}

function guardFindings(input: CylinderCompressionInput): Finding[] {
  const found: Finding[] = [];
  if (input.maximumLoad && input.zeroed !== true) {
    found.push(
      finding({
        id: 'cylinder.zero-unrecorded',
        severity: 'departure',
        fields: ['zeroed'],
        message: 'The zero was not recorded before loading.',
        action: 'Tick it if it was set before contact; otherwise say so in the remarks.',
        remark: 'Zero of the indicator not recorded.',
      }),
    );
  }
  return found;
}
