import { type Limit, type LimitId, type Limits, limitText } from '../../limits';
import { decimalsOf, type Exact, exact, meanOf, roundTo, type System } from '../../quantity';
import { factMeasure, factTexts } from '../facts';
import { FORCE_FACTOR, FORCE_UNIT, STRESS_UNIT } from '../press/units';
import type { RunSetup } from '../setup';

/** The row of the second half of a load, by the method. */
export type HalfRow = Extract<LimitId, 'unit.second-half' | 'brick.second-half'>;

/** Loads a second at which the second half of a load takes its time; lbf/s or kN/s. */
export function ratesFor(
  load: Exact,
  row: HalfRow,
  limits: Limits,
  system: System,
): { low: Exact; target: Exact; high: Exact } {
  const time = limits.of(row, system);
  const half = load.div(2);
  return {
    low: half.div(time.high ?? 1),
    target: half.div(limits.number('unit.rate-time', system)),
    high: half.div(time.low ?? 1),
  };
}

/** The rates that keep the second half within its time, as a band of the press. */
export function bandFor(load: Exact, row: HalfRow, limits: Limits, system: System): Limit {
  const { low, high } = ratesFor(load, row, limits, system);
  const unit = system === 'US' ? 'lbf/s' : 'kN/s';
  const step = exact(system === 'US' ? '1' : '0.01');
  const shown = (value: Exact): string => roundTo(value, step, 'half-even').toFixed(decimalsOf(step));
  return {
    ...limits.of(row, system),
    low,
    high,
    unit,
    text: limitText({ low: shown(low), high: shown(high), unit }),
  };
}

/** A load from a stress on an area; lbf or kN. */
export function loadOn(area: Exact, stress: Exact | undefined, system: System): Exact | undefined {
  return stress?.times(area).div(FORCE_FACTOR[system]);
}

/** Load that a unit will probably take: as those before it, as this producer’s come in, or the required one with a margin. */
export function expectedLoad(
  area: Exact,
  required: Exact | undefined,
  setup: RunSetup,
  system: System,
  limits: Limits,
): Exact | undefined {
  const broken = factTexts(setup, 'brokenLoads').flatMap(
    (text) => factMeasure({ facts: { load: text } }, 'load', 'force', FORCE_UNIT[system]) ?? [],
  );
  if (broken.length > 0) return meanOf(broken);
  const expected =
    factMeasure(setup, 'expectedStrength', 'stress', STRESS_UNIT[system]) ??
    required?.times(limits.number('unit.expected', system));
  return loadOn(area, expected, system);
}

/** Loads and rate that the picture of the plan is drawn with. */
export function wedge(
  loads: { readonly expected: Exact | undefined; readonly required: Exact | undefined } | undefined,
  row: HalfRow,
  system: System,
  limits: Limits,
) {
  const time = limits.of(row, system);
  const rates = loads?.expected && ratesFor(loads.expected, row, limits, system);
  return {
    least: time.low?.toNumber() ?? null,
    most: time.high?.toNumber() ?? null,
    expected: loads?.expected?.toNumber() ?? null,
    required: loads?.required?.toNumber() ?? null,
    rate: rates?.target.toNumber() ?? null,
  };
}
