import { cite, type Limits } from '../../limits';
import { plainOf } from '../../quantity';
import { between, type Comparison, compareSensors } from '../../temperature';
import { type Finding, finding, ourChoice, type Sheet } from '../../working';
import type { Result } from '../contract';
import { readMeasure } from '../fields';
import { resultOf } from '../outcome';
import type { Sensor } from '../temperature/sensors';
import { degreeUnits, measured } from '../temperature/units';
import type { TemperatureRecordInput } from './input';

/** Two sensors of one place, how they stand to each other, and what is to be believed. */
export interface Pair {
  readonly first: Sensor;
  readonly second: Sensor;
  readonly found: Comparison;
  /** °C that both may be apart and still agree; null where nothing is known of them. */
  readonly tolerance: number | null;
  readonly agree: boolean | null;
  /** Which one to believe, in sentences; the strongest ground first. */
  readonly belief: readonly string[];
}

const OWN = ourChoice('laid over one another by the shape of their changes');
const number = (value: number, places = 1): string => value.toFixed(places);

/** The two sensors that speak of one place; the first of each record where nobody says it. */
function pairOf(sensors: readonly Sensor[]): readonly [Sensor, Sensor] | undefined {
  const [first, second] = (['first', 'second'] as const).map((of) =>
    sensors.filter((each) => each.of === of),
  );
  for (const own of first ?? []) {
    const same = second?.find(({ place }) => place === own.place && place !== 'air');
    if (same) return [own, same];
  }
  const [a, b] = [first?.[0], second?.[0]];
  return a && b && [a, b];
}

/** What a sensor is called beside another: by its record where both have one name. */
function calledOf(first: Sensor, second: Sensor): readonly [string, string] {
  if (first.name !== second.name) return [first.name, second.name];
  return [`${first.name} of the first record`, `${second.name} of the second record`];
}

/** What speaks against a sensor by itself. */
function faultsOf(sensor: Sensor, most: number): string[] {
  const { channel, bath } = sensor;
  const stuck = channel.faults.some(({ why }) => why === 'stuck');
  return [
    ...(bath !== null && Math.abs(bath) > most
      ? [`it was ${number(Math.abs(bath))} °C off in the bath`]
      : []),
    ...(stuck ? ['it stood still for hours while the other moved'] : []),
    ...(channel.removed > channel.rows * 0.01 ? [`${channel.removed} of its readings cannot be true`] : []),
    ...(channel.gaps.length > 0
      ? [`it has ${channel.gaps.length === 1 ? 'a gap' : `${channel.gaps.length} gaps`}`]
      : []),
  ];
}

/** Which of two sensors to believe, and why: its own faults first, then what the bath and its make say. */
function beliefOf(
  first: Sensor,
  second: Sensor,
  found: Comparison,
  agree: boolean | null,
  most: number,
): string[] {
  const [a, b] = [faultsOf(first, most), faultsOf(second, most)];
  const [firstCalled, secondCalled] = calledOf(first, second);
  const called = (own: Sensor): string => (own === first ? firstCalled : secondCalled);
  const said = (own: Sensor, why: readonly string[]): string => `${called(own)}: ${why.join('; ')}.`;
  const faults = [...(a.length > 0 ? [said(first, a)] : []), ...(b.length > 0 ? [said(second, b)] : [])];
  const slow =
    found.slow === null
      ? []
      : [
          `${called(found.slow > 0 ? second : first)} answers slowly, about ${number(Math.abs(found.slow) * 60, 0)} min behind: its peak is lower and later than that of the concrete.`,
        ];
  if (found.ahead === null)
    return [
      'The two shapes do not belong together: another place, another day, or one of them is not in the concrete.',
      ...faults,
    ];
  const sorted = [
    { own: first, against: a.length + (found.slow !== null && found.slow < 0 ? 1 : 0) },
    { own: second, against: b.length + (found.slow !== null && found.slow > 0 ? 1 : 0) },
  ].toSorted(
    (x, y) =>
      x.against - y.against ||
      Number(x.own.bath === null) - Number(y.own.bath === null) ||
      (x.own.tolerance ?? 99) - (y.own.tolerance ?? 99),
  );
  const [better, worse] = sorted;
  if (agree && a.length + b.length === 0)
    return ['They agree within what both may be wrong: either can be used.', ...slow];
  const alike =
    better?.against === worse?.against &&
    (better?.own.bath === null) === (worse?.own.bath === null) &&
    better?.own.tolerance === worse?.own.tolerance;
  if (alike || !better || !worse)
    return [
      'Nothing tells which of the two is right: put both in a bath of 0, 25 and 50 °C.',
      ...faults,
      ...slow,
    ];
  const why =
    better.against < worse.against
      ? 'less speaks against it'
      : better.own.bath !== null && worse.own.bath === null
        ? 'it was checked in a bath and the other was not'
        : 'it is the truer kind';
  return [`Believe ${called(better.own)} before ${called(worse.own)}: ${why}.`, ...faults, ...slow];
}

/**
 * Lays the second record over the first.
 * @returns undefined where there are not two, or they have less than six hours in common
 */
export function pairUp(
  input: TemperatureRecordInput,
  sensors: readonly Sensor[],
  limits: Limits,
  together: boolean,
  from: number | undefined,
): Pair | undefined {
  const pair = pairOf(sensors);
  if (!pair || !together) return undefined;
  const [first, second] = pair;
  // The step from air to concrete would count more than all else, and neither shows when in its interval it was.
  const end = first.series.hours.at(-1) ?? 0;
  const own = from === undefined || from >= end ? first.series : between(first.series, from, end);
  const found = compareSensors(own, second.series);
  if (!found) return undefined;
  const { toDifference } = degreeUnits(input.system);
  const tolerance =
    first.tolerance === null || second.tolerance === null
      ? null
      : Math.hypot(first.tolerance, second.tolerance);
  const agree = tolerance === null || found.ahead === null ? null : Math.abs(found.bias) <= tolerance;
  const most = toDifference(limits.number('record.accuracy', input.system));
  return { first, second, found, tolerance, agree, belief: beliefOf(first, second, found, agree, most) };
}

