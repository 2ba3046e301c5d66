import { cite, type Limit, type LimitId, type Limits } from '../../limits';
import { type Exact, exact, plainOf } from '../../quantity';
import {
  between,
  difference,
  excursion,
  type Fault,
  greatestDrop,
  meanOver,
  temperatureAt,
} from '../../temperature';
import {
  bySeverity,
  commonPractice,
  type Finding,
  finding,
  Sheet,
  type Source,
  standard,
} from '../../working';
import type { Outcome, Result } from '../contract';
import { equipmentUse } from '../equipment-checks';
import { readMeasure } from '../fields';
import { initialRange } from '../initial-curing/compute';
import { limitFinding } from '../limit-finding';
import { resultOf } from '../outcome';
import { limitsOf, type RunSetup } from '../setup';
import { mainSensor, type Sensor, sensorsOf } from '../temperature/sensors';
import { degreeUnits, measured } from '../temperature/units';
import { pairFindings, pairResults, pairUp } from './compare';
import type { TemperatureRecordInput } from './input';
import { pictureOf } from './picture';

const C31 = standard('ASTM C31/C31M');
const ACI_301 = standard('ACI 301');
const DAY_H = 24;
/** After placing, until which the step from air to concrete would count more than all else; our choice. */
const SETTLED_H = 0.5;

export const HIGHEST = 'highest temperature';
export const RISE = 'rise over placing';
export const DIFFERENCE = 'core over surface, greatest';

/** What a run knows of its records, put together once. */
interface Known {
  readonly input: TemperatureRecordInput;
  readonly setup: RunSetup;
  readonly limits: Limits;
  readonly sensors: readonly Sensor[];
  readonly main: Sensor;
  /** Hour of the record from which it counts, and at which it ends. */
  readonly from: number;
  readonly to: number;
}

const at = (sensors: readonly Sensor[], place: Sensor['place']): Sensor | undefined =>
  sensors.find((each) => each.place === place);

/**
 * What records of temperatures say: extremes, rise, differences, falls, hours out of a range; and of two loggers how they
 * stand to each other.
 * @param input what it is a record of, its sensors, instants
 * @param setup.records what the files say, cleaned
 * @returns temperatures in °F or °C, hours after the concrete came round the sensor
 * Source: ASTM C31/C31M, ASTM C1074, ACI 301, ACI 306R (from memory).
 */
export function compute(input: TemperatureRecordInput, setup: RunSetup): Outcome {
  const limits = limitsOf(setup);
  const { system } = input;
  const sheet = new Sheet(setup.rounding ?? 'half-even');
  const records = setup.records ?? {};
  const { sensors, times, unknown } = sensorsOf(
    { record: input.record ? records.record : undefined, second: input.second ? records.second : undefined },
    ['record', 'second'],
    input.sensors ?? [],
    limits,
    system,
  );
  const main = mainSensor(sensors);
  const equipment = equipmentUse(
    input,
    { logger: 'departure', otherLogger: 'departure' },
    input.readAt,
    setup,
    limits,
  );
  const estimate = estimated(input, limits, sheet);
  const placed =
    input.placedAt && times.zero !== null ? (Date.parse(input.placedAt) - times.zero) / 3_600_000 : 0;
  const to = main?.series.hours.at(-1) ?? 0;
  const from = Math.max(placed, main?.series.hours[0] ?? 0);
  if (!main || from >= to) {
    return {
      results: estimate,
      lines: sheet.lines,
      findings: bySeverity([...equipment, ...nothingFindings(input, main, placed)]),
      verdicts: [],
      picture: pictureOf({ input, sensors, pair: undefined, from: 0 }),
    };
  }
  const known: Known = { input, setup, limits, sensors, main, from, to };
  const pair = pairUp(input, sensors, limits, times.together, input.placedAt ? from + SETTLED_H : undefined);
  const results = [
    ...estimate,
    ...resultsOf(known, sheet),
    ...(pair ? pairResults(input, pair, limits, sheet) : []),
  ];
  return {
    results,
    lines: sheet.lines,
    findings: bySeverity([
      ...equipment,
      ...unknownFindings(known, unknown, times.together),
      ...recordFindings(known),
      ...heldFindings(known),
      ...(pair ? pairFindings(input, pair, limits) : []),
    ]),
    verdicts: [],
    picture: pictureOf({ input, sensors, pair, from, range: rangeOf(known), main }),
  };
}

/** The range that a place is held to; undefined where it is held to none. */
function rangeOf({ input, setup, limits }: Known): Limit | undefined {
  if (input.purpose === 'box') return initialRange(setup, limits, input.system);
  return input.purpose === 'mass' ? limits.of('mass.highest', input.system) : undefined;
}

