import { type Exact, exact, plainOf, roundedText, type System, unitLabel } from '../../quantity';
import type { PlanItem } from '../contract';
import { FORCE_FACTOR, FORCE_UNIT, STRESS_UNIT } from '../press';
import { type EquipmentFacts, limitsOf, type RunSetup, setupMeasure } from '../setup';
import { bearingArea, expectedLoad, required, requiredLoad } from './area';
import { UnitCompressionInput } from './input';
import { ratesFor } from './press';

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
  limits: ReturnType<typeof limitsOf>,
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

const WORDS = { can: 'can break it', 'may not': 'may not break it', cannot: 'cannot break it' } as const;

/** What to know before a unit is loaded: area, loads, the rate to set, and which machine can do it. */
export function plan(system: System, setup: RunSetup): readonly PlanItem[] {
  const limits = limitsOf(setup);
  const input = Object.assign(new UnitCompressionInput(), { system });
  const bearing = bearingArea(input, setup, limits);
  if (!bearing) return [];
  const { area, of } = bearing;
  const expected = expectedLoad(area, setup, system, limits);
  const stress = required(setup, 'mean', system, limits);
  const least = requiredLoad(area, setup, system, limits);
  const force = FORCE_UNIT[system];
  const items: PlanItem[] = [
    {
      label: of.length > 0 ? 'Net area' : 'Net area, estimated',
      text: plainOf(area.toDecimalPlaces(system === 'US' ? 1 : 0), system === 'US' ? 'in2' : 'mm2'),
      note:
        of.length > 0
          ? `mean of ${of.length} dried units`
          : 'usual share of solid for this width; never for the result',
    },
  ];
  if (least && stress)
    items.push({
      label: 'Required load',
      text: plainOf(least.toSignificantDigits(4), force),
      note: `for ${plainOf(stress, STRESS_UNIT[system])}`,
    });
  if (!expected) return items;
  const rates = ratesFor(expected, limits, system);
  const place = system === 'US' ? '10' : '0.05';
  const each = `${unitLabel(force)}/s`;
  const time = limits.of('unit.second-half', system);
  // At a steady rate the second half is half of the load: P = 2 r t.
  const [fast, slow] = [exact(2).times(time.low ?? 0), exact(2).times(time.high ?? 0)];
  const [from, to] = [rates.target.times(fast), rates.target.times(slow)];
  items.push(
    {
      label: 'Expected load',
      text: plainOf(expected.toSignificantDigits(4), force),
      note: brokenWords(setup),
    },
    {
      label: 'Rate to set',
      text: `${roundedText(rates.target, place)} ${each}`,
      note: `good for breaks from ${plainOf(from.toSignificantDigits(4), force)} to ${plainOf(to.toSignificantDigits(4), force)}: then the second half takes ${time.text}`,
    },
  );
  if (least) {
    const careful = least.times(limits.number('unit.rate-low', system)).div(fast);
    items.push({
      label: 'Rate that a failing unit bears too',
      text: `${roundedText(careful, place)} ${each}`,
      note: `from ${plainOf(careful.times(fast).toSignificantDigits(4), force)} to ${plainOf(careful.times(slow).toSignificantDigits(4), force)}`,
    });
  }
  for (const machine of setup.equipment ?? []) {
    const fit = fitsMachine(machine, { area, expected, required: least }, system, limits);
    if (fit) items.push({ label: machine.number, text: WORDS[fit.state], note: fit.why });
  }
  return items;
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
  limits: ReturnType<typeof limitsOf>,
): Fits | undefined {
  const capacity =
    setupMeasure(machine.machine?.capacity, 'force', FORCE_UNIT[system]) ??
    setupMeasure(machine.verifiedTo, 'force', FORCE_UNIT[system]);
  return machine.kind === 'compression machine' && capacity
    ? fits({ capacity: exact(capacity), ...about }, system, limits)
    : undefined;
}

function brokenWords({ facts }: RunSetup): string {
  const broken = facts?.brokenLoads;
  const count = Array.isArray(broken) ? broken.length : 0;
  return count > 0 ? `mean of the ${count} broken before it` : 'before the first break';
}