/** What two sensors come to, as results with their lines. */
export function pairResults(
  input: TemperatureRecordInput,
  pair: Pair,
  limits: Limits,
  sheet: Sheet,
): Result[] {
  const { found } = pair;
  const { system } = input;
  const { difference, degrees } = degreeUnits(system);
  const step = limits.number('record.difference-step', system);
  if (found.ahead === null) return [];
  const ahead = measured(found.ahead * 60);
  const higher = degrees(found.bias);
  sheet.line({
    symbol: 'ta',
    name: `Clock of the second record (${pair.second.name}) ahead`,
    formula: 'h * 60',
    uses: { h: measured(found.ahead) },
    unit: 'min',
    source: OWN,
    round: { step: '1', rule: 'to 1 min' },
  });
  sheet.line({
    symbol: 'b',
    name: 'Second reads higher, median of all differences',
    formula: 'x',
    uses: { x: higher },
    unit: difference,
    source: OWN,
    round: { step, rule: `to ${plainOf(step, difference)}` },
  });
  return [
    resultOf({
      quantity: 'clock of the second record ahead',
      symbol: 'ta',
      value: ahead,
      unit: 'min',
      step: '1',
      mode: sheet.mode,
    }),
    resultOf({
      quantity: 'second reads higher by',
      symbol: 'b',
      value: higher,
      unit: difference,
      step,
      mode: sheet.mode,
    }),
  ];
}

/** What has to be said of two sensors. */
export function pairFindings(input: TemperatureRecordInput, pair: Pair, limits: Limits): Finding[] {
  const { found, agree, belief, tolerance, second } = pair;
  const { system } = input;
  const { difference, degrees } = degreeUnits(system);
  const shown = (celsius: number): string => plainOf(degrees(celsius).toDecimalPlaces(1), difference);
  const why = belief.join(' ');
  const [, secondCalled] = calledOf(pair.first, second);
  if (found.ahead === null)
    return [
      finding({
        id: 'record.not-matched',
        severity: 'departure',
        needsReason: true,
        fields: ['second'],
        message: `The two records do not fit (they agree to ${number(found.correlation, 2)} of 1). ${why}`,
        action: 'Look whether both files are of this place and these days; cables may have been swapped.',
        remark: 'The two records could not be laid over one another.',
      }),
    ];
  const all: Finding[] = [];
  const minutes = found.ahead * 60;
  const clocks = limits.of('record.clocks', system);
  const most = Number(clocks.high ?? 5);
  const noted = (['aheadAtStart', 'aheadAtEnd'] as const).flatMap((field) => {
    const read = readMeasure(input, field);
    return read ? [{ field, minutes: read.value.toNumber() }] : [];
  });
  for (const { field, minutes: own } of noted)
    if (Math.abs(own - minutes) > most)
      all.push(
        finding({
          id: 'record.clocks',
          severity: 'departure',
          fields: [field],
          limit: cite(clocks),
          message: `Noted: ${number(own, 0)} min ahead. By their shapes: ${number(minutes, 0)} min.`,
          action:
            'A zone, summer time, or the wrong file. Look for an event that both show: placing, or moulds off.',
          remark: `Clock of the second record ${number(own, 0)} min ahead as noted, ${number(minutes, 0)} min by its shape.`,
        }),
      );
  if (noted.length === 0 && Math.abs(minutes) > most)
    all.push(
      finding({
        id: 'record.clock-ahead',
        severity: 'departure',
        fields: ['second'],
        limit: cite(clocks),
        message: `The clock of the second record is ${number(Math.abs(minutes), 0)} min ${minutes > 0 ? 'ahead' : 'behind'}, by its shape alone.`,
        action: 'It is put right here. Photograph both clocks at the start and at the end the next time.',
        remark: `Clock of the second record put right by ${number(-minutes, 0)} min, found by the shape of both.`,
      }),
    );
  if (found.drifts)
    all.push(
      finding({
        id: 'record.drift',
        severity: 'departure',
        fields: ['second'],
        message: `Its clock runs at another speed: ${found.halves.map((each) => `${number((each ?? 0) * 60, 0)} min`).join(' in the first half, ')} in the second.`,
        action: 'One shift does not put it right: note both clocks at the start and at the end.',
        remark: 'The clocks of the two records run at different speeds.',
      }),
    );
  if (agree === false)
    all.push(
      finding({
        id: 'record.disagree',
        severity: 'departure',
        needsReason: true,
        fields: ['second'],
        message: `${secondCalled} reads ${shown(Math.abs(found.bias))} ${found.bias > 0 ? 'higher' : 'lower'}; both together may be ${shown(tolerance ?? 0)} apart. ${why}`,
        action:
          'Check both in a bath before the numbers are used; never take the mean of a right one and a wrong one.',
        remark: `Two sensors of one place differ by ${shown(Math.abs(found.bias))}.`,
      }),
    );
  else
    all.push(
      finding({
        id: agree ? 'record.agree' : 'record.tolerance-unknown',
        severity: 'advice',
        fields: ['second'],
        message: `${secondCalled} reads ${shown(Math.abs(found.bias))} ${found.bias > 0 ? 'higher' : 'lower'} than the first, scattered by ${shown(found.scatter)}. ${why}`,
        action: agree
          ? 'Report both.'
          : 'Say in the table of sensors what they are and what the bath said: then it can be told whether they agree.',
      }),
    );
  return all;
}
