import Papa from 'papaparse';
import { convert, type Exact, exact, type UnitId } from '../../quantity';

/** One row of a temperature record: seconds from its start (or an instant) and the temperature in the run's unit. */
export interface LogPoint {
  readonly seconds: Exact;
  readonly value: Exact;
}

export interface TemperatureLog {
  readonly points: readonly LogPoint[];
  readonly bad: readonly string[];
  /** Rows that stood twice and were read once. */
  readonly doubled: number;
  /** True when it came by hand or from a min-max thermometer, not from a recorder. */
  readonly coarse: boolean;
}

const HOURS = /^\d+(?:[.,]\d+)?$/u;

function secondsOf(text: string, zone: string): Exact | null {
  const plain = text.trim();
  if (HOURS.test(plain)) return exact(plain.replace(',', '.')).times(3600);
  // day.month.year or day/month/year, as recorders outside the US write it.
  const day = /^(\d{1,2})[./](\d{1,2})[./](\d{4})[ T]+(\d{1,2}):(\d\d)(?::(\d\d))?$/u.exec(plain);
  const iso = day
    ? `${day[3]}-${(day[2] ?? '').padStart(2, '0')}-${(day[1] ?? '').padStart(2, '0')}T${(day[4] ?? '').padStart(2, '0')}:${day[5]}:${day[6] ?? '00'}Z`
    : plain.replace(' ', 'T');
  const bare = /^\d{4}-\d\d-\d\dT\d\d:\d\d(:\d\d(\.\d+)?)?$/u.test(iso);
  const at = Date.parse(bare ? `${iso}Z` : iso);
  return Number.isNaN(at) || zone === '' ? null : exact(Math.round(at / 1000));
}

/**
 * Reads a temperature record: time, temperature, unit and channel in this order; a header is passed over. Times are
 * instants, plain dates and clocks, or hours; decimal commas, doubled rows and rows of the other scale are borne.
 * @param unit of the run: rows without a unit are in it
 */
export function readLog(text: string | undefined, unit: UnitId): TemperatureLog {
  const points: LogPoint[] = [];
  const bad: string[] = [];
  let doubled = 0;
  const trimmed = (text ?? '').trim();
  if (trimmed === '') return { points, bad, doubled, coarse: true };
  // A decimal comma needs another delimiter: a semicolon or tab anywhere says so.
  const delimiter = /;/u.test(trimmed) ? ';' : /\t/u.test(trimmed) ? '\t' : /,/u.test(trimmed) ? ',' : ' ';
  const { data } = Papa.parse<string[]>(trimmed, { delimiter, skipEmptyLines: true });
  const seen = new Set<string>();
  data.forEach((cells, index) => {
    const values = cells.map((cell) => cell.trim()).filter((cell) => cell !== '');
    const [time = '', temperature = '', scale = ''] = values;
    const seconds = secondsOf(time, 'utc');
    const number = temperature
      .replace(',', '.')
      .replace(/°?[CF]$/iu, '')
      .trim();
    const said = /c$/iu.test(scale || temperature)
      ? 'degC'
      : /f$/iu.test(scale || temperature)
        ? 'degF'
        : unit;
    if (!seconds || !/^-?\d*\.?\d+$/u.test(number)) {
      if (index > 0) bad.push(cells.join(delimiter));
      return;
    }
    const value = convert(exact(number), said, unit);
    const key = `${seconds}/${value}`;
    if (seen.has(key)) {
      doubled += 1;
      return;
    }
    seen.add(key);
    points.push({ seconds, value });
  });
  const sorted = points.toSorted((a, b) => a.seconds.comparedTo(b.seconds));
  const hours = data.some(([time]) => HOURS.test((time ?? '').trim()));
  return { points: sorted, bad, doubled, coarse: hours || sorted.length < 4 };
}

export interface LogSummary {
  readonly minimum: Exact;
  readonly maximum: Exact;
  /** Time-weighted mean. */
  readonly mean: Exact | null;
  /** Hours below and above the limits, by straight lines between the readings. */
  readonly below: Exact;
  readonly above: Exact;
  /** Hours in gaps too long to know. */
  readonly unknown: Exact;
}

/** Share of a straight line from a to b that lies under a limit. */
function shareUnder(a: Exact, b: Exact, limit: Exact): Exact {
  if (a.greaterThanOrEqualTo(limit) && b.greaterThanOrEqualTo(limit)) return exact(0);
  if (a.lessThan(limit) && b.lessThan(limit)) return exact(1);
  if (a.equals(b)) return exact(a.lessThan(limit) ? 1 : 0);
  const crossing = limit.minus(a).div(b.minus(a));
  return a.lessThan(limit) ? crossing : exact(1).minus(crossing);
}

/**
 * What a temperature record says.
 * @param range the limits, ends inside
 * @param gapHours from this length on a gap counts as unknown; absent for records by hand
 */
export function summariseLog(
  points: readonly LogPoint[],
  range: { low: Exact; high: Exact },
  gapHours?: Exact,
): LogSummary | undefined {
  const [first] = points;
  if (!first) return undefined;
  let minimum = first.value;
  let maximum = first.value;
  let [below, above, unknown, area, known] = [exact(0), exact(0), exact(0), exact(0), exact(0)];
  for (const [index, point] of points.entries()) {
    if (point.value.lessThan(minimum)) minimum = point.value;
    if (point.value.greaterThan(maximum)) maximum = point.value;
    const before = points[index - 1];
    if (!before) continue;
    const hours = point.seconds.minus(before.seconds).div(3600);
    if (gapHours && hours.greaterThan(gapHours)) {
      unknown = unknown.plus(hours);
      continue;
    }
    below = below.plus(hours.times(shareUnder(before.value, point.value, range.low)));
    above = above.plus(
      hours.times(shareUnder(before.value.negated(), point.value.negated(), range.high.negated())),
    );
    area = area.plus(hours.times(before.value.plus(point.value)).div(2));
    known = known.plus(hours);
  }
  return { minimum, maximum, mean: known.isZero() ? null : area.div(known), below, above, unknown };
}