/** What the highest temperature will probably be, before anything is recorded. */
function estimated(input: TemperatureRecordInput, limits: Limits, sheet: Sheet): Result[] {
  const cement = readMeasure(input, 'cement');
  if (!cement) return [];
  const { system } = input;
  const { difference: unit } = degreeUnits(system);
  const step = limits.number('record.difference-step', system);
  const value = sheet.line({
    symbol: 'dT',
    name: 'Rise by the rule for thick members, whatever the record says',
    formula: 'r * c / 100',
    uses: { r: limits.number('mass.rise', system), c: cement.value },
    unit,
    source: commonPractice,
    round: { step, rule: `to ${plainOf(step, unit)}` },
  });
  return [
    resultOf({
      quantity: 'rise by its cement, estimated',
      symbol: 'dT',
      value,
      unit,
      step,
      mode: sheet.mode,
    }),
  ];
}

function resultsOf(known: Known, sheet: Sheet): Result[] {
  const { input, limits, main, from, to, sensors } = known;
  const { system } = input;
  const units = degreeUnits(system);
  const found: Result[] = [];
  const put = (
    quantity: string,
    symbol: string,
    value: Exact,
    unit: Result['unit'],
    step: Exact | string,
    source: Source,
    line: { readonly formula: string; readonly uses: Readonly<Record<string, Exact>> } = {
      formula: 'x',
      uses: { x: value },
    },
  ): Exact => {
    const own = sheet.line({
      symbol,
      name: quantity.charAt(0).toUpperCase() + quantity.slice(1),
      ...line,
      unit,
      source,
      round: { step, rule: `to ${plainOf(exact(step), unit)}` },
    });
    found.push(resultOf({ quantity, symbol, value: own, unit, step, mode: sheet.mode }));
    return own;
  };
  const [step, apart] = [
    limits.number('record.step', system),
    limits.number('record.difference-step', system),
  ];
  const part = between(main.series, from, to);
  const top = part.celsius.reduce(
    (best, value, place) => (value > (part.celsius[best] ?? 0) ? place : best),
    0,
  );
  // Of all rows, whatever was averaged for the curve; where it was placed later, of those after.
  const highest = main.channel.highest;
  const shift = (main.series.hours[0] ?? 0) - (main.channel.hours[0] ?? 0);
  const whole = highest.at + shift >= from;
  const most = whole ? highest.celsius - (main.bath ?? 0) : (part.celsius[top] ?? 0);
  const mostAt = (whole ? highest.at + shift : (part.hours[top] ?? from)) - from;
  const tmax = put(HIGHEST, 'Tm', units.temperature(most), units.unit, step, commonPractice);
  put('time of the highest temperature', 'tm', measured(mostAt), 'h', '0.1', commonPractice);
  const began = part.celsius[0] ?? most;
  put(RISE, 'dTp', exact(0), units.difference, apart, commonPractice, {
    formula: 'Tm - T0',
    uses: { Tm: tmax, T0: units.temperature(began) },
  });
  put(
    'lowest temperature',
    'Tl',
    units.temperature(Math.min(...part.celsius)),
    units.unit,
    step,
    commonPractice,
  );
  const mean = meanOver(part);
  if (mean !== undefined)
    put('mean temperature', 'Ta', units.temperature(mean), units.unit, step, commonPractice);
  const [core, surface] = [at(sensors, 'core'), at(sensors, 'surface')];
  const apartBy =
    core && surface && difference(between(core.series, from, to), between(surface.series, from, to));
  if (apartBy) {
    put(DIFFERENCE, 'D', units.degrees(apartBy.greatest.celsius), units.difference, apart, ACI_301);
    put('time of the greatest difference', 'td', measured(apartBy.greatest.at - from), 'h', '0.1', ACI_301);
  }
  const drop = greatestDrop(part, DAY_H);
  if (drop && drop.celsius > 0)
    put('greatest fall in a day', 'F', units.degrees(drop.celsius), units.difference, apart, commonPractice);
  if (input.purpose === 'box') {
    const { above, below, degreesAbove, degreesBelow, unknown } = outside(known);
    put('time above the range', 'ha', measured(above), 'h', '0.1', C31);
    put('time below the range', 'hb', measured(below), 'h', '0.1', C31);
    put('degree-hours outside', 'dh', units.degrees(degreesAbove + degreesBelow), 'one', '0.1', C31);
    if (unknown > 0) put('time not known', 'hu', measured(unknown), 'h', '0.1', C31);
  }
  if (input.purpose === 'places') {
    const [a, b] = placesOf(sensors);
    const [first, second] = [a, b].map((each) => each && meanOver(between(each.series, from, to)));
    if (first !== undefined && second !== undefined)
      put(
        'second place warmer, on the mean',
        'M',
        units.degrees(second - first),
        units.difference,
        apart,
        commonPractice,
      );
  }
  return found;
}

