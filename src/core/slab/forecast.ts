import { fitLine } from '../statistics/line';
import { studentT } from '../statistics/student';

/** A reading of one hole, days after the first. */
export interface DayReading {
  readonly day: number;
  readonly humidity: number;
  readonly celsius: number;
}

export interface ForecastRules {
  /** Readings, days from first to last and °C apart that a date asks for. */
  readonly readings: number;
  readonly span: number;
  readonly apart: number;
  /** Scatter that is never taken smaller: readings are whole percents. */
  readonly scatter: number;
}

export type Forecast =
  | { readonly dated: false; readonly why: string }
  | {
      readonly dated: true;
      /** Days after the first reading. */
      readonly earliest: number;
      readonly central: number;
      /** Null where it lies too far out to be told. */
      readonly latest: number | null;
    };

/** One-sided, of the slope. */
const SHARE = 0.9;

/**
 * When a hole comes down to a humidity, from earliest to latest; it releases nothing.
 * @param readings of one hole, the first on day 0
 * @param target percent
 * @param dryingDays from the begin of drying to the first reading, days; 0 where it is not known
 * @returns why there is no date, or three: by the fast slope, by the line, by the later of the slow slope and a line over
 *   the square root of time; the last is null beyond twice the span after the last reading
 * Source: least squares and its slope's interval, any handbook; the conditions are our choice.
 */
export function forecast(
  readings: readonly DayReading[],
  target: number,
  dryingDays: number,
  rules: ForecastRules,
): Forecast {
  const last = readings.at(-1);
  const no = (why: string): Forecast => ({ dated: false, why });
  if (!last || readings.length < rules.readings)
    return no(`${rules.readings} readings are needed for a date`);
  const span = last.day - (readings[0]?.day ?? 0);
  if (span < rules.span) return no(`the readings span ${span.toFixed(0)} of ${rules.span} days`);
  if (last.humidity <= target) return no('it is there already');
  const temperatures = readings.map(({ celsius }) => celsius);
  if (Math.max(...temperatures) - Math.min(...temperatures) > rules.apart + 1e-9)
    return no('the slab was not at one temperature');
  const points = readings.map(({ day, humidity }) => ({ x: day, y: humidity }));
  const line = fitLine(points);
  const slow = fitLine(
    readings.map(({ day, humidity }) => ({ x: Math.sqrt(day + dryingDays), y: humidity })),
  );
  if (!line || !slow) return no('the readings are of one day');
  const error = Math.max(line.residual, rules.scatter) / Math.sqrt(line.sums.xx);
  const off = studentT(SHARE, readings.length - 2) * error;
  if (line.slope + off >= 0) return no('drying is not established');
  const at = (slope: number): number => line.mean.x + (line.mean.y - target) / -slope;
  const root = slow.slope < 0 ? (target - slow.intercept) / slow.slope : Number.POSITIVE_INFINITY;
  const latest = Math.max(at(line.slope + off), root ** 2 - dryingDays);
  return {
    dated: true,
    earliest: at(line.slope - off),
    central: at(line.slope),
    latest: latest > last.day + 2 * span ? null : latest,
  };
}
