/** What a recorder of temperatures or of power sends: one line for each row that it has in its memory. */
export interface LoggedLine {
  readonly seq: number;
  /** Seconds since it was started. */
  readonly t: number;
  /** °C of each of its sensors; null where one is not connected. */
  readonly temp?: readonly (number | null)[];
  /** mW of each of its cells. */
  readonly power?: readonly (number | null)[];
  /** What its sensors or cells are called. */
  readonly names: readonly string[];
  /** What its own clock showed, RFC 3339 in UTC: right or wrong. */
  readonly clock: string;
  readonly at: number;
}

/** A row of temperatures. */
export type TemperatureLine = LoggedLine & Required<Pick<LoggedLine, 'temp'>>;

const MOST_SENSORS = 16;

/** True for what is a line of a recorder: temperatures or power, a name for each. */
export function isLoggedLine(value: Readonly<Record<string, unknown>>): boolean {
  const { temp, power, names } = value;
  const values = temp ?? power;
  return (
    (temp === undefined || power === undefined) &&
    Array.isArray(values) &&
    Array.isArray(names) &&
    values.length === names.length &&
    values.length <= MOST_SENSORS &&
    values.every((each) => each === null || Number.isFinite(each)) &&
    names.every((each) => typeof each === 'string') &&
    typeof value.clock === 'string'
  );
}
