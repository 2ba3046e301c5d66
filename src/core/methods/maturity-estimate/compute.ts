import type { Limits } from '../../limits';
import {
  bestCurve,
  CURVES,
  type CurveId,
  coolingConstant,
  decisionAt,
  fitCurve,
  hoursUntil,
  indexFor,
  type StrengthCurve,
  strengthAt,
} from '../../maturity';
import { exact, plainOf } from '../../quantity';
import { type IndexCurve, indexCurve, type MaturityFunction } from '../../temperature';
import type { Wait } from '../../waits/wait';
import { bySeverity, type Finding, finding, ourChoice, Sheet, standard } from '../../working';
import type { Outcome, Result } from '../contract';
import { equipmentUse } from '../equipment-checks';
import { factText } from '../facts';
import { readMeasure } from '../fields';
import { limitFinding } from '../limit-finding';
import { bandText, cautionOf } from '../maturity/band';
import { functionWords, indexUnit, readFunction } from '../maturity/function';
import { STRESS } from '../maturity/strengths';
import { resultOf } from '../outcome';
import { limitsOf, type RunSetup } from '../setup';
import { type Sensor, sensorsOf } from '../temperature/sensors';
import { degreeUnits, measured } from '../temperature/units';
import type { MaturityEstimateInput } from './input';

const C1074 = standard('ASTM C1074');
export const COUNTED = 'strength to be counted on';
const HOUR_MS = 3_600_000;

/** The curve of the mix, with the function that its index is of. */
interface Calibration {
  readonly how: MaturityFunction;
  readonly curve: StrengthCurve;
}

function calibrationOf(setup: RunSetup): Calibration | undefined {
  const how = readFunction(factText(setup, 'function'));
  const points = (factText(setup, 'calibration') ?? '').split(' ').flatMap((pair) => {
    const [index, strength] = pair.split('/').map(Number);
    return index && strength ? [{ index, strength }] : [];
  });
  const wanted = CURVES.find((id) => id === factText(setup, 'curve'));
  const fits = (wanted ? [wanted] : CURVES).flatMap((id: CurveId) => fitCurve(id, points) ?? []);
  const curve = wanted ? fits[0] : bestCurve(fits);
  return how && curve && { how, curve };
}

/** The sensor of the concrete that has come least far. */
interface Now {
  readonly sensor: Sensor;
  readonly index: IndexCurve;
  readonly best: number;
  readonly decision: number;
  /** Hour of the record that is now, and instant of its hour nought. */
  readonly at: number;
  readonly zero: number | null;
}

function nowOf(
  input: MaturityEstimateInput,
  setup: RunSetup,
  limits: Limits,
  how: MaturityFunction,
): {
  readonly now: Now | undefined;
  readonly air: Sensor | undefined;
  readonly late: number;
} {
  const { sensors, times } = sensorsOf(
    { record: input.record ? setup.records?.record : undefined },
    ['record', 'second'],
    input.sensors ?? [],
    limits,
    input.system,
  );
  const air = sensors.find(({ place }) => place === 'air');
  const placed =
    input.placedAt && times.zero !== null ? (Date.parse(input.placedAt) - times.zero) / HOUR_MS : 0;
  const made = limits.number('maturity.start', input.system).toNumber();
  let [least, late]: [Now | undefined, number] = [undefined, 0];
  for (const sensor of sensors) {
    if (sensor.place === 'air') continue;
    const first = sensor.series.hours[0] ?? 0;
    const own = Math.max(0, first - placed);
    late = Math.max(late, own);
    const index = indexCurve(sensor.series, how, Math.max(placed, first), air?.series);
    const at = index.hours.at(-1);
    if (at === undefined) continue;
    // What came before the first row is made up for by its temperature while it is little.
    const before =
      own > 0 && own <= made
        ? (indexCurve(
            {
              hours: [0, own],
              celsius: [sensor.series.celsius[0] ?? 0, sensor.series.celsius[0] ?? 0],
              gaps: [],
            },
            how,
            0,
          ).best[1] ?? 0)
        : 0;
    const [best, decision] = [(index.best.at(-1) ?? 0) + before, (index.decision.at(-1) ?? 0) + before];
    if (!least || decision < least.decision) least = { sensor, index, best, decision, at, zero: times.zero };
  }
  return { now: least, air, late };
}

