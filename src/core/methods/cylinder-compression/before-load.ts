import { cite, isWithin, type Limits } from '../../limits';
import { nominalOf } from '../../moulds';
import { Exact, type Measure, PI, plainOf, type System } from '../../quantity';
import { type Finding, finding } from '../../working';
import { equipmentUse } from '../equipment-checks';
import { readMeasure } from '../fields';
import { coarseReading } from '../outcome';
import { specimenFindings } from '../press';
import type { RunSetup } from '../setup';
import type { CylinderCompressionInput } from './input';
import { lotDiameterOf } from './lot-diameter';

/** Everything that can be checked before the specimen is destroyed; while an `invalid` one stands, no go-ahead. */
export function findingsBeforeLoad(
  input: CylinderCompressionInput,
  setup: RunSetup,
  limits: Limits,
): Finding[] {
  return [
    ...specimenFindings(input, setup, limits),
    ...equipmentUse(input, { machine: 'invalid', calliper: 'departure' }, input.testedAt, setup, limits),
    ...squareFindings(input, limits),
    ...diameterFindings(input, setup, limits),
    ...lotFindings(input, setup, limits),
    ...endFindings(input, limits),
  ];
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

/** A diameter taken from the lot, and whether the lot gives one. */
function lotFindings(input: CylinderCompressionInput, setup: RunSetup, limits: Limits): Finding[] {
  const lot = lotDiameterOf(setup, input.system);
  const limit = limits.of('cylinder.reduced-range', input.system);
  const taken = input.diameterBy === 'lot';
  if (taken && lot?.state !== 'take') {
    const why = !lot
      ? 'It belongs to no lot that was drawn for reduced measuring.'
      : lot.state === 'measure'
        ? 'It is one of those drawn to be measured.'
        : lot.state === 'wait'
          ? `${lot.measured} of the ${lot.drawn} drawn are measured so far.`
          : `The measured ones of lot ${lot.lot} differ by ${lot.range}.`;
    return [
      finding({
        id: limit.id,
        severity: 'departure',
        needsReason: true,
        beforeLoad: true,
        fields: ['diameterBy'],
        limit: cite(limit),
        message: `The diameter is said to be its lot’s. ${why}`,
        action: 'Measure two diameters of this cylinder.',
        remark: 'Diameter taken from the lot without ground.',
      }),
    ];
  }
  if (lot?.state === 'measure all' && !taken && !(input.diameter1 && input.diameter2))
    return [
      finding({
        id: limit.id,
        severity: 'advice',
        fields: ['diameter1'],
        limit: cite(limit),
        message: `The measured ones of lot ${lot.lot} differ by ${lot.range}: every cylinder of the day is measured.`,
        action: 'Measure two diameters of this one too.',
      }),
    ];
  return [];
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
  const form = setup.specimen?.form;
  const nominal = nominalOf(form, 'cylinder', system);
  if (!nominal) return [];
  const share = measure.value.div(nominal.across);
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
      message: `${plainOf(measure.value, measure.unit)} is ${impossible ? 'not a' : 'unusual for a'} ${form} cylinder.`,
      action: 'Check the reading, its unit and the specimen’s size.',
    }),
  ];
}

function endFindings(input: CylinderCompressionInput, limits: Limits): Finding[] {
  const limit = limits.of('cylinder.planeness', input.system);
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

/** Mass in air and in water, and the density by size against the one by weighing in water. */
export function waterFindings(
  input: CylinderCompressionInput,
  limits: Limits,
  found: Readonly<Record<'density' | 'byWater' | 'mass' | 'inWater', Exact | undefined>>,
): Finding[] {
  const { density, byWater, mass, inWater } = found;
  if (mass && inWater && !byWater)
    return [
      finding({
        id: 'cylinder.mass-in-water',
        severity: 'departure',
        fields: ['massInWater'],
        message: 'It cannot weigh more in water than in air.',
        action: 'Were the two masses exchanged? Weigh again.',
        remark: 'Mass in water not consistent.',
      }),
    ];
  const most = limits.of('cylinder.density-agree', input.system);
  if (!density || !byWater || isWithin(density.minus(byWater).abs(), most)) return [];
  const unit = input.system === 'US' ? 'lb/ft3' : 'kg/m3';
  return [
    finding({
      id: 'cylinder.density-agree',
      severity: 'advice',
      fields: ['mass', 'massInWater', 'length'],
      limit: cite(most),
      message: `By its size it has ${plainOf(density.toDecimalPlaces(0), unit)}, in water ${plainOf(byWater.toDecimalPlaces(0), unit)}: one of the readings is wrong.`,
      action: 'Weigh and measure again while it is whole.',
    }),
  ];
}
