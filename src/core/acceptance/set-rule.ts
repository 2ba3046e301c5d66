import { isLimitId, type LimitId, type Limits } from '../limits';
import type { Profile } from '../limits/schools';
import type { FactSources, Facts } from '../methods/facts';
import type { Exact, RoundingMode, System, UnitId } from '../quantity';
import type { WorkingLine } from '../working';
import { criteriaOf } from './criteria';
import type { Asked, LimitAbout, RowBy } from './criterion';

/** How far the results of a set lie apart, and what that means. */
export interface SpreadRule {
  /** The range of all, or how far the farthest lies from the mean; both of the mean, in percent. */
  readonly measure: 'range' | 'farthest';
  /** The row that holds, by how many results there are; `any` for every other number. */
  readonly rows: Readonly<Partial<Record<2 | 3 | 'any', LimitId>>>;
  /** Decimals that it is shown with, and compared to where the method says so. */
  readonly place: 1 | 2;
  readonly rounded?: boolean;
  /** Beyond it: there is no mean to report, or it is only said. */
  readonly beyond: 'no mean' | 'said';
  readonly good?: string;
  readonly bad: string;
  /** Of a number of results that has no row. */
  readonly otherwise?: string;
}

/** One specimen of a set, with all that its test gave: by quantity, unrounded. */
export interface SetPiece {
  readonly label: string;
  readonly value: string;
  /** False for one that is left out of the mean. */
  readonly used: boolean;
  /** It is known to be so much or more, or so much or less, only. */
  readonly bound?: 'at least' | 'at most';
  readonly quantities: Readonly<Record<string, string>>;
}

/** What is worked out from the mean of a set besides it: an estimate, a class, a line through the pieces. */
export interface Derived {
  /** What criteria may be held against, by quantity, unrounded. */
  readonly values: Readonly<Record<string, string>>;
  /** Each with what it is called; never a result of a test. */
  readonly said: readonly (readonly [label: string, text: string])[];
  readonly lines: readonly WorkingLine[];
  readonly remarks: readonly string[];
  /** Its specimens as points, where a picture belongs to the report. */
  readonly plot?: SetPlot;
}

/** Points of specimens on two axes divided by powers of ten, with a line through them where there is one. */
export interface SetPlot {
  readonly title: string;
  readonly x: string;
  readonly y: string;
  readonly points: readonly { readonly label: string; readonly x: number; readonly y: number }[];
  /** y = 10^a · x^b. */
  readonly line: { readonly a: number; readonly b: number } | null;
  /** Why there is none; empty where there is one. */
  readonly doubts: readonly string[];
}

/** What there is to derive it from. */
export interface DeriveAbout {
  readonly pieces: readonly SetPiece[];
  /** How many more were tested and make no valid result. */
  readonly rejected: number;
  readonly facts: Facts;
  readonly asked: Asked;
  /** What is asked for in words. */
  readonly said?: LimitAbout['said'];
  readonly system: System;
  readonly unit: UnitId;
  readonly limits: Limits;
  readonly mode: RoundingMode;
}

/** What results stand together, never averaged across what differs, and how they combine. Data of a method. */
export interface SetRule {
  /** What its specimens are called: `Cores`. */
  readonly word: string;
  /** The result that counts. */
  readonly quantity: string;
  /** True where nobody has to make the test: the set is of those it was begun on, and waits for no other. */
  readonly begun?: true;
  /** In what the specimens of a set are alike. */
  readonly by: readonly ('age' | 'cure')[];
  readonly combine:
    | 'mean'
    | 'trimmed mean'
    | 'two nearest of three'
    | 'near the mean'
    | 'each alone'
    | 'strength test';
  /** What the mean is rounded to, once. */
  readonly step: LimitId;
  /** Fewer give no mean. */
  readonly fewest?: LimitId | number;
  /** Fewer are said. */
  readonly wanted?: RowBy;
  /** From how many on one, and from how many on two, are left out at either end. */
  readonly trim?: { readonly one: LimitId; readonly two: LimitId };
  readonly spread?: SpreadRule;
  /** The note begins with the document that the spread is held against. */
  readonly named?: boolean;
  /** The mean against what is asked of these specimens, in words. */
  readonly againstAsked?: string;
  /** Criteria that all of the set are held against together. */
  readonly criteria?: readonly string[];
  /** What it has to know besides its results. */
  readonly facts?: FactSources;
  /** What follows from the mean, and the quantities of it that criteria may be held against. */
  readonly follows?: readonly string[];
  readonly derives?: (mean: Exact, about: DeriveAbout) => Derived;
  /** The rows of the register that this is worked out with. */
  readonly derivedBy?: Readonly<Record<string, unknown>>;
  /** Tests of the sample that a certified person must have made, else an engineer says whether the set counts. */
  readonly certified?: readonly string[];
  /** What a product has otherwise: by what is asked for in words. */
  readonly asAsked?: (said: LimitAbout['said']) => Partial<Pick<SetRule, 'word' | 'quantity' | 'step'>>;
  /** What another school has otherwise. */
  readonly schools?: Readonly<Partial<Record<Profile, Partial<Omit<SetRule, 'schools'>>>>>;
}

/** A rule as the school of the job has it, and as what is asked for has it. */
export function ruleFor(
  rule: SetRule,
  profile: Profile,
  said: LimitAbout['said'] = () => undefined,
): SetRule {
  return { ...rule, ...rule.schools?.[profile], ...rule.asAsked?.(said) };
}

/** The limits that a rule and its criteria hang on: where one of them changes, its sets are another thing. */
export function limitsOfRule(rule: SetRule): LimitId[] {
  const named = new Set<LimitId>();
  const walk = (part: unknown): void => {
    if (typeof part === 'string' && isLimitId(part)) named.add(part);
    else if (typeof part === 'object' && part !== null) for (const each of Object.values(part)) walk(each);
  };
  walk([rule, criteriaOf(rule.criteria ?? []), Object.keys(rule.derivedBy ?? {})]);
  return [...named];
}