/** When an index is reached: hours from now, at the soonest, as expected, and at the latest; null where not within sixty days. */
interface Forecast {
  readonly soonest: number | null;
  readonly expected: number | null;
  readonly latest: number | null;
}

function forecastOf(
  input: MaturityEstimateInput,
  limits: Limits,
  how: MaturityFunction,
  now: Now,
  asked: number,
): Forecast | undefined {
  const outlook = readMeasure(input, 'outlook');
  if (!outlook) return undefined;
  const { toCelsius, toDifference } = degreeUnits(input.system);
  const air = toCelsius(outlook.value);
  const apart = toDifference(limits.number('maturity.outlook', input.system));
  const concrete = now.sensor.series.celsius.at(-1) ?? air;
  const constant = coolingConstant(now.sensor.series, air);
  const until = (celsius: number): number | null =>
    hoursUntil(how, asked - now.decision, { now: concrete, air: [celsius], constant });
  return { soonest: until(air + apart), expected: until(air), latest: until(air - apart) };
}

/** All that an estimate knows. */
interface Known {
  readonly input: MaturityEstimateInput;
  readonly setup: RunSetup;
  readonly limits: Limits;
  readonly calibration: Calibration | undefined;
  readonly now: Now | undefined;
  readonly late: number;
  readonly asked: number | undefined;
  readonly counted: number | undefined;
  readonly forecast: Forecast | undefined;
}

function knownOf(input: MaturityEstimateInput, setup: RunSetup): Known {
  const limits = limitsOf(setup);
  const { system } = input;
  const calibration = calibrationOf(setup);
  const required = readMeasure(input, 'required')?.value.toNumber();
  const caution = cautionOf(limits, system);
  const { now, late } = calibration
    ? nowOf(input, setup, limits, calibration.how)
    : { now: undefined, late: 0 };
  const asked = calibration && required ? indexFor(calibration.curve, required, caution) : undefined;
  const inside =
    now &&
    calibration &&
    now.decision >= calibration.curve.range[0] &&
    now.decision <= calibration.curve.range[1];
  return {
    input,
    setup,
    limits,
    calibration,
    now,
    late,
    asked,
    counted:
      inside && calibration ? Math.max(0, decisionAt(calibration.curve, now.decision, caution)) : undefined,
    forecast:
      calibration && now && asked !== undefined
        ? forecastOf(input, limits, calibration.how, now, asked)
        : undefined,
  };
}

/**
 * The strength of a member by its maturity, and when it comes to what an operation asks.
 * @param input operation and strength that is asked, record of the member, supplementary test
 * @param setup.facts the calibration of its mix
 * @returns what may be counted on, psi or MPa; it is an estimate and never a test of acceptance
 * Source: ASTM C1074 (from memory); lower edge, allowance and forecast are our choice.
 */
