import type { Limit, Limits } from '../../limits';
import { Exact, exact, plainOf, type System } from '../../quantity';
import type { PlanItem } from '../contract';
import { factMeasure } from '../facts';
import { readMeasure } from '../fields';
import { STRESS_UNIT } from '../press/units';
import type { RunSetup } from '../setup';
import type { RockCompressionInput } from './input';

/** What the rock is expected to bear, psi or MPa; undefined where nobody said. */
export function expectedStress(setup: RunSetup, system: System): Exact | undefined {
  return factMeasure(setup, 'expectedStrength', 'stress', STRESS_UNIT[system]);
}

/** The rates at which a core of this strength fails in the time that is asked for, psi/s or MPa/s. */
export function ratesInTime(
  expected: Exact,
  limits: Limits,
  system: System,
): { readonly low: Exact; readonly high: Exact } | undefined {
  const { low, high } = limits.of('ucs.time', system);
  return low && high && { low: expected.div(high), high: expected.div(low) };
}

/**
 * The band of the rate of a core: about the rate that was chosen, else that of the method; by the crosshead, whatever fails in
 * time.
 * @param expected what it should bear, psi or MPa, where it is known
 * Source: ASTM D7012 (from memory): 0.5 to 1.0 MPa/s, held within 10 %, and failure within 2 to 15 min.
 */
export function bandOf(input: RockCompressionInput, expected: Exact | undefined, limits: Limits): Limit {
  const { system } = input;
  const band = limits.of('ucs.rate', system);
  const between = (low: Exact, high: Exact): Pick<Limit, 'low' | 'high' | 'text'> => ({
    low,
    high,
    text: `${low.toSignificantDigits(3)} to ${plainOf(high.toSignificantDigits(3), band.unit)}`,
  });
  if (input.control === 'strain') {
    const inTime = expected && ratesInTime(expected, limits, system);
    return inTime ? { ...band, ...between(inTime.low, inTime.high) } : band;
  }
  const chosen = readMeasure(input, 'chosenRate')?.value;
  const off = limits.number('ucs.steady', system).div(100);
  return chosen?.greaterThan(0)
    ? {
        ...limits.of('ucs.steady', system),
        unit: band.unit,
        ...between(chosen.times(exact(1).minus(off)), chosen.times(off.plus(1))),
      }
    : band;
}

/** The rates that the method allows and that fail it in the time that it asks for; undefined where there is none. */
export function ratesAllowed(
  expected: Exact,
  limits: Limits,
  system: System,
): { readonly low: Exact; readonly high: Exact } | undefined {
  const band = limits.of('ucs.rate', system);
  const inTime = ratesInTime(expected, limits, system);
  if (!band.low || !band.high || !inTime) return undefined;
  const [low, high] = [Exact.max(band.low, inTime.low), Exact.min(band.high, inTime.high)];
  return low.greaterThan(high) ? undefined : { low, high };
}

/**
 * Speed of the crosshead that fails a core in the time that is aimed at.
 * @param length of the core, in or mm
 * @returns in/min or mm/min
 * Source: arithmetic on the strain at failure, which is our choice in the register.
 */
export function crossheadSpeed(length: Exact, limits: Limits, system: System): Exact {
  const strain = limits.number('ucs.strain', system).div(100);
  return strain.times(length).times(60).div(limits.number('ucs.aim', system));
}

/** What is to be known of the rate before it is loaded. */
export function rateItemsOf(
  expected: Exact,
  length: Exact | undefined,
  limits: Limits,
  system: System,
): PlanItem[] {
  const rate = limits.of('ucs.rate', system);
  const { low, high } = rate;
  if (!low || !high) return [];
  const seconds = (at: Exact): string => `${expected.div(at).toFixed(0)} s`;
  const items: PlanItem[] = [
    {
      label: 'Time at the rates of the method',
      text: `${seconds(high)} to ${seconds(low)}`,
      note: `${limits.of('ucs.time', system).text} are asked for`,
    },
  ];
  if (expected.div(low).lessThan(limits.of('ucs.time', system).low ?? 0)) {
    const speed = length && crossheadSpeed(length, limits, system);
    items.push({
      label: 'Too weak for a rate of the stress',
      text: speed
        ? plainOf(speed.toSignificantDigits(3), system === 'US' ? 'in/min' : 'mm/min')
        : 'by the crosshead',
      note: 'speed of the crosshead, by the strain that hard rock fails at',
    });
  }
  return items;
}
