import type { ClockId } from '../../clocks';
import { cite, isWithin, type Limits } from '../../limits';
import { convert, type Exact, exact, plainOf, unitLabel } from '../../quantity';
import { type Finding, finding } from '../../working';
import { equipmentUse } from '../equipment-checks';
import { factMeasure } from '../facts';
import { readMeasure } from '../fields';
import type { RunSetup } from '../setup';
import { clockFindings, sampleStamps } from '../stamps';
import { timedRows } from '../timed-rows';
import type { ConcreteTemperatureInput } from './input';
import { TEMPERATURE_UNIT } from './range';

/** Everything a temperature is held against besides the project's limits. */
export function temperatureFindings(
  input: ConcreteTemperatureInput,
  read: Exact | undefined,
  setup: RunSetup,
  limits: Limits,
): Finding[] {
  const large = hasLargeAggregate(input, setup, limits);
  const clocks: ClockId[] = large ? ['dwell'] : ['dwell', 'temperature'];
  return [
    ...equipmentUse(input, { thermometer: 'departure' }, input.readAt, setup, limits),
    ...clockFindings(input, setup, limits, clocks, { dwell: 'dwell', temperature: 'readDelay' }),
    ...(large ? longClock(input, setup, limits) : []),
    ...coverFindings(input, setup, limits),
    ...placeFindings(input),
    ...steadyFindings(input, read),
    ...traceFindings(input, limits),
    ...coldFindings(input, limits),
    ...usualFindings(read, input, limits),
    ...jumpFindings(read, input, setup, limits),
  ];
}

function aggregateOf(input: ConcreteTemperatureInput, setup: RunSetup): Exact | undefined {
  return factMeasure(setup, 'aggregate', 'length', input.system === 'US' ? 'in' : 'mm');
}

function hasLargeAggregate(input: ConcreteTemperatureInput, setup: RunSetup, limits: Limits): boolean {
  return (
    aggregateOf(input, setup)?.greaterThan(limits.number('temperature.large-aggregate', input.system)) ??
    false
  );
}

/** Concrete with very large aggregate takes longer to come to one temperature and is given longer. */
function longClock(input: ConcreteTemperatureInput, setup: RunSetup, limits: Limits): Finding[] {
  const stamps = sampleStamps(input, setup);
  const [start, end] = [stamps['final-portion'], stamps['temperature-read']];
  const byHand = readMeasure(input, 'readDelay')?.value;
  const elapsed = start !== undefined && end !== undefined ? exact(Math.floor((end - start) / 1000)) : byHand;
  const limit = limits.of('temperature.complete-large', input.system);
  if (!elapsed || isWithin(elapsed, limit)) return [];
  return [
    finding({
      id: limit.id,
      severity: 'invalid',
      fields: [end === undefined ? 'readDelay' : 'readAt'],
      limit: cite(limit),
      message: `Read ${plainOf(elapsed, 's')} after the sample was obtained, too late.`,
      action: 'Take the temperature again from a fresh portion of the same load.',
    }),
  ];
}

function coverFindings(input: ConcreteTemperatureInput, setup: RunSetup, limits: Limits): Finding[] {
  const cover = readMeasure(input, 'cover');
  if (!cover) return [];
  const limit = limits.of('temperature.cover', input.system);
  const byAggregate = aggregateOf(input, setup)?.times(
    limits.number('temperature.cover-aggregate', input.system),
  );
  const enough = isWithin(cover.value, limit) && !(byAggregate && cover.value.lessThan(byAggregate));
  if (enough) return [];
  const governs = byAggregate && (limit.low === undefined || byAggregate.greaterThan(limit.low));
  const least = governs ? `${plainOf(byAggregate, cover.unit)}, three times the aggregate` : limit.text;
  return [
    finding({
      id: governs ? 'temperature.cover-aggregate' : 'temperature.cover',
      severity: 'invalid',
      fields: ['cover'],
      limit: {
        ...cite(limits.of(governs ? 'temperature.cover-aggregate' : 'temperature.cover', input.system)),
        text: least,
      },
      message: `Too little concrete around the sensor: ${plainOf(cover.value, cover.unit)}.`,
      action: 'Move the sensor to where there is enough concrete on all sides and read again.',
    }),
  ];
}

function placeFindings(input: ConcreteTemperatureInput): Finding[] {
  if (input.place !== 'surface') return [];
  return [
    finding({
      id: 'temperature.surface',
      severity: 'invalid',
      fields: ['place'],
      message: 'A surface reading is indicative only: the method reads inside the concrete.',
      action: 'Put a sensor into the concrete and read there.',
    }),
  ];
}

function steadyFindings(input: ConcreteTemperatureInput, read: Exact | undefined): Finding[] {
  if (!read || input.steady !== false) return [];
  return [
    finding({
      id: 'temperature.steady',
      severity: 'invalid',
      fields: ['steady'],
      message: 'The reading was still changing.',
      action: 'Leave the sensor in until it is steady and read again.',
    }),
  ];
}

/** Whether the last half minute of the readings was steady: the latest against the last that is old enough. */
function traceFindings(input: ConcreteTemperatureInput, limits: Limits): Finding[] {
  const rows = timedRows(input.trace, 'temperature');
  const last = rows.at(-1);
  const over = limits.number('temperature.steady-over', input.system);
  const before =
    last && rows.findLast(({ seconds }) => last.seconds.minus(seconds).greaterThanOrEqualTo(over));
  if (!last || !before) return [];
  const moved = last.value.minus(before.value).abs();
  const limit = limits.of('temperature.steady-change', input.system);
  if (isWithin(moved, limit)) return [];
  return [
    finding({
      id: 'temperature.steady-change',
      severity: 'invalid',
      fields: ['trace'],
      limit: cite(limit),
      message: `It moved by ${plainOf(moved, limit.unit)} in the last ${last.seconds.minus(before.seconds)} s.`,
      action: 'Leave the sensor in until it is steady and read again.',
    }),
  ];
}

/** Air so cold that the rows of cold weather apply, and nobody said so. */
function coldFindings(input: ConcreteTemperatureInput, limits: Limits): Finding[] {
  const air = readMeasure(input, 'airTemperature');
  const limit = limits.of('temperature.cold-air', input.system);
  if (!air || input.cold === true || !limit.high || air.value.greaterThanOrEqualTo(limit.high)) return [];
  return [
    finding({
      id: limit.id,
      severity: 'advice',
      fields: ['cold'],
      limit: cite(limit),
      message: `The air is at ${plainOf(air.value, air.unit)}: the least temperatures of cold weather may apply.`,
      action: 'Tick cold weather if such air is expected while the concrete is protected.',
    }),
  ];
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

function jumpFindings(
  read: Exact | undefined,
  input: ConcreteTemperatureInput,
  setup: RunSetup,
  limits: Limits,
): Finding[] {
  const unit = TEMPERATURE_UNIT[input.system];
  const before = factMeasure(setup, 'previousTemperature', 'temperature', unit);
  const limit = limits.of('temperature.jump', input.system);
  if (!read || !before || isWithin(read.minus(before).abs(), limit)) return [];
  return [
    finding({
      id: limit.id,
      severity: 'advice',
      fields: ['temperature'],
      limit: cite(limit),
      message: `The load before this one had ${plainOf(before, unit)}: a jump of ${read.minus(before).abs()} ${unitLabel(unit)}.`,
      action: 'Take a second reading before anybody acts on it.',
    }),
  ];
}
