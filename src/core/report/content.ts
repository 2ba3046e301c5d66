import type { SetPlot, Verdict } from '../acceptance';
import type { Said } from '../material/contract';
import type { MethodDrawing, Result } from '../methods';
import type { System } from '../quantity';
import type { CurvePoint } from '../signals';
import type { WorkingLine } from '../working';
import type { ReportCourse } from './course';
import type { CurveAxis } from './curve-path';
import type { ReportedPlan } from './plan-drawing';

/** The specimen that a test was made on. */
export interface ReportedSpecimen {
  readonly label: string;
  readonly form: string;
  readonly cure: string;
  /** Age it was made for, empty where none is asked; and how old it was. */
  readonly designatedAge: string;
  readonly age: string;
}

/** A photograph as it is named; its bytes stay where they are kept. */
export interface ReportPhoto {
  readonly id: string;
  readonly name: string;
  readonly mime: string;
  readonly sha256: string;
  readonly at: string;
}

/** One test as a report shows it. */
export interface ReportTest {
  /** Absent for a test of the sample itself. */
  readonly specimen?: ReportedSpecimen;
  /** The sample it belongs to, in a report of several. */
  readonly sample?: string;
  /** What stands of it in the table of specimens, by the headings of its method. */
  readonly columns: readonly Said[];
  /** The load log it rests on, thinned to be drawn; the file itself stays whole. */
  readonly log?: {
    readonly name: string;
    readonly sha256: string;
    readonly startAt: number;
    /** What the load is drawn over: time, or the displacement of a beam that was bent by it. */
    readonly axis: CurveAxis;
    readonly points: readonly CurvePoint[];
    readonly words: string;
  };
  /** The records of temperatures it rests on, a curve for each sensor. */
  readonly recorded?: readonly (NonNullable<ReportTest['log']> & { readonly sensor: string })[];
  readonly title: string;
  readonly method: string;
  readonly attempt: number;
  readonly at: string;
  readonly by: string;
  readonly readings: readonly { readonly label: string; readonly text: string }[];
  readonly results: readonly Result[];
  /** Quantities of it that say nothing without their name. */
  readonly named?: readonly string[];
  /** What its result is of, where that is something else than what its group is made of. */
  readonly apart?: string;
  readonly lines: readonly WorkingLine[];
  readonly remarks: readonly string[];
  readonly verdicts: readonly Verdict[];
  readonly equipment: readonly string[];
  readonly valid: boolean;
  /** What its method draws of it. */
  readonly drawings?: readonly MethodDrawing[];
  /** Photographs kept with it; the PDF has them in it. */
  readonly photographs?: readonly ReportPhoto[];
  /** What somebody else decides by it: what stands on its sheet, and what is left to be filled in by hand. */
  readonly release?: {
    readonly title: string;
    readonly said: readonly Said[];
    readonly blanks: readonly string[];
    readonly words: string;
  };
}

export interface ReportSet {
  /** `Strength test at 28 d`. */
  readonly title: string;
  /** The sample it belongs to, in a report of several. */
  readonly sample?: string;
  readonly cure: string;
  readonly value: string | null;
  readonly unit: string;
  readonly state: string;
  /** True for the strength test of a mix, whose result is valid or not; others have a mean or none. */
  readonly strength: boolean;
  /** Each of it counts by itself: it comes to no one number. */
  readonly each?: true;
  readonly used: readonly string[];
  /** Valid results that its rule leaves out of the mean. */
  readonly trimmed: readonly string[];
  readonly leftOut: readonly { readonly label: string; readonly why: string }[];
  /** What follows from it: an estimate, a class. */
  readonly said: readonly Said[];
  readonly plot?: SetPlot;
  readonly lines: readonly WorkingLine[];
  readonly remarks: readonly string[];
}

/** A report as data: what the page shows, what the PDF prints, what is frozen when it is signed. */
export interface ReportContent {
  readonly schema: 2;
  readonly title: string;
  /** Who issues it, and what stands under the name; absent in what was signed before it was asked. */
  readonly laboratory?: { readonly name: string; readonly lines: readonly string[] };
  /** What it is of, in a few words: `sample PMF-007`. */
  readonly subject: string;
  /** What its tests are called: of the sample itself, and of its specimens. */
  readonly words: { readonly onSample: string; readonly onSpecimens: string };
  readonly job: {
    readonly number: string;
    readonly name: string;
    readonly owner: string;
    readonly location: string;
  };
  /** What was tested, and what was asked for. */
  readonly facts: readonly Said[];
  readonly tests: readonly ReportTest[];
  readonly waiting: readonly string[];
  readonly discarded: readonly { readonly label: string; readonly why: string }[];
  readonly sets: readonly ReportSet[];
  /** What the samples of a lot say together. */
  readonly together: {
    readonly results: readonly Result[];
    readonly lines: readonly WorkingLine[];
    readonly remarks: readonly string[];
  } | null;
  readonly verdicts: readonly (Pick<Verdict, 'criterion' | 'state' | 'sentence'> & {
    readonly of?: string;
  })[];
  /** The place as it is drawn, in the units of its job. */
  readonly plan?: ReportedPlan & { readonly system: System };
  /** What was read at the same points over time. */
  readonly courses?: readonly ReportCourse[];
  /** The certificates on file of what it was tested with. */
  readonly certificates?: readonly (ReportPhoto & { readonly of: string })[];
  /** What is still to be done where it was tested: read again, made good. */
  readonly owed?: readonly string[];
  /** What the results do not say. */
  readonly notClaimed?: readonly string[];
  readonly rounding: string;
  readonly methods: readonly string[];
  readonly limitsRevision: number;
  readonly recalledLimits: boolean;
  readonly statements: readonly string[];
}