export function compute(input: MaturityEstimateInput, setup: RunSetup): Outcome {
  const known = knownOf(input, setup);
  const { limits, calibration, now, asked, counted } = known;
  const { system } = input;
  const unit = STRESS[system];
  const sheet = new Sheet(setup.rounding ?? 'half-even');
  const results: Result[] = [];
  const own = ourChoice('lower edge of the curve, less what a batch may differ');
  if (calibration && now) {
    const { how, curve } = calibration;
    const step = limits.number('maturity.strength-step', system);
    const indexStep = limits.number('maturity.index-step', system);
    const put = (
      quantity: string,
      symbol: string,
      value: number,
      of: Result['unit'],
      by: typeof step | string,
      words: string,
      source = C1074,
    ): void => {
      const line = sheet.line({
        symbol,
        name: words,
        formula: 'x',
        uses: { x: measured(value) },
        unit: of,
        source,
        round: { step: by, rule: `to ${plainOf(exact(by), of)}` },
      });
      results.push(resultOf({ quantity, symbol, value: line, unit: of, step: by, mode: sheet.mode }));
    };
    if (counted !== undefined) {
      put(COUNTED, 'Sd', counted, unit, step, 'Strength that may be counted on', own);
      put(
        'strength by the curve',
        'S',
        Math.max(0, strengthAt(curve, now.best)),
        unit,
        step,
        'Strength by the curve, best estimate',
      );
    }
    const word = indexUnit(how);
    put(
      `maturity index, ${word}`,
      'M',
      now.decision,
      'one',
      indexStep,
      `Maturity index of ${now.sensor.name}, ${word}`,
    );
    if (asked !== undefined) {
      put(
        `index that is asked, ${word}`,
        'Mr',
        asked,
        'one',
        indexStep,
        `Index from which the strength that is asked may be counted on, ${word}`,
        own,
      );
      if (known.forecast && typeof known.forecast.expected === 'number')
        put(
          'expected in',
          'h',
          known.forecast.expected,
          'h',
          '1',
          'Hours until then, by the air that is expected',
          own,
        );
    }
  }
  return {
    results,
    lines: sheet.lines,
    findings: bySeverity([
      ...equipmentUse(input, { logger: 'departure' }, input.readAt, setup, limits),
      ...findings(known),
    ]),
    verdicts: [],
    picture: pictureOf(known),
  };
}

/** What is asked, with the hour that it is expected at: to be read again then. */
export function waits(input: MaturityEstimateInput, setup: RunSetup): Wait[] {
  const { now, forecast, counted } = knownOf(input, setup);
  const required = readMeasure(input, 'required')?.value.toNumber();
  if (!now || now.zero === null || !forecast || (counted !== undefined && required && counted >= required))
    return [];
  const at = (hours: number): string => new Date((now.zero ?? 0) + (now.at + hours) * HOUR_MS).toISOString();
  const { soonest, expected, latest } = forecast;
  if (soonest === null) return [];
  return [
    {
      id: 'reached',
      what: `Read the maturity again${input.where ? `: ${input.where.slice(0, 60)}` : ''}`,
      lane: 'field',
      opens: at(soonest),
      ...(expected === null ? {} : { best: at(expected) }),
      ...(latest === null ? {} : { closes: at(latest) }),
      provisional: 'a forecast by the air that is expected',
    },
  ];
}

