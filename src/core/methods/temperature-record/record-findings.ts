import { exact, plainOf } from '../../quantity';
import { between, type Fault, temperatureAt } from '../../temperature';
import { type Finding, finding } from '../../working';
import { limitFinding } from '../limit-finding';
import { temperatureKept } from '../temperature/kept';
import type { Sensor } from '../temperature/sensors';
import { degreeUnits } from '../temperature/units';
import type { TemperatureRecordInput } from './input';
import { DAY_H, type Known } from './known';

export function nothingFindings(
  input: TemperatureRecordInput,
  main: Sensor | undefined,
  placed: number,
): Finding[] {
  if (!input.record && !main) return [];
  return [
    main
      ? finding({
          id: 'record.placed-after',
          severity: 'invalid',
          fields: ['placedAt'],
          message: `The record ends before the concrete came round the sensor (${placed.toFixed(1)} h after it began).`,
          action: 'Look at day and time of placing, and at the clock of the logger.',
        })
      : finding({
          id: 'record.no-record',
          severity: 'invalid',
          fields: ['record'],
          message: 'No record of that name is kept with this run.',
          action: 'Choose the file of the logger, or read it out.',
        }),
  ];
}

export function unknownFindings(
  { input, setup }: Known,
  unknown: readonly string[],
  together: boolean,
): Finding[] {
  const found: Finding[] = [];
  if (unknown.length > 0)
    found.push(
      finding({
        id: 'record.unknown-sensor',
        severity: 'advice',
        fields: ['sensors'],
        message: `No record has a sensor called ${unknown.map((each) => `“${each.slice(0, 40)}”`).join(', ')}.`,
        action: 'Write it as its file does, or by its column: 1, 2; of the second record B1, B2.',
      }),
    );
  if (input.second && temperatureKept(setup, 'second') && !together)
    found.push(
      finding({
        id: 'record.no-instants',
        severity: 'departure',
        fields: ['second'],
        message: 'A record that only counts from its beginning cannot be laid over another by its clock.',
        action: 'Export both with date and time.',
        remark: 'Two records without a common time: not compared.',
      }),
    );
  if (!input.placedAt && input.purpose !== 'box' && input.purpose !== 'places')
    found.push(
      finding({
        id: 'record.no-start',
        severity: 'advice',
        fields: ['placedAt'],
        message: 'When the concrete came round the sensor is not said: hours count from the first row.',
        action: 'Enter it: the batch ticket and the foreman know it.',
      }),
    );
  return found;
}

const FAULT_WORDS: Readonly<Record<Fault, string>> = {
  'no number': 'without a number',
  code: 'codes of a broken or waking sensor',
  'beyond what can be': 'beyond what concrete and air can have',
  spike: 'jumps that came back at once',
  stuck: 'of a sensor that stood still',
};

const TROUBLE_WORDS: Readonly<Record<string, string>> = {
  'rows not read': 'rows that could not be read',
  'rows doubled': 'rows that stand twice and count once',
  'goes back': 'rows that go back in time and are left out',
  'clock put back': 'a clock that was put back an hour: later rows are moved on',
  'hour missing': 'an hour missing at night, as when summer time begins',
  'counter began anew': 'a counter that began anew, counted on',
};

