import type { Verdict } from '../acceptance';
import type { Conformity, Result } from '../methods';
import { withUnit } from '../quantity';
import type { CurvePoint } from '../signals';
import type { WorkingLine } from '../working';

export * from './curve-path';

/** One test as a report shows it. */
export interface ReportTest {
  /** The load log it rests on, thinned to be drawn; the file itself stays whole. */
  readonly log?: {
    readonly name: string;
    readonly sha256: string;
    readonly startAt: number;
    readonly points: readonly CurvePoint[];
    readonly words: string;
  };
  readonly title: string;
  readonly method: string;
  readonly attempt: number;
  readonly at: string;
  readonly by: string;
  readonly readings: readonly { readonly label: string; readonly text: string }[];
  readonly results: readonly Result[];
  readonly lines: readonly WorkingLine[];
  readonly remarks: readonly string[];
  readonly conformity: readonly Conformity[];
  readonly equipment: readonly string[];
  readonly valid: boolean;
}

export interface ReportSpecimen {
  readonly label: string;
  readonly size: string;
  readonly cure: string;
  readonly designatedAge: string;
  readonly age: string;
  readonly castAt: string;
  readonly test: ReportTest;
}

export interface ReportSet {
  readonly age: string;
  readonly cure: string;
  readonly value: string | null;
  readonly unit: string;
  readonly state: string;
  /** False for younger ages, which inform and are no strength test. */
  readonly designated: boolean;
  /** What they are, where they are no cylinders: `Grout prisms`. Absent in reports of before. */
  readonly what?: string;
  readonly used: readonly string[];
  readonly leftOut: readonly { readonly label: string; readonly why: string }[];
  readonly lines: readonly WorkingLine[];
  readonly remarks: readonly string[];
}

/** What a set is called: by what it is of, or by whether it is the age that the strength is asked for. */
export function setName(set: { readonly what?: string; readonly designated: boolean }): string {
  return set.what ?? (set.designated ? 'Strength test' : 'For information');
}

/** A report as data: what the page shows, what the PDF prints, what is frozen when it is signed. */
export interface ReportContent {
  readonly schema: 1;
  readonly job: {
    readonly number: string;
    readonly name: string;
    readonly owner: string;
    readonly location: string;
  };
  readonly mix: {
    readonly code: string;
    readonly title: string;
    readonly specified: string;
    readonly age: string;
  };
  readonly placement: {
    readonly number: number;
    readonly element: string;
    readonly location: string;
    readonly volume: string;
  };
  readonly sample: {
    readonly label: string;
    readonly ticket: string;
    readonly truck: string;
    readonly sampledAt: string;
    readonly sampledBy: string;
    readonly remarks: string;
  };
  readonly fresh: readonly ReportTest[];
  readonly specimens: readonly ReportSpecimen[];
  readonly waiting: readonly string[];
  readonly discarded: readonly { readonly label: string; readonly why: string }[];
  readonly sets: readonly ReportSet[];
  readonly verdicts: readonly Pick<Verdict, 'criterion' | 'state' | 'sentence'>[];
  readonly rounding: string;
  readonly methods: readonly string[];
  readonly limitsRevision: number;
  readonly recalledLimits: boolean;
  readonly statements: readonly string[];
}

/** What a test came to, as it is printed; one that has no number of its own is done. */
export function resultText({ results, valid }: Pick<ReportTest, 'results' | 'valid'>): string {
  if (!valid) return 'no valid result';
  const [result] = results;
  return result ? withUnit(result.text, result.unit) : 'done';
}

/** Every departure and remark of a report, each with what it is about, in the order of the report. */
export function remarksOf({
  fresh,
  specimens,
  sets,
}: Pick<ReportContent, 'fresh' | 'specimens' | 'sets'>): string[] {
  return [
    ...fresh.flatMap((test) => test.remarks.map((text) => `${test.title}: ${text}`)),
    ...specimens.flatMap(({ label, test }) => test.remarks.map((text) => `${label}: ${text}`)),
    ...sets.flatMap((set) => set.remarks.map((text) => `${setName(set)} at ${set.age}: ${text}`)),
  ];
}

/** How a specimen broke and what was on its ends, in the words of its readings. */
export function breakWords(test: ReportTest): string {
  const wanted = ['Ends', 'Fracture type', 'Fracture', 'Failure pattern', 'Fracture in words'];
  return wanted
    .flatMap((label) => test.readings.find((each) => each.label === label)?.text ?? [])
    .filter((text) => text !== '')
    .join('; ');
}
