import { DateTime } from 'luxon';
import Papa from 'papaparse';
import { readInstant } from '../quantity';

/** The air at a moment, ms since the epoch; °C and percent. */
export interface AirRow {
  readonly at: number;
  readonly celsius: number;
  readonly humidity: number;
}

/** What counts as held: the declared air with how far it may be off; times in ms. */
export interface ServiceRules {
  readonly celsius: number;
  readonly off: number;
  readonly humidity: number;
  readonly humidityOff: number;
  /** Without a reading for longer it is not proven. */
  readonly gap: number;
  /** Outside for longer the time begins anew at its end. */
  readonly out: number;
}

/** Where a record breaks off, or leaves what is held. */
export interface ServiceBreak {
  readonly kind: 'gap' | 'out';
  readonly from: number;
  readonly to: number;
  /** True where the time begins anew behind it. */
  readonly anew: boolean;
}

/** Since when the air was held without a break, up to the last reading; undefined where the last reading is outside. */
export interface ServiceSays {
  readonly since: number | undefined;
  readonly until: number;
  readonly breaks: readonly ServiceBreak[];
}

/**
 * Reads a record of the air: time, temperature, humidity; a header is passed over, nothing is made up between rows.
 * @param fahrenheit what a temperature is in, where the header says neither
 * @param zone of times without an offset
 * @returns rows in the order of time; what could not be read, by the number of its line
 */
export function readAir(
  text: string,
  zone: string,
  fahrenheit: boolean,
): { readonly rows: readonly AirRow[]; readonly bad: readonly number[] } {
  const plain = text.replace(/^\uFEFF/u, '').trim();
  const delimiter = /;/u.test(plain) ? ';' : /\t/u.test(plain) ? '\t' : ',';
  const { data } = Papa.parse<string[]>(plain, { delimiter, skipEmptyLines: true });
  const head = data[0]?.[1] ?? '';
  const isHead = !/^[-+]?\d/u.test(head.trim());
  const inF =
    isHead && /[°_ (]?f\b/iu.test(head) ? true : isHead && /[°_ (]c\b/iu.test(head) ? false : fahrenheit;
  const rows: AirRow[] = [];
  const bad: number[] = [];
  data.forEach(([time = '', temperature = '', humidity = ''], line) => {
    if (line === 0 && isHead) return;
    const at = momentOf(time.trim(), zone);
    const [t, rh] = [temperature, humidity].map((cell) =>
      Number(cell.trim().replace(',', '.') || Number.NaN),
    );
    const celsius = inF ? ((t ?? Number.NaN) - 32) / 1.8 : (t ?? Number.NaN);
    if (at === undefined || !(celsius > -60 && celsius < 80) || !(rh !== undefined && rh >= 0 && rh <= 100))
      bad.push(line + 1);
    else rows.push({ at, celsius, humidity: rh });
  });
  return { rows: rows.toSorted((a, b) => a.at - b.at), bad };
}

function momentOf(text: string, zone: string): number | undefined {
  const read = readInstant(text);
  if (read.ok) return read.at.getTime();
  const local = DateTime.fromISO(text.replace(' ', 'T'), { zone });
  return /^\d{4}-\d{2}-\d{2}[T ]\d/u.test(text) && local.isValid ? local.toMillis() : undefined;
}

/**
 * Since when the air was held, by a record of it.
 * @param rows in the order of time
 * @returns undefined for no rows
 * Source: 48 h by ASTM F2170 (from memory); bands, gaps and how one begins anew are our choice.
 */
export function serviceOf(rows: readonly AirRow[], rules: ServiceRules): ServiceSays | undefined {
  const last = rows.at(-1);
  if (!last) return undefined;
  const isHeld = ({ celsius, humidity }: AirRow): boolean =>
    Math.abs(celsius - rules.celsius) <= rules.off + 1e-9 &&
    Math.abs(humidity - rules.humidity) <= rules.humidityOff + 1e-9;
  const breaks: ServiceBreak[] = [];
  let since: number | undefined;
  let outFrom: number | undefined;
  let before: AirRow | undefined;
  for (const row of rows) {
    if (before && row.at - before.at > rules.gap) {
      breaks.push({ kind: 'gap', from: before.at, to: row.at, anew: true });
      [since, outFrom] = [undefined, undefined];
    }
    if (!isHeld(row)) outFrom ??= row.at;
    else if (outFrom !== undefined) {
      const anew = row.at - outFrom > rules.out;
      breaks.push({ kind: 'out', from: outFrom, to: row.at, anew });
      if (anew) since = row.at;
      outFrom = undefined;
    }
    if (isHeld(row)) since ??= row.at;
    before = row;
  }
  if (outFrom !== undefined) {
    breaks.push({ kind: 'out', from: outFrom, to: last.at, anew: last.at - outFrom > rules.out });
    if (last.at - outFrom > rules.out) since = undefined;
  }
  return { since, until: last.at, breaks };
}

/**
 * Why service conditions are not proven for a reading by a record of the air; undefined where they are.
 * @param at,sealedAt,since,until ms since the epoch @param hours before, and the most that a record may end before a reading
 * @param later the hole was read before: it needs no new time in place where the air was held, else the same time again
 */
export function notProvenBy(
  { since, until }: { readonly since: number | undefined; readonly until: number },
  reading: { readonly at: number; readonly sealedAt: number | undefined; readonly later: boolean },
  { hours, ends }: { readonly hours: number; readonly ends: number },
): string | undefined {
  const HOUR = 3_600_000;
  if (until < reading.at - ends * HOUR)
    return `the record of the air ends ${((reading.at - until) / HOUR).toFixed(0)} h before the reading`;
  if (since === undefined) return 'the air is not held at the end of its record';
  const enough = (from: number | undefined): boolean => from !== undefined && since <= from - hours * HOUR;
  if (enough(reading.sealedAt) || (reading.later && enough(reading.at))) return undefined;
  const from = reading.later ? reading.at : (reading.sealedAt ?? reading.at);
  const held = (from - since) / HOUR;
  return held > 0
    ? `held for ${held.toFixed(0)} h before it only, by the record of the air`
    : 'not held before the hole was sealed, by the record of the air';
}
