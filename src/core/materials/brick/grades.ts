import { isWithin, type Limits } from '../../limits';
import {
  decimalsOf,
  type Exact,
  exact,
  type RoundingMode,
  roundTo,
  type System,
  type UnitId,
  unitLabel,
  withThousands,
} from '../../quantity';
import { plain } from '../../working';
import { type Alternate, gradeRow, WAIVES } from './alternates';
import { GRADES, GRADES_OF, type Grade, type Product } from './products';

/** What a grade looks at: the row, what a set says of it, and how it is rounded before it is held. */
const LOOKED_AT = [
  { row: 'mean', name: 'Mean strength', found: 'mean strength', step: 'unit.strength-step' },
  { row: 'each', name: 'Strength of each', found: 'least strength', step: 'unit.strength-step' },
  {
    row: 'boil',
    name: 'Mean absorption by boiling',
    found: 'mean boiling absorption',
    step: 'brick.percent-step',
  },
  {
    row: 'boil-each',
    name: 'Absorption by boiling of each',
    found: 'greatest boiling absorption',
    step: 'brick.percent-step',
  },
  { row: 'cold', name: 'Mean cold absorption', found: 'mean cold absorption', step: 'brick.percent-step' },
  {
    row: 'cold-each',
    name: 'Cold absorption of each',
    found: 'greatest cold absorption',
    step: 'brick.percent-step',
  },
  {
    row: 'sat',
    name: 'Mean saturation coefficient',
    found: 'mean saturation',
    step: 'brick.saturation-step',
  },
  {
    row: 'sat-each',
    name: 'Saturation coefficient of each',
    found: 'greatest saturation',
    step: 'brick.saturation-step',
  },
] as const;

/** One limit of one grade, with what was found; plain data, so that a page can ask again with other alternates. */
export interface GradeRow {
  readonly row: string;
  readonly name: string;
  /** As reported, and what it is held against, as plain numbers; null while there is no result. */
  readonly value: number | null;
  readonly limit: number;
  readonly unit: string;
  readonly holds: 'at least' | 'at most';
  /** Decimals that both are written with. */
  readonly place: number;
  /** Of the limit, in percent; null while there is no result. */
  readonly margin: number | null;
  readonly good: boolean | null;
}

export interface GradeTable {
  readonly grade: string;
  readonly rows: readonly GradeRow[];
}

export interface Judged {
  /** The first grade of which no limit is missed; null where even the last is, undefined while results are missing. */
  readonly grade: string | null | undefined;
  /** What the grade that is next above it misses. */
  readonly why: readonly GradeRow[];
  /** The limit of the grade with the least margin. */
  readonly governs: GradeRow | undefined;
  /** What has no result yet. */
  readonly missing: readonly string[];
}

/**
 * What a sample came to beside the limits of every grade that its specification has, the strictest first.
 * @param found unrounded, by what the sets say: `mean strength`, `greatest saturation`
 * Source: ASTM C216, C62, C652, C902 (from memory); held as rounded.
 */
export function gradeTables(
  product: Product,
  found: Readonly<Record<string, string>>,
  about: { readonly limits: Limits; readonly system: System; readonly mode: RoundingMode },
): GradeTable[] {
  const { limits, system, mode } = about;
  return GRADES_OF[product].map((grade) => ({
    grade: GRADES[grade],
    rows: LOOKED_AT.flatMap(({ row, name, found: quantity, step }): GradeRow[] => {
      const id = gradeRow(grade as Grade, row);
      if (!id) return [];
      const limit = limits.of(id, system);
      const held: Exact = limit.low ?? limit.high ?? exact(0);
      const text = found[quantity];
      const value = text === undefined ? undefined : roundTo(exact(text), limits.number(step, system), mode);
      const apart = value && (limit.low ? value.minus(held) : held.minus(value));
      return [
        {
          row,
          name,
          value: value?.toNumber() ?? null,
          limit: held.toNumber(),
          unit: limit.unit === 'one' ? '' : unitLabel(limit.unit as UnitId),
          holds: limit.low ? 'at least' : 'at most',
          place: decimalsOf(limits.number(step, system)),
          margin: apart ? Number(plain(apart.div(held).times(100), 4)) : null,
          good: value ? isWithin(value, limit) : null,
        },
      ];
    }),
  }));
}

/**
 * The grade that such tables award.
 * @param used alternates that are taken, each with its evidence: the rows that they waive are not looked at
 */
export function judge(tables: readonly GradeTable[], used: readonly Alternate[]): Judged {
  const waived = new Set(used.flatMap((each) => WAIVES[each]));
  const looked = tables.map(({ grade, rows }) => ({
    grade,
    rows: rows.filter(({ row }) => !waived.has(row)),
  }));
  const failing = looked.map(({ rows }) => rows.filter(({ good }) => good === false));
  // What has no result may still fail: nothing is awarded before.
  const place = looked.findIndex((_, index) => failing[index]?.length === 0);
  const awarded = place < 0 ? undefined : looked[place];
  const missing = awarded?.rows.filter(({ good }) => good === null).map(({ name }) => name) ?? [];
  const above = failing[place < 0 ? failing.length - 1 : place - 1] ?? [];
  const governs = awarded?.rows
    .filter(({ margin }) => margin !== null)
    .toSorted((a, b) => (a.margin ?? 0) - (b.margin ?? 0))[0];
  return {
    grade: missing.length > 0 ? undefined : (awarded?.grade ?? null),
    why: above,
    governs,
    missing,
  };
}

/** A number of a row as it is written: with its thousands set apart and its last zeros kept. */
export function figure(value: number, { place }: Pick<GradeRow, 'place'>): string {
  return withThousands(value.toFixed(place));
}

/** What was found against a limit, in words. */
export function rowWords(row: GradeRow): string {
  const { name, value, limit, unit, holds } = row;
  const found = value === null ? 'no result' : `${figure(value, row)} ${unit}`.trim();
  return `${name.toLowerCase()} ${found} against ${holds} ${figure(limit, row)} ${unit}`.trim();
}
