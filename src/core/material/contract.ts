import type { Verdict, VerdictState } from '../acceptance/criterion';
import type { SeriesRule } from '../acceptance/series-rule';
import type { Limits } from '../limits';
import type { Picture, Result } from '../methods/contract';
import type { FactSources, Facts } from '../methods/facts';
import type { RunInput } from '../methods/fields';
import type { RoundingMode, System, UnitId } from '../quantity';
import type { SheetValue } from '../uniformity/sheets';
import type { WorkingLine } from '../working';
import type { Registration, Stored } from './registration';

export type { Stored } from './registration';

/** What the trade calls one of the things of a material, as it stands in the middle of a sentence, and several of them. */
export type Word = readonly [one: string, many: string];

/** How the trade calls the things of a material. */
export interface MaterialWords {
  readonly specification: Word;
  readonly lot: Word;
  readonly sample: Word;
  readonly specimen: Word;
  /** What its report is called, and in it the tests of a sample itself and those of its specimens. */
  readonly report: string;
  readonly onSample: string;
  readonly onSpecimens: string;
}

/** A form that a specimen of the material can have. */
export interface Form {
  readonly id: string;
  readonly text: string;
  /** Stands before its number in the label; absent for those that go by letters A to Z. */
  readonly letter?: string;
  /** Since when its age counts: since the sample's own material was placed, or since it was made by itself; absent: it has none. */
  readonly since?: 'sample' | 'own';
  /** What its window hangs on: its age, or what is said when it comes. */
  readonly window?: 'age' | 'own';
  /** How its ends can be made ready for a press. */
  readonly ends?: readonly ('bonded' | 'pads')[];
  /** By which rules its caps are judged; absent: by those of cylinders. */
  readonly caps?: 'masonry';
  /** True for a half: it is half as long as what is specified. */
  readonly half?: true;
}

/** What specimens of one form are for. */
export interface Role {
  readonly id: string;
  readonly text: string;
  /** How many of a sample; absent: the rest. */
  readonly count?: number;
}

/** A method that makes specimens ready together, and the roles of those that it is usually for; absent: all of them. */
export interface Together {
  readonly method: string;
  readonly roles?: readonly string[];
}

/** A specimen that is to be given its role, with what is known of it. */
export interface RolePiece {
  readonly label: string;
  readonly role: string | null;
  readonly facts: Facts;
}

/** Roles that suit better than those there are, by label, and why. */
export interface RoleProposal {
  readonly roles: Readonly<Record<string, string>>;
  readonly why: string;
}

/** What is known when a sample is begun; instants ISO 8601. */
export interface OpenedSample {
  readonly kind: string;
  readonly sampledAt: string;
  /** Whether the press began the sample or stands for all of it. */
  readonly press?: 'first portion' | 'whole' | undefined;
  readonly load?: { readonly volume: string; readonly arrivedAt: string } | undefined;
}

/** What is held, said on a page and in a report: a heading and its text. */
export type Said = readonly [label: string, text: string];

/** What a lot's samples came to, as far as they are tested. */
export interface SampleOfLot {
  readonly label: string;
  readonly about: Stored;
  /** Of its sets: the result that counts, unrounded, and how many specimens it rests on. */
  readonly results: readonly { readonly quantity: string; readonly value: string; readonly count: number }[];
  /** What follows from its sets, by what it is: `greatest saturation`; unrounded. */
  readonly found: Readonly<Record<string, string>>;
  /** What its sets and its own tests are held against, each with what the criterion is called. */
  readonly verdicts: readonly {
    readonly title: string;
    readonly state: VerdictState;
    /** The method whose set or test it is of. */
    readonly method: string;
  }[];
  /** The methods that a valid test of it was made by. */
  readonly tested: readonly string[];
}

/** What the number of pieces of a sample goes by besides itself. */
export interface PlanAbout {
  readonly limits: Limits;
  readonly system: System;
  readonly asked: Stored;
  /** What they are, where each form has a plan of its own. */
  readonly form?: string | undefined;
  /** All samples of its lot in the order of their numbers, and its place among them; absent: it stands alone. */
  readonly among?: { readonly samples: readonly Stored[]; readonly place: number };
}

/** How many pieces a sample wants, how many to take for that, and why. */
export interface PiecePlan {
  readonly count: number;
  readonly take: number;
  readonly why: string;
}

/** What is known besides the samples of a lot. */
export interface LotAbout {
  readonly mode: RoundingMode;
  readonly system: System;
  readonly limits: Limits;
  readonly asked: Stored;
  /** The valid tests of the lot itself. */
  readonly tests: readonly { readonly method: string; readonly verdicts: readonly Verdict[] }[];
}

/** How results of one source are followed over time, whatever job they were made for. */
export interface SourceRule {
  /** The method whose results are followed, and at which ages in hours: the first is what is drawn at first. */
  readonly method: string;
  /**
   * Of a method that tests the sample itself: the result that is followed with its unit in both systems, and the reading that says its age in hours.
   * Absent: its specimens stand in sets by age.
   */
  readonly alone?: { readonly quantity: string; readonly unit: UnitId; readonly age: string };
  readonly ages: readonly number[];
  /** The younger age that one later is foreseen from, hours. */
  readonly early: number;
  /** The field of what is asked that names the product: products are never mixed. */
  readonly product: string;
  /** The fields of a lot that name its source. */
  readonly of: readonly string[];
  /** True for a sample that is a second test of another, on another day. */
  again(about: Stored): boolean;
  /** What is made with it: its material, the field of what is asked that names the code, the method and the age of its sets. */
  readonly madeWith?: {
    readonly material: string;
    readonly field: string;
    readonly method: string;
    readonly ageHours: number;
    /** How it is called, and how strong it is called. */
    readonly word: string;
  };
  /** Sheets of its plants: the method that keeps one, and what one says. */
  readonly sheets?: { readonly method: string; values(picture: Picture): readonly SheetValue[] };
  /** Readings that tell under what it was tested: method, field and what it is called. */
  readonly day: readonly (readonly [method: string, field: string, word: string])[];
}

