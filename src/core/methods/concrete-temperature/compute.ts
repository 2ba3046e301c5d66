import { cite, isWithin, type LimitId, type Limits } from '../../limits';
import { convert, type Exact, plainOf, roundTo, type System, type UnitId, unitLabel } from '../../quantity';
import { bySeverity, type Finding, finding, Sheet, standard } from '../../working';
import type { Conformity, Outcome } from '../contract';
import { equipmentFindings } from '../equipment-checks';
import { readMeasure } from '../fields';
import { resultOf } from '../outcome';
import { limitsOf, type RunSetup, setupMeasure } from '../setup';
import type { ConcreteTemperatureInput } from './input';

const UNIT: Readonly<Record<System, UnitId>> = { US: 'degF', SI: 'degC' };

/**
 * Temperature of fresh concrete.
 * @param input temperature in °F or °C, cover in in or mm, times in seconds or m:ss
 * @param setup limits in force and the project's own temperature limits
 * @returns the temperature to 1 °F [0.5 °C], findings on cover and clocks, conformity to the limits
 * Source: ASTM C1064/C1064M (from memory).
 */
export function compute(input: ConcreteTemperatureInput, setup: RunSetup): Outcome {
  const limits = limitsOf(setup);
  const { system } = input;
  const unit = UNIT[system];
  const mode = setup.rounding ?? 'half-even';
  const step = limits.number('temperature.step', system);
  const sheet = new Sheet(mode);
  const read = readMeasure(input, 'temperature')?.value;
  if (read) {
    sheet.line({
      symbol: 'T',
      name: 'Concrete temperature',
      formula: 't',
      uses: { t: read },
      value: read,
      unit,
      source: standard('ASTM C1064/C1064M'),
      round: { step, rule: `temperature to ${step} ${unitLabel(unit)}` },
    });
  }
  const rounded = read ? roundTo(read, step, mode) : undefined;
  const other = system === 'US' ? 'SI' : 'US';
  return {
    results: read
      ? [
          resultOf({
            quantity: 'concrete temperature',
            symbol: 'T',
            value: read,
            unit,
            step,
            mode,
            other: { unit: UNIT[other], step: limits.number('temperature.step', other) },
          }),
        ]
      : [],
    lines: sheet.lines,
    findings: bySeverity([
      ...(input.thermometer
        ? equipmentFindings(
            'thermometer',
            input.thermometer,
            setup.equipment ?? [],
            (input.readAt ?? setup.asOf)?.slice(0, 10),
            limits,
            'departure',
          )
        : []),
      ...readingFindings(input, limits),
      ...usualFindings(read, input, limits),
    ]),
    conformity: conformity(rounded, system, setup, limits),
    picture: {
      kind: 'temperature',
      values: {
        temperature: read?.toNumber() ?? null,
        maximum: temperatureLimits(system, setup, limits).maximum.toNumber(),
        minimum: temperatureLimits(system, setup, limits).minimum?.toNumber() ?? null,
        unit: unitLabel(unit),
      },
    },
  };
}

function readingFindings(input: ConcreteTemperatureInput, limits: Limits): Finding[] {
  const checks: { field: 'cover' | 'dwell' | 'readDelay'; limit: LimitId; says: string; action: string }[] = [
    {
      field: 'cover',
      limit: 'temperature.cover',
      says: 'Too little concrete around the sensor',
      action: 'Move the sensor to where there is enough concrete on all sides and read again.',
    },
    {
      field: 'dwell',
      limit: 'temperature.dwell',
      says: 'Read too soon',
      action: 'Leave the sensor in, wait until the time is up and the reading is steady, then read again.',
    },
    {
      field: 'readDelay',
      limit: 'temperature.complete',
      says: 'Read too late after the sample was obtained',
      action: 'Take the temperature again from a fresh portion of the same load.',
    },
  ];
  return checks.flatMap((check) => {
    const read = readMeasure(input, check.field);
    const limit = limits.of(check.limit, input.system);
    if (!read || isWithin(read.value, limit)) return [];
    return [
      finding({
        id: check.limit,
        severity: 'invalid',
        fields: [check.field],
        limit: cite(limit),
        message: `${check.says}: ${plainOf(read.value, read.unit)}.`,
        action: check.action,
      }),
    ];
  });
}

function usualFindings(read: Exact | undefined, input: ConcreteTemperatureInput, limits: Limits): Finding[] {
  const limit = limits.of('temperature.usual', input.system);
  if (!read || isWithin(read, limit)) return [];
  // The commonest slip is the other scale: say so when the value would be usual there.
  const swapped = input.system === 'US' ? convert(read, 'degC', 'degF') : convert(read, 'degF', 'degC');
  return [
    finding({
      id: 'temperature.usual',
      severity: 'advice',
      fields: ['temperature'],
      limit: cite(limit),
      message: `${plainOf(read, limit.unit)} is unusual for concrete.${isWithin(swapped, limit) ? ` Was it read in ${input.system === 'US' ? '°C' : '°F'}?` : ''}`,
      action: 'Read again, and type the unit with the number if it is the other scale.',
    }),
  ];
}

function temperatureLimits(
  system: System,
  setup: RunSetup,
  limits: Limits,
): { maximum: Exact; minimum?: Exact; named: boolean } {
  const own = setupMeasure(setup.sample?.temperatureMaximum, 'temperature', UNIT[system]);
  const minimum = setupMeasure(setup.sample?.temperatureMinimum, 'temperature', UNIT[system]);
  return {
    maximum: own ?? limits.number('temperature.maximum', system),
    ...(minimum ? { minimum } : {}),
    named: own !== undefined,
  };
}

function conformity(
  rounded: Exact | undefined,
  system: System,
  setup: RunSetup,
  limits: Limits,
): Conformity[] {
  const { maximum, minimum, named } = temperatureLimits(system, setup, limits);
  const unit = unitLabel(UNIT[system]);
  const range = minimum ? `${minimum} to ${maximum} ${unit}` : `not more than ${maximum} ${unit}`;
  const criterion = `concrete temperature ${range}, ${named ? 'project' : 'ACI 301'}`;
  if (!rounded) {
    return [{ criterion, verdict: 'not yet determinable', sentence: `Not yet determinable: ${criterion}.` }];
  }
  const inside =
    rounded.lessThanOrEqualTo(maximum) && (minimum === undefined || rounded.greaterThanOrEqualTo(minimum));
  return [
    {
      criterion,
      verdict: inside ? 'meets' : 'does not meet',
      sentence: inside
        ? `In tolerance: ${rounded} ${unit}, ${range}.`
        : `Out of tolerance: ${rounded} ${unit}, ${range}. Tell the purchaser’s representative now.`,
    },
  ];
}
