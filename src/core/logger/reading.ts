/** What a logger of temperatures sends: one line for each row that it has in its memory. */
export interface TemperatureLine {
  readonly seq: number;
  /** Seconds since it was started. */
  readonly t: number;
  /** °C of each of its sensors; null where one is not connected. */
  readonly temp: readonly (number | null)[];
  /** What its sensors are called. */
  readonly names: readonly string[];
  /** What its own clock showed, RFC 3339 in UTC: right or wrong. */
  readonly clock: string;
  readonly at: number;
}

const MOST_SENSORS = 16;

/** True for what is a line of a logger. */
export function isTemperatureLine(value: Readonly<Record<string, unknown>>): boolean {
  const { temp, names } = value;
  return (
    Array.isArray(temp) &&
    Array.isArray(names) &&
    temp.length === names.length &&
    temp.length <= MOST_SENSORS &&
    temp.every((each) => each === null || Number.isFinite(each)) &&
    names.every((each) => typeof each === 'string') &&
    typeof value.clock === 'string'
  );
}
