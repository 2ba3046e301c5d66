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
} from '../../maturity';
import { type IndexCurve, indexCurve, type MaturityFunction, worthBefore } from '../../temperature';
import { factText } from '../facts';
import { readMeasure } from '../fields';
import { cautionOf } from '../maturity/band';
import { readFunction } from '../maturity/function';
import { limitsOf, type RunSetup } from '../setup';
import { temperatureKept } from '../temperature/kept';
import { type Sensor, sensorsOf } from '../temperature/sensors';
import { degreeUnits } from '../temperature/units';
import type { MaturityEstimateInput } from './input';

/** An hour, ms. */
export const HOUR_MS = 3_600_000;

/** The curve of the mix, with the function that its index is of. */
interface Calibration {
  readonly how: MaturityFunction;
  readonly curve: StrengthCurve;
  /** Strength for each tenfold of the index, of the logarithmic curve. */
  readonly slope: number | undefined;
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
  const slope = fitCurve('logarithmic', points)?.parameters[1];
  return how && curve && { how, curve, slope };
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
): Pick<Known, 'now' | 'late'> {
  const { sensors, times } = sensorsOf(
    input.record ? temperatureKept(setup, 'record') : undefined,
    undefined,
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
    const before = worthBefore(how, sensor.series, own, made);
    const [best, decision] = [(index.best.at(-1) ?? 0) + before, (index.decision.at(-1) ?? 0) + before];
    if (!least || decision < least.decision) least = { sensor, index, best, decision, at, zero: times.zero };
  }
  return { now: least, late };
}

/** When an index is reached: hours from now, at the soonest, as expected, and at the latest; null where not within sixty days. */
export interface Forecast {
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
export interface Known {
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

export function knownOf(input: MaturityEstimateInput, setup: RunSetup): Known {
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