/** What the record itself is like: how often, how whole, how true. */
export function recordFindings({ input, setup, limits, sensors, main, from, to }: Known): Finding[] {
  const { system } = input;
  const found: Finding[] = [];
  const { difference: unit, degrees, toDifference } = degreeUnits(system);
  const remark = (id: string, fields: readonly string[], message: string, action: string): void => {
    found.push(finding({ id, severity: 'departure', fields, message, action, remark: message }));
  };
  const { longestEarly, longestLate } = main.channel;
  for (const [id, longest, when] of [
    ['record.interval-early', longestEarly, 'in the first two days'],
    ['record.interval-late', longestLate, 'later'],
  ] as const) {
    const most = limits.of(id, system);
    if (most.high && exact(longest).greaterThan(most.high.times('1.001')))
      found.push(
        limitFinding(
          limits,
          system,
          { id, severity: 'departure', fields: ['record'] },
          {
            message: `Up to ${longest.toFixed(1)} h between two rows ${when}.`,
            action: 'Look for the missing rows in the logger; set it to a shorter interval the next time.',
            remark: `Up to ${longest.toFixed(1)} h without a reading ${when}.`,
          },
        ),
      );
  }
  for (const [name, field] of [
    ['record', 'record'],
    ['second', 'second'],
  ] as const) {
    const words = (temperatureKept(setup, name)?.troubles ?? []).flatMap((each) => TROUBLE_WORDS[each] ?? []);
    if (input[field] && words.length > 0)
      remark(
        'record.file',
        [field],
        `The file has ${words.join('; ')}.`,
        'Compare it with the logger, if it still has its memory.',
      );
  }
  for (const { name, of, channel, bath } of sensors) {
    const field = of === 'first' ? 'record' : 'second';
    if (channel.removed > 0) {
      const kinds = [...new Set(channel.faults.map(({ why }) => why))].map((why) => FAULT_WORDS[why]);
      remark(
        'record.removed',
        [field],
        `${name}: ${channel.removed} of ${channel.removed + channel.rows} readings left out: ${kinds.join('; ')}.`,
        'They stay in the file that is kept. Look at plug, cable and battery.',
      );
    }
    if (bath === null) continue;
    const off = exact(Math.abs(bath));
    const [accuracy, reject] = (['record.accuracy', 'record.reject'] as const).map((id) =>
      toDifference(limits.number(id, system)),
    );
    const shown = plainOf(degrees(bath).toDecimalPlaces(1), unit);
    if (off.greaterThan(reject ?? 2))
      found.push(
        limitFinding(
          limits,
          system,
          {
            id: 'record.reject',
            severity: name === main.name ? 'invalid' : 'departure',
            fields: ['sensors'],
          },
          {
            message: `${name} was ${shown} off in the bath: it is no sensor any more.`,
            action: 'Use another one; what it recorded is not to be reported.',
            remark: `${name} was ${shown} off in the bath.`,
          },
        ),
      );
    else if (off.greaterThan(accuracy ?? 1))
      found.push(
        limitFinding(
          limits,
          system,
          { id: 'record.accuracy', severity: 'departure', fields: ['sensors'] },
          {
            message: `${name} was ${shown} off in the bath and is corrected by it.`,
            action: 'Replace it before the next use.',
            remark: `${name} corrected by ${shown} from its bath check.`,
          },
        ),
      );
  }
  if (input.purpose === 'box' || input.purpose === 'places') return found;
  const rate = main.channel.fastest;
  const fast = limits.of('record.rate', system);
  if (rate && fast.high && degrees(Math.abs(rate.rate)).greaterThan(fast.high))
    found.push(
      limitFinding(
        limits,
        system,
        { id: 'record.rate', severity: 'advice', fields: ['record'] },
        {
          message: `It changed by ${plainOf(degrees(rate.rate).toDecimalPlaces(0), unit)} in an hour, ${rate.at.toFixed(1)} h after the first row.`,
          action: 'Concrete does not: was the sensor taken out, put in water, or the form taken off?',
        },
      ),
    );
  const air = sensors.find(({ place }) => place === 'air');
  if (air && isAir(main, air, from, to, toDifference(limits.number('record.air-like', system))))
    found.push(
      limitFinding(
        limits,
        system,
        { id: 'record.air-like', severity: 'invalid', fields: ['record'] },
        {
          message: `${main.name} follows the air all the way: it is not in the concrete.`,
          action: 'Look where its end is; cables may have been swapped.',
        },
      ),
    );
  const age = limits.of('record.peak-age', system);
  const peakAt =
    main.channel.highest.at + ((main.series.hours[0] ?? 0) - (main.channel.hours[0] ?? 0)) - from;
  if (
    input.purpose === 'concrete' &&
    input.placedAt &&
    to - from >= DAY_H &&
    age.low &&
    age.high &&
    (exact(peakAt).lessThan(age.low) || exact(peakAt).greaterThan(age.high))
  )
    found.push(
      limitFinding(
        limits,
        system,
        { id: 'record.peak-age', severity: 'advice', fields: ['record'] },
        {
          message: `Its highest temperature comes ${peakAt.toFixed(1)} h after placing.`,
          action:
            'A sensor outside of the concrete, a retarded mix, a thick member, or the wrong time of placing: which is it?',
        },
      ),
    );
  return found;
}

/** Whether a sensor says the same as the air all the way. */
function isAir(main: Sensor, air: Sensor, from: number, to: number, most: number): boolean {
  const part = between(main.series, from, to);
  const off = part.hours.flatMap((hour, place) => {
    const there = temperatureAt(air.series, hour);
    return there === undefined ? [] : [Math.abs((part.celsius[place] ?? 0) - there)];
  });
  const sorted = off.toSorted((a, b) => a - b);
  return off.length >= DAY_H / 2 && (sorted[Math.floor(sorted.length * 0.9)] ?? most) < most;
}