function findings(known: Known): Finding[] {
  const { input, limits, calibration, now, asked, counted, forecast, late } = known;
  const { system } = input;
  const unit = STRESS[system];
  const required = readMeasure(input, 'required');
  if (!calibration)
    return [
      finding({
        id: 'maturity.no-calibration',
        severity: 'invalid',
        fields: ['mix'],
        message: 'This mix has no strength curve: nothing can be said by its maturity.',
        action: 'Calibrate it first; until then go by cylinders cured beside the member.',
      }),
    ];
  if (!now)
    return input.record
      ? [
          finding({
            id: 'maturity.no-record',
            severity: 'invalid',
            fields: ['record', 'placedAt'],
            message: 'The record has nothing of the concrete after it was placed.',
            action: 'Look at file, sensors, and time of placing.',
          }),
        ]
      : [];
  const found: Finding[] = [];
  const { curve, how } = calibration;
  const word = indexUnit(how);
  const [low, high] = curve.range;
  const hold: string[] = [];
  if (now.decision > high || now.decision < low) {
    found.push(
      finding({
        id: 'maturity.outside',
        severity: now.decision > high ? 'invalid' : 'departure',
        fields: ['record'],
        message: `Its index is ${now.decision.toFixed(0)} ${word}; the curve reaches from ${low.toFixed(0)} to ${high.toFixed(0)}.`,
        action:
          now.decision > high
            ? 'Go by tests: a curve says nothing beyond its breaks.'
            : 'Wait: it is too young for the curve.',
        remark: 'Index outside of the calibration.',
      }),
    );
    hold.push('its index lies outside of the calibration');
  }
  if (required && asked === undefined)
    found.push(
      finding({
        id: 'maturity.too-much',
        severity: 'departure',
        fields: ['required'],
        message: `${plainOf(required.value, unit)} is more than the curve of this mix can be counted on for.`,
        action: 'Go by tests of the concrete itself.',
        remark: 'Strength that is asked lies beyond the calibration.',
      }),
    );
  const { drawn, lost } = now.index;
  if (drawn + lost > 0) {
    const words =
      lost > 0 ? `nothing is known of ${lost.toFixed(1)} h` : `${drawn.toFixed(1)} h have no reading`;
    found.push(
      finding({
        id: 'maturity.gap',
        severity: 'departure',
        fields: ['record'],
        message: `In the record ${words}: they count by their colder end, or nothing.`,
        action: 'Look for the rows in the logger; a sensor in the air helps over a long gap.',
        remark: `Record with gaps: ${words}.`,
      }),
    );
    if (lost > 0) hold.push('there is a gap that nothing is known of');
  }
  if (late > 0) {
    const made = limits.of('maturity.start', system);
    if (made.high && exact(late.toPrecision(8)).greaterThan(made.high))
      found.push(
        limitFinding(
          limits,
          system,
          { id: 'maturity.start', severity: 'departure', fields: ['placedAt', 'record'] },
          {
            message: `The record begins ${late.toFixed(1)} h after placing; what came before counts nothing.`,
            action: 'Start the logger before the concrete comes.',
            remark: `Temperatures recorded from ${late.toFixed(1)} h after placing on.`,
          },
        ),
      );
  }
  const { temperature, unit: degree } = degreeUnits(system);
  for (const [id, celsius] of [
    ['maturity.warm', Math.max(...now.sensor.series.celsius)],
    ['maturity.cold', Math.min(...now.sensor.series.celsius.slice(-Math.max(1, now.index.hours.length)))],
  ] as const) {
    const limit = limits.of(id, system);
    const shown = temperature(celsius);
    if ((limit.high && shown.greaterThan(limit.high)) || (limit.low && shown.lessThan(limit.low)))
      found.push(
        limitFinding(
          limits,
          system,
          { id, severity: 'departure', fields: ['record'] },
          {
            message: `The concrete was at ${plainOf(shown.toDecimalPlaces(1), degree)}.`,
            action:
              id === 'maturity.warm'
                ? 'Warm curing leads early and lags later: the curve promises too much.'
                : 'Below it hardly gains: look at covers and heaters.',
            remark: `Concrete at ${plainOf(shown.toDecimalPlaces(1), degree)}.`,
          },
        ),
      );
  }
  found.push(...verificationFindings(known, curve, hold));
  if (!input.supplementary || input.supplementary === 'none') hold.push('no supplementary test was made');
  const tested = readMeasure(input, 'supplementaryStrength');
  if (tested && required && tested.value.lessThan(required.value)) {
    hold.push(`the supplementary test came to ${plainOf(tested.value, unit)} only`);
  }
  if (input.operation === 'protection') {
    const least = limits.of('maturity.protection', system);
    if (required && least.low && required.value.lessThan(least.low))
      found.push(
        limitFinding(
          limits,
          system,
          { id: 'maturity.protection', severity: 'departure', fields: ['required'] },
          {
            message: `${plainOf(required.value, unit)} is asked for; frost damages weaker concrete for good.`,
            action: 'Ask the engineer again before protection is taken away.',
            remark: 'Less is asked than concrete needs to stand a first freezing.',
          },
        ),
      );
  }
  if (input.mix !== 'other' && required && counted !== undefined) {
    const best = Math.max(0, strengthAt(curve, now.best));
    if (required.value.lessThanOrEqualTo(counted))
      found.push(
        hold.length > 0
          ? finding({
              id: 'maturity.hold',
              severity: 'departure',
              needsReason: true,
              fields: ['supplementary'],
              message: `Hold: by its maturity it has come to what is asked, but ${hold.join('; ')}.`,
              action: 'Make the supplementary test, then ask the engineer for the release.',
              remark: `For information only: ${hold.join('; ')}.`,
            })
          : finding({
              id: 'maturity.reached',
              severity: 'advice',
              fields: ['required'],
              message:
                'Criterion reached by maturity and by the supplementary test. The engineer’s release is needed.',
              action:
                'Give the engineer this page and the test: it is no result of acceptance, and nobody takes anything away on it alone.',
            }),
      );
    else
      found.push(
        finding({
          id: 'maturity.not-yet',
          severity: 'advice',
          fields: ['required'],
          message: `Not yet.${required.value.lessThanOrEqualTo(best) ? ' The best line is there already; what may be counted on is not: do not let it tempt you.' : ''}${forecastWords(forecast)}`,
          action: 'Read it again then. A forecast is never a release.',
        }),
      );
  }
  return found;
}

