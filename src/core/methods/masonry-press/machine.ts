import type { Limits } from '../../limits';
import { type Exact, exact, plainOf, type System } from '../../quantity';
import type { Finding } from '../../working';
import { type RunInput, readMeasure } from '../fields';
import { limitFinding } from '../limit-finding';
import { FORCE_FACTOR, FORCE_UNIT, LENGTH_UNIT, STRESS_UNIT } from '../press/units';
import { type EquipmentFacts, type RunSetup, setupMeasure } from '../setup';

interface OnMachine extends RunInput {
  machine?: string;
  plate?: string;
}

/** The loads that a unit is expected and asked to take on its area. */
export interface Loads {
  readonly area: Exact;
  readonly expected: Exact | undefined;
  readonly required: Exact | undefined;
}

/** Whether a machine can break a unit, and why. */
export interface Fits {
  readonly state: 'can' | 'may not' | 'cannot';
  readonly why: string;
}

/**
 * Whether a machine can prove what is asked of a unit.
 * @param capacity lbf or kN @param area in² or mm²
 * @returns `cannot` where even the required load is out of reach, `may not` where the unit may stay whole
 */
export function fits(
  {
    capacity,
    required: least,
    expected,
    area,
  }: { capacity: Exact; required: Exact | undefined; expected: Exact; area: Exact },
  system: System,
  limits: Limits,
): Fits {
  const unit = FORCE_UNIT[system];
  const most = capacity.times(limits.number('unit.capacity', system)).div(100);
  if (least?.greaterThan(most))
    return {
      state: 'cannot',
      why: `the required ${plainOf(least.toSignificantDigits(4), unit)} is beyond ${plainOf(most.toSignificantDigits(4), unit)}: saw closed cells out of it, or take a larger machine`,
    };
  const strength = capacity.times(FORCE_FACTOR[system]).div(area);
  const likely = expected.div(capacity).times(100);
  const room = capacity.div(expected);
  if (
    room.lessThan(limits.number('unit.capacity-room', system)) ||
    likely.greaterThan(limits.number('unit.capacity-likely', system))
  )
    return {
      state: 'may not',
      why: `at its end it shows ${plainOf(strength.toSignificantDigits(3), STRESS_UNIT[system])}, ${room.toFixed(2)} times what is expected: the unit may stay whole`,
    };
  return {
    state: 'can',
    why: `at its end it shows ${plainOf(strength.toSignificantDigits(3), STRESS_UNIT[system])}`,
  };
}

/**
 * How thick a bearing plate has to be on a platen that does not cover the unit.
 * @param sizes length and width of the unit @param face diameter of the platen; all in or mm
 * @returns nought where the platen covers it
 * Source: ASTM C140/C140M, annex on plates (from memory): from the edge of the platen to the farthest corner of the unit.
 */
export function plateNeeded(sizes: { readonly length: Exact; readonly width: Exact }, face: Exact): Exact {
  const corner = sizes.length.div(2).pow(2).plus(sizes.width.div(2).pow(2)).sqrt();
  const over = corner.minus(face.div(2));
  return over.greaterThan(0) ? over : exact(0);
}

/** Whether one machine of the register can break a unit; undefined for what is no machine, or of unknown capacity. */
export function fitsMachine(
  machine: EquipmentFacts,
  about: { area: Exact; expected: Exact; required: Exact | undefined },
  system: System,
  limits: Limits,
): Fits | undefined {
  const capacity =
    setupMeasure(machine.machine?.capacity, 'force', FORCE_UNIT[system]) ??
    setupMeasure(machine.verifiedTo, 'force', FORCE_UNIT[system]);
  return machine.kind === 'compression machine' && capacity
    ? fits({ capacity: exact(capacity), ...about }, system, limits)
    : undefined;
}

/** Whether the machine that is chosen can break it at all. */
export function machineFindings(
  input: OnMachine,
  setup: RunSetup,
  loads: Loads | undefined,
  limits: Limits,
): Finding[] {
  const { system } = input;
  const machine = setup.equipment?.find(({ number }) => number === input.machine);
  if (!machine || !loads?.expected) return [];
  const fit = fitsMachine(machine, { ...loads, expected: loads.expected }, system, limits);
  if (!fit || fit.state === 'can') return [];
  const cannot = fit.state === 'cannot';
  return [
    limitFinding(
      limits,
      system,
      {
        id: cannot ? 'unit.capacity' : 'unit.capacity-room',
        severity: cannot ? 'departure' : 'advice',
        needsReason: cannot,
        beforeLoad: true,
        fields: ['machine'],
      },
      {
        message: `${machine.number} ${cannot ? 'cannot' : 'may not'} break it: ${fit.why}.`,
        action: cannot
          ? 'A sawn unit goes back into conditioning before it is capped.'
          : 'A unit that stays whole proves at least its load over its area, and is no break.',
        ...(cannot ? { remark: `Required load beyond ${machine.number}.` } : {}),
      },
    ),
  ];
}

/** A plate between platen and unit that is too thin bends, and loads the middle more than the corners. */
export function plateFindings(
  input: OnMachine,
  { length, width }: { readonly length?: Exact; readonly width?: Exact },
  setup: RunSetup,
  limits: Limits,
): Finding[] {
  const { system } = input;
  const machine = setup.equipment?.find(({ number }) => number === input.machine);
  const face = setupMeasure(machine?.machine?.upperFace, 'length', LENGTH_UNIT[system]);
  const plate = readMeasure(input, 'plate')?.value;
  if (!face || !length || !width || !machine) return [];
  const share = limits.number('unit.plate', system).div(100);
  const needed = plateNeeded({ length, width }, exact(face)).times(share);
  if (needed.isZero() || plate?.greaterThanOrEqualTo(needed)) return [];
  const least = plainOf(needed.toDecimalPlaces(system === 'US' ? 2 : 0), LENGTH_UNIT[system]);
  return [
    limitFinding(
      limits,
      system,
      { id: 'unit.plate', severity: 'departure', needsReason: true, beforeLoad: true, fields: ['plate'] },
      {
        message: plate
          ? `The plate is ${plainOf(plate, LENGTH_UNIT[system])}; on the platen of ${machine.number} it has to be ${least}.`
          : `On the platen of ${machine.number} this unit wants a bearing plate of ${least}.`,
        action: 'Take one single plate of that thickness, or a machine with a wider platen.',
        remark: `Bearing plate thinner than ${least} on ${machine.number}.`,
      },
    ),
  ];
}