/** The two places that are compared. */
function placesOf(sensors: readonly Sensor[]): readonly [Sensor | undefined, Sensor | undefined] {
  const [a, b] = sensors.filter(({ place }) => place !== 'air');
  return [a, b];
}

function outside({ input, setup, limits, main, from, to }: Known) {
  const range = initialRange(setup, limits, input.system);
  const { toCelsius } = degreeUnits(input.system);
  return excursion(
    between(main.series, from, to),
    {
      low: range.low ? toCelsius(range.low) : undefined,
      high: range.high ? toCelsius(range.high) : undefined,
    },
    limits.number('record.line', input.system).toNumber(),
  );
}

function nothingFindings(input: TemperatureRecordInput, main: Sensor | undefined, placed: number): Finding[] {
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

function unknownFindings({ input, setup }: Known, unknown: readonly string[], together: boolean): Finding[] {
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
  if (input.second && setup.records?.second && !together)
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
function recordFindings({ input, setup, limits, sensors, main, from, to }: Known): Finding[] {
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
    const words = (setup.records?.[name]?.troubles ?? []).flatMap((each) => TROUBLE_WORDS[each] ?? []);
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

/** What the concrete, or the box, is held to. */
function heldFindings(known: Known): Finding[] {
  const { input } = known;
  if (input.purpose === 'box') return boxFindings(known);
  if (input.purpose === 'places') return placesFindings(known);
  return [...(input.purpose === 'mass' ? massFindings(known) : []), ...fallFindings(known)];
}

function boxFindings(known: Known): Finding[] {
  const { input, setup, limits, main } = known;
  const { system } = input;
  const range = initialRange(setup, limits, system);
  const { unit, temperature, degrees } = degreeUnits(system);
  const { above, below, degreesAbove, degreesBelow, unknown } = outside(known);
  const found: Finding[] = [];
  if (unknown > 0)
    found.push(
      finding({
        id: 'record.box-gap',
        severity: 'departure',
        fields: ['record'],
        message: `Nothing is known of ${unknown.toFixed(1)} h of it.`,
        action: 'Look for the missing rows; say in the remarks what the thermometer in the box showed.',
        remark: `Temperature of the box not known for ${unknown.toFixed(1)} h.`,
      }),
    );
  if (above + below === 0) return found;
  const [low, high] = [Math.min(...main.series.celsius), Math.max(...main.series.celsius)].map(temperature);
  const [freezing, hot] = [limits.number('box.freezing', system), limits.number('box.hot', system)];
  const farthest = exact(
    Math.max(
      high && range.high ? high.minus(range.high).toNumber() : 0,
      low && range.low ? range.low.minus(low).toNumber() : 0,
    ),
  );
  const hours = exact(above + below);
  const sum = degrees(degreesAbove + degreesBelow);
  const number = (id: LimitId): Exact => limits.number(id, system);
  const extreme = (low && !low.greaterThan(freezing)) || (high && !high.lessThan(hot));
  const severity = extreme
    ? 'severe'
    : !hours.greaterThan(number('box.minor-hours')) && !farthest.greaterThan(number('box.minor-degrees'))
      ? 'minor'
      : !hours.greaterThan(number('box.moderate-hours')) && !sum.greaterThan(number('box.moderate-sum'))
        ? 'moderate'
        : 'severe';
  const said = `${low ? plainOf(low.toDecimalPlaces(1), unit) : '?'} to ${high ? plainOf(high.toDecimalPlaces(1), unit) : '?'}: below for ${below.toFixed(1)} h, above for ${above.toFixed(1)} h`;
  const within = main.tolerance !== null && farthest.lessThan(degrees(main.tolerance));
  found.push(
    finding({
      id: range.id,
      severity: 'departure',
      fields: ['record'],
      limit: cite(range),
      message: `The box was at ${said}. Not standard initial curing, ${severity}${within ? '; within the accuracy of the sensor' : ''}.`,
      action:
        extreme && low && !low.greaterThan(freezing)
          ? 'Frozen before 500 psi [3.5 MPa] concrete is damaged for good: tell the engineer. Strengths are not corrected.'
          : 'Put the box right. A hot first day costs strength at 28 days, a cold one delays it; strengths are not corrected.',
      remark: `Initial curing at ${said}; ${range.text} is standard.`,
    }),
  );
  return found;
}

function placesFindings({ sensors, from, to }: Known): Finding[] {
  const [a, b] = placesOf(sensors);
  if (!a || !b)
    return [
      finding({
        id: 'record.one-place',
        severity: 'advice',
        fields: ['record'],
        message: 'There is a record of one place only.',
        action: 'Add the record of the other place, or say in the table of sensors where each is.',
      }),
    ];
  const [cool, warm] = [a, b]
    .map((each) => ({ each, mean: meanOver(between(each.series, from, to)) ?? 0 }))
    .toSorted((x, y) => x.mean - y.mean);
  return [
    finding({
      id: 'record.places',
      severity: 'advice',
      fields: ['record'],
      message: `${warm?.each.name} was warmer than ${cool?.each.name} all in all: its specimens lead early and lag later.`,
      action:
        'Compare strengths only at one age and one index; a 28-day strength of a warm place is usually lower.',
    }),
  ];
}

function massFindings({ input, limits, sensors, main, from, to }: Known): Finding[] {
  const { system } = input;
  const { unit, temperature, degrees, difference: apartUnit } = degreeUnits(system);
  const found: Finding[] = [];
  const highest = temperature(main.channel.highest.celsius - (main.bath ?? 0));
  const most = limits.of('mass.highest', system);
  const shown = plainOf(highest.toDecimalPlaces(1), unit);
  if (most.high && highest.greaterThan(most.high))
    found.push(
      limitFinding(
        limits,
        system,
        { id: 'mass.highest', severity: 'departure', needsReason: true, fields: ['record'] },
        {
          message: `It came to ${shown}.`,
          action:
            'Tell the engineer today: above it later expansion is a danger, and the plan for the next pour has to change. The limit in °F and the one in °C are two texts; say which one the project has.',
          remark: `Highest temperature ${shown}, over ${most.text}.`,
        },
      ),
    );
  const [core, surface, air] = (['core', 'surface', 'air'] as const).map((place) => at(sensors, place));
  if (!core || !surface)
    return [
      ...found,
      finding({
        id: 'record.no-surface',
        severity: 'departure',
        fields: ['sensors'],
        message: `No sensor ${core ? 'at the surface' : 'in the core'}: the difference is not known.`,
        action: 'Say in the table which sensor is where; put a spare at each place the next time.',
        remark: 'Difference of core and surface not recorded.',
      }),
    ];
  const apart = difference(between(core.series, from, to), between(surface.series, from, to));
  const limit = limits.of('mass.difference', system);
  if (apart && limit.high && degrees(apart.greatest.celsius).greaterThan(limit.high)) {
    const over = plainOf(degrees(apart.greatest.celsius).toDecimalPlaces(1), apartUnit);
    const first = apart.celsius.findIndex((value) => limit.high && degrees(value).greaterThan(limit.high));
    found.push(
      limitFinding(
        limits,
        system,
        { id: 'mass.difference', severity: 'departure', needsReason: true, fields: ['record'] },
        {
          message: `The core was ${over} over the surface, ${(apart.greatest.at - from).toFixed(0)} h after placing; over the limit from ${((apart.hours[first] ?? from) - from).toFixed(0)} h on.`,
          action:
            'Insulate the surface, never cool it: it cracks when it is colder than its core. Tell the engineer.',
          remark: `Core ${over} over the surface, ${limit.text} asked.`,
        },
      ),
    );
  }
  const toAir = air && difference(between(core.series, from, to), between(air.series, from, to));
  const last = toAir?.celsius.at(-1);
  const allowed = limits.of('mass.to-air', system);
  if (last !== undefined && allowed.high && degrees(last).greaterThan(allowed.high))
    found.push(
      limitFinding(
        limits,
        system,
        { id: 'mass.to-air', severity: 'advice', fields: ['record'] },
        {
          message: `The core is still ${plainOf(degrees(last).toDecimalPlaces(1), apartUnit)} over the air.`,
          action: 'Leave the protection on and go on recording until it is less.',
        },
      ),
    );
  return found;
}

/** How fast a member of that size may cool. */
function fallFindings({ input, limits, main, from, to }: Known): Finding[] {
  const { system } = input;
  const thickness = readMeasure(input, 'thickness');
  const drop = greatestDrop(between(main.series, from, to), DAY_H);
  if (!thickness || !drop) return [];
  const up = (id: LimitId): boolean => !thickness.value.greaterThan(limits.number(id, system));
  const id = up('protection.thin')
    ? 'protection.drop-thin'
    : up('protection.middle')
      ? 'protection.drop-middle'
      : up('protection.thick')
        ? 'protection.drop-thick'
        : 'protection.drop-mass';
  const most = limits.of(id, system);
  const { degrees, difference: unit } = degreeUnits(system);
  const fell = degrees(drop.celsius);
  if (!most.high || !fell.greaterThan(most.high)) return [];
  const shown = plainOf(fell.toDecimalPlaces(1), unit);
  return [
    limitFinding(
      limits,
      system,
      { id, severity: 'departure', fields: ['record'] },
      {
        message: `It fell by ${shown} in a day, up to ${(drop.at - from).toFixed(0)} h after placing.`,
        action: 'Put the protection back and take it off in steps; look for cracks.',
        remark: `Fell by ${shown} in a day; ${most.text} asked.`,
      },
    ),
  ];
}
