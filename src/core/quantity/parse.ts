import { type Exact, exact } from './exact';
import { remembered } from './memo';
import { convert, type Dimension, findUnit, type UnitId, unitChoices } from './units';

/** A measured value as a person gave it: the number, the unit it was given in, and the last place that was read. */
export interface Measure {
  readonly value: Exact;
  readonly unit: UnitId;
  /** The place of the last digit typed (0.01 for "4.00", 0.25 for "2 1/4"): how finely it was read. */
  readonly resolution: Exact;
}

export type ParseResult = { readonly ok: true; readonly measure: Measure } | ParseFailure;
export interface ParseFailure {
  readonly ok: false;
  readonly message: string;
}

const VULGAR: Record<string, string> = {
  '½': '1/2',
  '¼': '1/4',
  '¾': '3/4',
  '⅓': '1/3',
  '⅔': '2/3',
  '⅛': '1/8',
  '⅜': '3/8',
  '⅝': '5/8',
  '⅞': '7/8',
};

const NUMBER = String.raw`(?:\d[\d,]*\.?\d*|\.\d+)`;
const FRACTION = String.raw`\d+\s*\/\s*\d+`;
// A fraction alone is tried first: otherwise its upper number would be taken for the whole reading.
const SIMPLE = new RegExp(
  `^([-+−]?)\\s*(?:(${FRACTION})|(${NUMBER})(?:[\\s-]+(${FRACTION}))?)\\s*(.*)$`,
  'u',
);
const FEET_INCHES = new RegExp(
  `^([-+−]?)\\s*(${NUMBER})\\s*(?:'|′|’|ft\\.?|feet|foot)\\s*-?\\s*(${NUMBER})?(?:[\\s-]*(${FRACTION}))?\\s*(?:"|″|”|in\\.?|inch|inches)?$`,
  'iu',
);
const CLOCK = /^(\d+):([0-5]\d)(?::([0-5]\d))?$/u;

/** No reading is longer; what is must not be worked through letter by letter in the middle of a laboratory's day. */
const LONGEST = 60;

function normalise(text: string): string {
  return text
    .normalize('NFC')
    .replace(/[½¼¾⅓⅔⅛⅜⅝⅞]/gu, (glyph) => ` ${VULGAR[glyph]}`)
    .replace(/\u2044/gu, '/')
    .replace(/\s+/gu, ' ')
    .trim();
}

/**
 * Plain number text to exact: "12,566" is a thousands separator, "0,25" a decimal comma. Undefined when it is neither,
 * or could be both ("6,1870").
 */
function plainNumber(text: string): { value: Exact; resolution: Exact } | undefined {
  let plain = text;
  if (/^\d{1,3}(,\d{3})+(\.\d*)?$/u.test(text)) plain = text.replaceAll(',', '');
  // Four places and more after a comma, with a whole number before it, are as likely a thousand with a digit too many.
  else if (/^(?:\d*,\d{1,3}|0?,\d+)$/u.test(text)) plain = text.replace(',', '.');
  if (plain.includes(',')) return undefined;
  const decimals = plain.split('.')[1]?.length ?? 0;
  return { value: exact(plain), resolution: exact(10).pow(-decimals) };
}

function fraction(text: string): { value: Exact; resolution: Exact } | undefined {
  const [above = '0', below = '1'] = text.split('/').map((part) => part.trim());
  if (exact(below).isZero()) return undefined;
  return { value: exact(above).div(below), resolution: exact(1).div(below) };
}

/**
 * Reads what a person typed or said for a measured value: `6 1/8 in`, `2 ¼`, `152 mm`, `12' 4"`, `54,350`, `2:10`.
 * @param text the words as typed
 * @param dimension what is measured
 * @param fallback the unit meant when none is typed: that of the run's system
 * @returns the value in the unit that was typed, or a message that says what to type instead
 */
