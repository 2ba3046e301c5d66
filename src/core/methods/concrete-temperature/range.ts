import type { Verdict } from '../../acceptance/criterion';
import type { LimitId, Limits } from '../../limits';
import { type Exact, type System, unitLabel } from '../../quantity';
import { factMeasure } from '../facts';
import type { RunSetup } from '../setup';
import { heldWithin } from '../within';
import type { ConcreteTemperatureInput } from './input';

export const TEMPERATURE_UNIT = { US: 'degF', SI: 'degC' } as const;

/** The row of the cold-weather table for a least section, in the system's unit. */
function coldRow(section: Exact, system: System, limits: Limits): LimitId {
  if (section.lessThan(limits.number('temperature.sections-low', system))) return 'temperature.cold-12';
  if (section.lessThanOrEqualTo(limits.number('temperature.sections-mid', system)))
    return 'temperature.cold-36';
  if (section.lessThanOrEqualTo(limits.number('temperature.sections-high', system)))
    return 'temperature.cold-72';
  return 'temperature.cold-over';
}

export interface TemperatureLimits {
  readonly maximum: Exact;
  readonly minimum?: Exact;
  readonly source: string;
}

/**
 * What the temperature is held against: the project's own limits, else the standard's; in cold weather the least
 * temperature by the section, with heated materials the lower highest.
 * Source: ACI 301, ASTM C94/C94M (from memory).
 */
export function temperatureLimits(
  input: Pick<ConcreteTemperatureInput, 'system' | 'heated' | 'cold'>,
  setup: RunSetup,
  limits: Limits,
): TemperatureLimits {
  const { system } = input;
  const unit = TEMPERATURE_UNIT[system];
  const own = factMeasure(setup, 'temperatureMaximum', 'temperature', unit);
  const heated = input.heated === true ? limits.number('temperature.maximum-heated', system) : undefined;
  const usual = own ?? limits.number('temperature.maximum', system);
  const maximum = heated?.lessThan(usual) ? heated : usual;
  const section = factMeasure(setup, 'section', 'length', system === 'US' ? 'in' : 'mm');
  const cold =
    input.cold === true && section ? limits.number(coldRow(section, system, limits), system) : undefined;
  const ownLow = factMeasure(setup, 'temperatureMinimum', 'temperature', unit);
  const minimum = ownLow ?? cold;
  return {
    maximum,
    ...(minimum ? { minimum } : {}),
    source: own || ownLow ? 'project' : cold || heated ? 'ASTM C94/C94M' : 'ACI 301',
  };
}

/** The temperature against its limits. */
export function temperatureVerdicts(
  rounded: Exact | undefined,
  input: ConcreteTemperatureInput,
  setup: RunSetup,
  limits: Limits,
): Verdict[] {
  const { maximum, minimum, source } = temperatureLimits(input, setup, limits);
  const unit = unitLabel(TEMPERATURE_UNIT[input.system]);
  return heldWithin({
    what: 'concrete temperature',
    value: rounded && { number: rounded, text: `${rounded} ${unit}` },
    low: minimum,
    high: maximum,
    range: minimum ? `${minimum} to ${maximum} ${unit}` : `not more than ${maximum} ${unit}`,
    source,
    outside: 'Tell the purchaser’s representative now.',
  });
}