/** What the samples of a lot say together, with the working. */
export interface LotSays {
  readonly results: readonly Result[];
  readonly lines: readonly WorkingLine[];
  readonly remarks: readonly string[];
  /** What a picture of it is drawn from, by the folder of the material in ui. */
  readonly picture?: Picture;
  /** How the lot stands by all of them. */
  readonly verdict?: { readonly state: VerdictState; readonly sentence: string };
}

/**
 * A material as the application knows it: its words, what is asked of it and what is known of a lot as classes of fields,
 * which make form, validation, import, report and facts.
 */
export interface Material {
  readonly id: string;
  readonly title: string;
  readonly words: MaterialWords;
  /** What is asked of it. */
  readonly Asked: new () => RunInput;
  /** What is known of a lot besides its title and time. */
  readonly Lot: new () => RunInput;
  /** What is known of a sample besides its time; absent where it is all taken as readings. */
  readonly Sample?: new () => RunInput;
  /** What stands on the form of a specification before anything is typed. */
  readonly usual?: Readonly<Record<string, string>>;
  /** What is told of a lot's title and time on the form. */
  readonly lotFields: { readonly title: string; readonly titleHelp: string; readonly startsAt: string };
  /** The field of a lot that says who made it: what came in over time is told apart by it. */
  readonly madeBy?: string;
  /** The field of what is asked that names the product: its lots are followed over all jobs. */
  readonly product?: string;
  /** How it is told whether a source of what is asked for stays the same; absent where nobody asks. */
  readonly source?: (asked: Stored) => SourceRule;
  /** The forms that its specimens have. */
  readonly forms: readonly Form[];
  /**
   * True where a lot comes in loads, is sampled by drawn plan and its specimens are made on the spot: it has a day of its
   * own in the field.
   */
  readonly comesInLoads?: boolean;
  /** True where a lot is a place that is drawn: its samples have outlines, its specimens lie on a plan. */
  readonly hasPlan?: true;
  /** How specimens come to a sample besides those that are made on the spot; the first is what it waits for. */
  readonly registers?: readonly Registration[];
  /** What its specimens are for, in the order they are numbered, where a form is for several tests. */
  readonly roles?: readonly Role[];
  /** What is to be known of specimens before they are given their roles, and the roles that follow; null while it is not. */
  readonly roleFacts?: FactSources;
  proposesRoles?(pieces: readonly RolePiece[]): RoleProposal | null;
  /** What its specimens are weighed, soaked, dried or capped in together, in the order of the work. */
  readonly together?: readonly Together[];
  /** The forms that have a plan of their own, where a sample wants so many of each; absent: one plan for all of it. */
  plannedForms?(asked: Stored, sample: Stored): readonly string[];
  /** How many pieces a sample wants (of a form, where each has its own), how many to take for that, and why. */
  plan?(sample: Stored, about: PlanAbout): PiecePlan;
  /** How many samples a lot of its size asks for, in words. */
  lotWants?(lot: Stored, limits: Limits, asked: Stored): string;
  /** What a sample cannot be beside those that its lot has already, by field. */
  sampleProblems?(sample: Stored, before: readonly Stored[]): Readonly<Record<string, string>>;
  /** What is asked for in short, for lists: the same headings for every specification. */
  summary(asked: Stored): readonly Said[];
  /** What stands with what is asked for though nobody types it: the age in hours. */
  derive?(asked: Stored, system: System): Record<string, unknown>;
  /** What cannot be asked for together, by field. */
  problems?(asked: Stored): Readonly<Record<string, string>>;
  /** What cannot be known of a lot together, by field. */
  lotProblems?(about: Stored): Readonly<Record<string, string>>;
  /** The tests that a sample is opened with, by method. */
  opens(asked: Stored, sampleKind: string): readonly string[];
  /** More tests that are made of a sample, each begun when somebody means to, by method. */
  onSample?(asked: Stored): readonly string[];
  /** The tests that are made of a lot itself, by method. */
  readonly onLot: readonly string[];
  /** What is known then already, as method, field, text; what is not known is undefined. */
  readIn?(sample: OpenedSample): readonly (readonly [string, string, string | undefined])[];
  /** What all tests of one sample say together, where several kinds of them decide on it. */
  sampleSays?(sample: SampleOfLot, about: LotAbout): LotSays | null;
  /** What the samples of a lot say to one another. */
  across?(samples: readonly SampleOfLot[], about: LotAbout): LotSays | null;
  /** The criteria its specifications are held against, apart from those of its series. */
  readonly criteria: readonly string[];
  /** Its tests that follow one another and are judged together; absent where it is judged sample by sample. */
  readonly series?: readonly SeriesRule[];
}
