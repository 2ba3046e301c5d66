import {
  decimalsOf,
  type Exact,
  type RoundingMode,
  remembered,
  roundTo,
  type UnitId,
  unitLabel,
  withThousands,
} from '../quantity';
import { evaluateFormula } from './expression';
import { type Source, sourceText } from './source';

/** One line of a calculation sheet: everything needed to follow, print and re-evaluate one computed number. */
export interface WorkingLine {
  readonly symbol: string;
  readonly name: string;
  /** The formula in symbols, in plain expression syntax (`pi * D^2 / 4`). */
  readonly formula: string;
  /** The same with the numbers in: an expression that evaluates to `value`. */
  readonly substituted: string;
  /** The unrounded value, as decimal text of up to 15 significant digits. */
  readonly value: string;
  readonly unit: string;
  readonly rounding: { readonly step: string; readonly mode: RoundingMode; readonly rule: string } | null;
  /** The value as shown and, when `carry` is `rounded`, as used further on. */
  readonly rounded: string;
  readonly carry: 'rounded' | 'unrounded';
  readonly source: string;
}

export interface LineRequest {
  readonly symbol: string;
  readonly name: string;
  readonly formula: string;
  /** The numbers that the formula's symbols stand for. */
  readonly uses: Readonly<Record<string, Exact>>;
  readonly unit: UnitId;
  readonly source: Source;
  readonly round?: { readonly step: Exact | string; readonly rule: string };
  /** Whether later lines use the rounded value; only where the method says so. */
  readonly carry?: 'rounded';
  /** Digits shown of a value that is not rounded; six significant digits when not given. */
  readonly show?: number;
}

/** Collects the lines of one calculation, in order, with the rounding mode of the project. */
export class Sheet {
  private readonly collected: WorkingLine[] = [];
  constructor(readonly mode: RoundingMode) {}

  /**
   * Adds a line: its value is what its formula comes to, so that the two cannot disagree.
   * @returns the value that later lines use: rounded when the request carries the rounded one, else unrounded
   */
  line(request: LineRequest): Exact {
    const { round } = request;
    const value = evaluateFormula(request.formula, request.uses);
    const rounded = round ? roundTo(value, round.step, this.mode) : undefined;
    this.collected.push({
      symbol: request.symbol,
      name: request.name,
      formula: request.formula,
      substituted: substitute(request.formula, request.uses),
      value: plain(value, 15),
      unit: unitLabel(request.unit),
      rounding: round ? { step: plain(round.step, 15), mode: this.mode, rule: round.rule } : null,
      rounded:
        rounded && round
          ? withThousands(rounded.toFixed(decimalsOf(round.step)))
          : plain(value, request.show ?? 6),
      carry: request.carry ?? 'unrounded',
      source: sourceText(request.source),
    });
    return request.carry === 'rounded' && rounded ? rounded : value;
  }

  /** The lines so far. */
  get lines(): readonly WorkingLine[] {
    return this.collected;
  }
}

/** Decimal text without exponent, trimmed to a number of significant digits. */
export function plain(value: Exact | string, digits: number): string {
  if (typeof value === 'string') return value;
  return (value.precision() <= digits ? value : value.toSignificantDigits(digits)).toFixed();
}

/** Puts numbers in the place of the symbols of a formula; negative numbers go into brackets. */
function substitute(formula: string, uses: Readonly<Record<string, Exact>>): string {
  let text = '';
  for (const part of partsOf(formula)) {
    const value = Object.hasOwn(uses, part) ? uses[part] : undefined;
    const shown = value === undefined ? part : plain(value, 12);
    text += value !== undefined && shown.startsWith('-') ? `(${shown})` : shown;
  }
  return text;
}

/** A formula taken apart into symbols and what stands between them. There are as many as are written in the code. */
const partsOf = remembered(
  1000,
  (formula: string) => formula,
  (formula) => formula.split(/([A-Za-z][A-Za-z0-9_]*)/),
);

const SUPERSCRIPT: Record<string, string> = { '2': '²', '3': '³' };

/** The formula or its substituted form as a person reads it: · for times, ² for squares, π. */
export function prettyFormula(formula: string): string {
  return formula
    .replace(/\^([23])/g, (_, power: string) => SUPERSCRIPT[power] ?? power)
    .replace(/\s*\*\s*/g, '·')
    .replace(/\bpi\b/g, 'π')
    .replace(/\s*\/\s*/g, ' / ');
}
