/** Readers of cells where they stand in a text, for files of hundreds of thousands of rows: no cell is cut out of it. */

const ZERO = 48;
const NINE = 57;

function digits(text: string, from: number, count: number): number {
  let value = 0;
  for (let at = from; at < from + count; at += 1) {
    const code = text.charCodeAt(at);
    if (!(code >= ZERO && code <= NINE)) return Number.NaN;
    value = value * 10 + (code - ZERO);
  }
  return value;
}

/**
 * A plain decimal number between two places of a text.
 * @param mark code of what stands before its decimals
 * @returns NaN for everything else, however well it could be read
 */
export function numberAt(text: string, from: number, to: number, mark: number): number {
  let [at, sign, value, scale, seen] = [from, 1, 0, 0, 0];
  const first = text.charCodeAt(at);
  if (first === 45 || first === 43) {
    sign = first === 45 ? -1 : 1;
    at += 1;
  }
  for (; at < to; at += 1) {
    const code = text.charCodeAt(at);
    if (code >= ZERO && code <= NINE) {
      value = value * 10 + (code - ZERO);
      seen += 1;
      if (scale > 0) scale *= 10;
    } else if (code === mark && scale === 0) scale = 1;
    else return Number.NaN;
  }
  // Beyond 15 digits the sum above is no longer exact.
  return seen === 0 || seen > 15 ? Number.NaN : (sign * value) / (scale || 1);
}

/** Reads `2031-01-10T08:15:30`, seconds and what stands between as may be, without a zone; what is written otherwise is NaN. */
export class PlainStamps {
  private day = Number.NaN;
  private midnight = Number.NaN;

  /** @returns seconds since 1970 of its own clock */
  at(text: string, from: number, to: number): number {
    const length = to - from;
    if (length !== 16 && length !== 19) return Number.NaN;
    const [year, month, date] = [digits(text, from, 4), digits(text, from + 5, 2), digits(text, from + 8, 2)];
    const [hour, minute] = [digits(text, from + 11, 2), digits(text, from + 14, 2)];
    const second = length === 19 ? digits(text, from + 17, 2) : 0;
    const key = year * 10_000 + month * 100 + date;
    if (key !== this.day) {
      const there = new Date(Date.UTC(year, month - 1, date));
      if (there.getUTCDate() !== date || there.getUTCMonth() !== month - 1) return Number.NaN;
      this.day = key;
      this.midnight = there.getTime() / 1000;
    }
    return hour < 24 && minute < 60 && second < 60 && text.charCodeAt(from + 13) === 58
      ? this.midnight + hour * 3600 + minute * 60 + second
      : Number.NaN;
  }
}

/**
 * Where the cells of a line begin and end.
 * @param ends from and to of each cell in turn, written over; cells that are not there have from −1
 * @param last the last column that is wanted
 */
export function cellEnds(
  text: string,
  from: number,
  to: number,
  delimiter: number,
  ends: Int32Array,
  last: number,
): void {
  let [start, column] = [from, 0];
  for (let at = from; at <= to && column <= last; at += 1) {
    if (at < to && text.charCodeAt(at) !== delimiter) continue;
    let [a, b] = [start, at];
    while (a < b && text.charCodeAt(a) <= 32) a += 1;
    while (b > a && text.charCodeAt(b - 1) <= 32) b -= 1;
    ends[2 * column] = a;
    ends[2 * column + 1] = b;
    column += 1;
    start = at + 1;
  }
  for (; column <= last; column += 1) {
    ends[2 * column] = 0;
    ends[2 * column + 1] = 0;
  }
}
