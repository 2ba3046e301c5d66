/** How an own value stands to that of the sheet. */
export const STANDINGS = ['agrees', 'within method', 'investigate', 'disputed'] as const;
export type Standing = (typeof STANDINGS)[number];

/** How far two laboratories may lie apart: in the unit of the value, or in percent of their mean. */
export interface Apart {
  readonly value: number;
  readonly ofMean: boolean;
}

export interface Beside {
  /** Own less the sheet’s, and that in percent of the mean of both. */
  readonly off: number;
  readonly percent: number;
  /** What two laboratories may lie apart, in the unit of the value. */
  readonly may: number;
  readonly ratio: number;
  readonly standing: Standing;
}

/** Deviations of a source by which a mean over a period may lie off one grab: of two results the difference that is passed once in twenty. */
const D2S = 2.8;

/** Dividing values of the ratio, rising: what lies at or below each is called so. */
export type Divides = readonly [agrees: number, within: number, investigate: number];

/**
 * An own value beside that of a sheet.
 * @param own, sheet in one unit @param apart what two laboratories may lie apart
 * @param source standard deviation of the source where the sheet is a mean over a period, in that unit; 0 for a grab
 * Source: our choice; d2s is the difference of two results that is passed once in twenty (ASTM C670, from memory).
 */
export function besideSheet(
  own: number,
  sheet: number,
  { value, ofMean }: Apart,
  source: number,
  [agrees, within, investigate]: Divides,
): Beside {
  const mean = (own + sheet) / 2;
  const off = own - sheet;
  const d2s = ofMean ? (value * Math.abs(mean)) / 100 : value;
  const may = Math.sqrt(d2s ** 2 + (D2S * source) ** 2);
  const ratio = may > 0 ? Math.abs(off) / may : Number.POSITIVE_INFINITY;
  const standing =
    ratio <= agrees
      ? 'agrees'
      : ratio <= within
        ? 'within method'
        : ratio <= investigate
          ? 'investigate'
          : 'disputed';
  return { off, percent: mean === 0 ? 0 : (100 * off) / mean, may, ratio, standing };
}

/** Which way own values lie off the sheet, where they do: 1 above, −1 below, 0 not told or hardly. */
export interface Signs {
  readonly surface: number;
  readonly early: number;
  readonly late: number;
  readonly set: number;
  readonly loss: number;
}

/**
 * What several values together say of a lot that differs from its sheet: one alone says little.
 * @returns a sentence; undefined where nothing fits together
 * Source: common practice, no source.
 */
export function patternOf({ surface, early, late, set, loss }: Signs): string | undefined {
  if (surface < 0 && (early < 0 || late < 0) && set > 0)
    return 'Less surface, less strength, later set: it is ground coarser.';
  if (surface > 0 && (early > 0 || late > 0) && set <= 0)
    return 'More surface, more strength: it is ground finer.';
  if (loss > 0 && set > 0 && early < 0 && surface === 0)
    return 'More loss, later set, less early strength at the same surface: it met moisture before it was used.';
  if (early < 0 && late === 0 && surface === 0)
    return 'Early strength lower, later strength the same: alkalies, aluminate or the finest part differ.';
  return undefined;
}
