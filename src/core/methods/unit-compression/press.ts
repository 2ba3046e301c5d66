import { type Limit, type Limits, limitText } from '../../limits';
import { decimalsOf, type Exact, exact, roundTo, type System } from '../../quantity';
import type { PressTest, PressUse } from '../contract';
import { FORCE_FACTOR, PRESS_FIELDS } from '../press';
import { limitsOf, type RunSetup } from '../setup';
import { bearingArea, expectedLoad, sizesOf } from './area';
import type { UnitCompressionInput } from './input';

/** Loads a second at which the second half of a load takes its time; lbf/s or kN/s. */
export function ratesFor(
  load: Exact,
  limits: Limits,
  system: System,
): { low: Exact; target: Exact; high: Exact } {
  const time = limits.of('unit.second-half', system);
  const half = load.div(2);
  return {
    low: half.div(time.high ?? 1),
    target: half.div(limits.number('unit.rate-time', system)),
    high: half.div(time.low ?? 1),
  };
}

/** The rates that keep the second half within its time, as a band of the press. */
function bandFor(load: Exact, limits: Limits, system: System): Limit {
  const { low, high } = ratesFor(load, limits, system);
  const unit = system === 'US' ? 'lbf/s' : 'kN/s';
  const step = exact(system === 'US' ? '1' : '0.01');
  const shown = (value: Exact): string => roundTo(value, step, 'half-even').toFixed(decimalsOf(step));
  return {
    ...limits.of('unit.second-half', system),
    low,
    high,
    unit,
    text: limitText({ low: shown(low), high: shown(high), unit }),
  };
}

/** A masonry unit in the press. */
export const PRESS: PressUse<UnitCompressionInput> = {
  steps: { setup: 'spacers', load: 'load' },
  fields: PRESS_FIELDS,
  test(input, setup: RunSetup): PressTest | undefined {
    const { system } = input;
    const limits = limitsOf(setup);
    const bearing = bearingArea(input, setup, limits);
    if (!bearing) return undefined;
    const expected = expectedLoad(bearing.area, setup, system, limits);
    if (!expected) return undefined;
    const { height } = sizesOf(input, setup);
    return {
      area: bearing.area,
      factor: exact(FORCE_FACTOR[system]),
      band: bandFor(expected, limits, system),
      from: 'half',
      expected,
      height,
      ends: 'bonded',
      measured: bearing.open === undefined,
    };
  },
};