function forecastWords(forecast: Forecast | undefined): string {
  if (!forecast) return '';
  const { soonest, expected, latest } = forecast;
  if (expected === null) return ' With the air that is expected it does not come to it within sixty days.';
  const hours = (value: number): string =>
    value < 72 ? `${value.toFixed(0)} h` : `${(value / 24).toFixed(1)} d`;
  return ` Expected in ${hours(expected)}${soonest === null ? '' : `, at the soonest in ${hours(soonest)}`}${latest === null ? '; in colder air not for long' : `, at the latest in ${hours(latest)}`}.`;
}

/** What cylinders of the job say of the curve. */
function verificationFindings({ input, limits }: Known, curve: StrengthCurve, hold: string[]): Finding[] {
  const { system } = input;
  const limit = limits.of('maturity.verified', system);
  const off = (input.verified ?? []).flatMap((row) => {
    const [index, strength] = [readMeasure(row, 'index'), readMeasure(row, 'strength')];
    if (!index || !strength) return [];
    const by = strengthAt(curve, index.value.toNumber());
    const percent = (100 * (strength.value.toNumber() - by)) / by;
    return Number.isFinite(percent) ? [{ label: row.specimen ?? 'a cylinder', percent }] : [];
  });
  const outside = off.filter(
    ({ percent }) => limit.high && exact(Math.abs(percent).toPrecision(8)).greaterThan(limit.high),
  );
  if (outside.length === 0) return [];
  const words = outside
    .map(({ label, percent }) => `${label} ${percent > 0 ? '+' : '−'}${Math.abs(percent).toFixed(1)} %`)
    .join(', ');
  if (outside.some(({ percent }) => percent < 0) || outside.length > 1)
    hold.push('cylinders of the job do not confirm the curve');
  return [
    limitFinding(
      limits,
      system,
      {
        id: 'maturity.verified',
        severity: 'departure',
        fields: ['verified'],
        needsReason: outside.length > 1,
      },
      {
        message: `Off the curve: ${words}.`,
        action:
          outside.length > 1
            ? 'Twice outside: calibrate the mix anew before it is used again.'
            : 'Look at batch ticket, air and water; break another one.',
        remark: `Cylinders of the job off the curve: ${words}.`,
      },
    ),
  ];
}

function pictureOf(known: Known): Outcome['picture'] {
  const { input, limits, calibration, now, asked, counted, forecast } = known;
  const { system } = input;
  return {
    kind: 'maturity curve',
    values: {
      unit: STRESS[system],
      index: indexUnit(calibration?.how),
      how: calibration ? functionWords(calibration.how, system) : '',
      curve: calibration?.curve.id ?? '',
      ...(calibration ? bandText(calibration.curve, limits, system) : {}),
      pairs: factText(known.setup, 'calibration') ?? '',
      now: now && counted !== undefined ? `${now.decision.toFixed(1)}/${counted.toFixed(2)}` : null,
      asked: asked === undefined ? null : asked,
      required: readMeasure(input, 'required')?.value.toNumber() ?? null,
      verified: (input.verified ?? [])
        .flatMap((row) => {
          const [index, strength] = [readMeasure(row, 'index'), readMeasure(row, 'strength')];
          return index && strength ? [`${index.value.toNumber()}/${strength.value.toNumber()}`] : [];
        })
        .join(' '),
      sensor: now?.sensor.name ?? null,
      soonest: forecast?.soonest ?? null,
      expected: forecast?.expected ?? null,
      latest: forecast?.latest ?? null,
    },
  };
}
