import type { LimitId, Limits } from '../limits';
import type { Exact, System, UnitId } from '../quantity';
import type { Source, WorkingLine } from '../working';

export type VerdictState = 'meets' | 'does not meet' | 'not yet determinable' | 'needs decision';

/** What is asked for, by name: `specifiedStrength`, in a unit; absent: that of the results. */
export type Asked = (name: string, unit?: UnitId) => Exact | undefined;

/** What a limit may hang on that is no row of its own. */
export interface LimitAbout {
  readonly asked: Asked;
  /** What is asked for in words: a product, a class. */
  said(name: string): string | undefined;
  /** What follows from the mean of the set, by quantity, unrounded. */
  found(quantity: string): Exact | undefined;
  readonly limits: Limits;
  readonly system: System;
  /** The age that is asked of a set, hours; absent where none is. */
  readonly ageHours?: number;
}

/** A limit that is not from the document the criterion is from: of a product, of the project. */
export interface SourcedLimit {
  readonly value: Exact;
  readonly source: Source;
}

/** What a criterion holds a statistic against: a row of the register, what is asked for, a share of it, or a function. */
export type CriterionLimit =
  | { readonly row: LimitId }
  | { readonly asked: string; readonly share?: LimitId }
  | ((about: LimitAbout) => Exact | SourcedLimit | undefined);

/** A row of the register, or the one that follows from what is asked for in words. */
export type RowBy = LimitId | ((said: LimitAbout['said']) => LimitId);

/** The row that it is. */
export function rowBy(row: RowBy, said: LimitAbout['said'] = () => undefined): LimitId {
  return typeof row === 'string' ? row : row(said);
}

/** A requirement as data: whose results, which statistic of them, and what it is held against. */
export interface Criterion {
  readonly id: string;
  /** What it is called in lists, and how it asks, with the limit behind it. */
  readonly title: string;
  readonly asks: string;
  readonly source: Source;
  /** The result that counts, and the methods that give it. */
  readonly quantity: string;
  readonly by: readonly string[];
  /** Each by itself; all of a set; every three or four that follow one another; all that one lot has in a series. */
  readonly population: 'each' | 'set' | 'three in a row' | 'four in a row' | 'lot';
  readonly statistic: 'value' | 'mean' | 'least' | 'greatest' | 'range %' | 'percent within';
  /** Of `percent within`: what one result may not fall below, if it is to count as within. */
  readonly lower?: CriterionLimit;
  readonly holds: 'at least' | 'at most';
  readonly limit: CriterionLimit;
  /**
   * Each result as it is printed; nothing rounded; or the statistic of the unrounded results, rounded once before it is
   * held, and said where that decides.
   */
  readonly compare: 'as reported' | 'unrounded' | 'rounded';
  /** Of a quantity that is not the one its set is about: its unit, and what it is reported to. */
  readonly unit?: Readonly<Record<System, UnitId>>;
  readonly step?: LimitId;
  /** What is to do where it does not hold. */
  readonly whenNot?: string;
  /** Fewer than this decide nothing yet: a row, or as many as the plan of the sample wants. */
  readonly count?: RowBy | 'planned';
  /** One result that does not hold decides before the others are there: of the least or the greatest. */
  readonly early?: true;
  /**
   * Others are made in the place of results that decide nothing by themselves: a bound that does not reach the limit, one
   * that is provisional. They are left aside, and said. It is what one result is held against by itself.
   */
  readonly repeats?: CriterionLimit;
  /** Of a quantity that is still to come where no test of the set has it yet: it is not determinable until then. */
  readonly awaited?: true;
}

/** How many results that follow one another it looks at: one where it looks at no row of them. */
export function rowOf({ population }: Pick<Criterion, 'population'>): number {
  return population === 'three in a row' ? 3 : population === 'four in a row' ? 4 : 1;
}

/** True where it looks at several tests of a series at once: some in a row, or all of a lot. */
export function looksAtSeveral(criterion: Pick<Criterion, 'population'>): boolean {
  return rowOf(criterion) > 1 || criterion.population === 'lot';
}

/** What some results in a row are called, by how many they are. */
export const ROW_WORDS: Readonly<Record<number, string>> = { 3: 'three', 4: 'four' };

/** What the statistic of such a criterion is called in a list of tests: `Mean of three`, `Share of its lot`. */
export function severalWords(criterion: Pick<Criterion, 'population'>): string {
  return criterion.population === 'lot' ? 'Share of its lot' : `Mean of ${ROW_WORDS[rowOf(criterion)]}`;
}

/** One result that a criterion looks at: of a specimen, or of a set. */
export interface Member {
  readonly id: string;
  readonly label: string;
  /** Unrounded, decimal text; null while it is waited for. */
  readonly value: string | null;
  /** As printed; absent where it is the same. */
  readonly reported?: string;
  /** More may come to it: it decides nothing yet. */
  readonly waiting?: boolean;
  /** It is only known to be so much or more, or so much or less. */
  readonly bound?: 'at least' | 'at most';
  /** Why it can still change; it decides nothing until then. */
  readonly provisional?: string;
  /** Why an engineer must say whether it counts. */
  readonly engineer?: readonly string[];
  /** The lot that it is of, where that is judged whole. */
  readonly lot?: string;
}

/** The outcome of one criterion on one population, with its working: arithmetic, acceptance is the engineer's. */
export interface Verdict {
  readonly criterion: string;
  readonly members: readonly string[];
  readonly state: VerdictState;
  /** Decimal text; null while it is not determinable. */
  readonly statistic: string | null;
  readonly limit: string;
  /** How far the statistic lies inside the limit, decimal text; negative where it does not hold. */
  readonly margin: string | null;
  readonly sentence: string;
  /** Which end of a range a result that does not meet it lies beyond. */
  readonly side?: 'low' | 'high' | undefined;
  /** True when rounding first and comparing unrounded give opposite answers. */
  readonly knifeEdge: boolean;
  readonly lines: readonly WorkingLine[];
}

/** A verdict in which nothing stands for what is not said: of one test by itself, or before it can be decided. */
export function verdictWith(
  said: Pick<Verdict, 'criterion' | 'limit' | 'state' | 'sentence'> & Partial<Verdict>,
): Verdict {
  return { members: [], statistic: null, margin: null, knifeEdge: false, lines: [], ...said };
}
