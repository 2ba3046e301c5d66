import type { Limits } from '../../limits';
import { type Exact, exact, plainOf } from '../../quantity';
import { between, difference, greatestDrop, meanOver } from '../../temperature';
import { bySeverity, commonPractice, Sheet, type Source, standard } from '../../working';
import type { Outcome, Result } from '../contract';
import { equipmentUse } from '../equipment-checks';
import { readMeasure } from '../fields';
import { resultOf } from '../outcome';
import { limitsOf, type RunSetup } from '../setup';
import { temperatureKept } from '../temperature/kept';
import { mainSensor, sensorsOf } from '../temperature/sensors';
import { degreeUnits, measured } from '../temperature/units';
import { pairFindings, pairResults, pairUp } from './compare';
import { heldFindings } from './held';
import type { TemperatureRecordInput } from './input';
import { at, DAY_H, type Known, outside, placesOf, rangeOf } from './known';
import { pictureOf } from './picture';
import { nothingFindings, recordFindings, unknownFindings } from './record-findings';

const C31 = standard('ASTM C31/C31M');
const ACI_301 = standard('ACI 301');
/** After placing, until which the step from air to concrete would count more than all else; our choice. */
const SETTLED_H = 0.5;

export const HIGHEST = 'highest temperature';
export const RISE = 'rise over placing';
export const DIFFERENCE = 'core over surface, greatest';

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
  const { sensors, times, unknown } = sensorsOf(
    input.record ? temperatureKept(setup, 'record') : undefined,
    input.second ? temperatureKept(setup, 'second') : undefined,
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