export function parseMeasure(text: string, dimension: Dimension, fallback: UnitId): ParseResult {
  return text.length > LONGEST ? read(text, dimension, fallback) : known(text, dimension, fallback);
}

/** The same few readings are read over and over while a sheet is computed: what they came to is kept. */
const known = remembered(
  4000,
  (text: string, dimension: Dimension, fallback: UnitId) => `${dimension} ${fallback} ${text}`,
  read,
);

function read(text: string, dimension: Dimension, fallback: UnitId): ParseResult {
  if (text.length > LONGEST) {
    return { ok: false, message: `${text.length} characters are too many for a number: at most ${LONGEST}.` };
  }
  const words = normalise(text);
  if (words === '') return { ok: false, message: 'Type a number.' };

  if (dimension === 'duration') {
    const clock = CLOCK.exec(words);
    if (clock) {
      const parts = clock.slice(1).filter((part) => part !== undefined);
      const seconds = parts.reduce((total, part) => total * 60 + Number(part), 0);
      return { ok: true, measure: { value: exact(seconds), unit: 's', resolution: exact(1) } };
    }
  }
  if (dimension === 'length') {
    const feet = parseFeetInches(words);
    if (feet) return feet;
  }
  const match = SIMPLE.exec(words);
  const [, sign, alone, whole, part, unitWords = ''] = match ?? [];
  // What goes on with digits and points is no unit: "61,870.5.1".
  if (!match || /^[\d.,]/u.test(unitWords))
    return { ok: false, message: `"${text.trim()}" is not a number.` };
  const first = whole === undefined ? undefined : plainNumber(whole);
  if (whole !== undefined && !first) {
    return { ok: false, message: `"${whole}" can be read two ways: type it without commas.` };
  }
  const second = (part ?? alone) === undefined ? undefined : fraction((part ?? alone) as string);
  if ((part ?? alone) !== undefined && !second)
    return { ok: false, message: 'A fraction cannot have 0 below.' };

  const unit = unitWords.trim() === '' ? fallback : findUnit(unitWords, dimension);
  if (!unit) {
    const choices = unitChoices(dimension);
    return {
      ok: false,
      message: `"${unitWords.trim()}" is not a unit for this${choices ? `: use ${choices}` : ''}.`,
    };
  }
  const size = (first?.value ?? exact(0)).plus(second?.value ?? 0);
  const value = sign === '-' || sign === '−' ? size.negated() : size;
  const resolution = second?.resolution ?? first?.resolution ?? exact(1);
  return { ok: true, measure: { value, unit, resolution } };
}

function parseFeetInches(words: string): ParseResult | undefined {
  const match = FEET_INCHES.exec(words);
  if (!match) return undefined;
  const [, sign, feetText = '0', inchText, partText] = match;
  if (inchText === undefined && partText === undefined) return undefined;
  const feet = plainNumber(feetText);
  const inches = inchText === undefined ? undefined : plainNumber(inchText);
  const part = partText === undefined ? undefined : fraction(partText);
  if (!feet || (inchText !== undefined && !inches) || (partText !== undefined && !part)) return undefined;
  const total = feet.value
    .times(12)
    .plus(inches?.value ?? 0)
    .plus(part?.value ?? 0);
  const resolution = part?.resolution ?? inches?.resolution ?? exact(1);
  return {
    ok: true,
    measure: { value: sign === '-' || sign === '−' ? total.negated() : total, unit: 'in', resolution },
  };
}

/**
 * The measure in another unit. The resolution travels with it, so that a check of how finely it was read still holds.
 * @throws TypeError when the units are of different dimensions
 */
export function measureIn(measure: Measure, unit: UnitId): Measure {
  if (measure.unit === unit) return measure;
  const zero = convert(exact(0), measure.unit, unit);
  return {
    value: convert(measure.value, measure.unit, unit),
    unit,
    resolution: convert(measure.resolution, measure.unit, unit).minus(zero).abs(),
  };
}
