import type { Verdict } from '../acceptance/criterion';
import type { SetRule } from '../acceptance/set-rule';
import type { Limit, LimitId } from '../limits';
import type { CountPlan } from '../moulds';
import type { DayHands } from '../planner';
import type { Behaviour, PlacedPiece } from '../press';
import type { Exact, System, UnitId } from '../quantity';
import type { Drawing } from '../report/drawing';
import type { BendAsked } from '../signals';
import type { Lane, Wait } from '../waits/wait';
import type { Finding, Severity, Source, WorkingLine } from '../working';
import type { FactSources, Facts } from './facts';
import type { RunInput } from './fields';
import type { RunSetup } from './setup';

/** A result of a run, ready to print and to compute with. */
export interface Result {
  readonly quantity: string;
  readonly symbol: string;
  /** Unrounded, decimal text of up to 15 significant digits. Means of several specimens are formed from it. */
  readonly value: string;
  /** Rounded once by the method's rule, plain decimal text. */
  readonly reported: string;
  /** The reported value as printed, `4,640`. */
  readonly text: string;
  readonly unit: UnitId;
  /** The specimen it is of, by its label, where the test is of a batch. */
  readonly about?: string;
  /** It is only known to be so much or more, or so much or less; then `text` says so. */
  readonly bound?: 'at least' | 'at most';
  /** Why it can still change: it decides nothing until then. */
  readonly provisional?: string;
  /** The same in the other system, converted from the unrounded value; for reading only. */
  readonly converted?: { readonly text: string; readonly unit: UnitId };
}

/** What the method draws, as data; the interface draws it. */
export interface Picture {
  readonly kind: string;
  readonly values: Readonly<Record<string, number | string | boolean | null>>;
}

/** A drawing that a report shows of a test, with what has to be said beside it. */
export interface MethodDrawing {
  readonly title: string;
  readonly drawing: Drawing;
  readonly notes: readonly string[];
}

/** A quantity that a method gives. */
export interface Yield {
  readonly quantity: string;
  readonly symbol: string;
  /** It is shown in lists where the first one is not there. */
  readonly instead?: true;
  /** The number alone does not say what it is: its name stands under it. */
  readonly named?: true;
  /** It is of something else than what a group is made of: its specimen counts in none. */
  readonly apart?: true;
}

export interface Outcome {
  readonly results: readonly Result[];
  readonly lines: readonly WorkingLine[];
  readonly findings: readonly Finding[];
  /** The results of this test held against what is asked, by itself. */
  readonly verdicts: readonly Verdict[];
  readonly picture: Picture;
}

/** A time of a run from one of its readings to another: one definition gives the countdown of its step, finding and wait. */
export interface Clock {
  readonly title: string;
  /** `age`: the specimen's age window; otherwise the instant field that starts it. */
  readonly from: 'age' | string;
  /** The instant field that ends it; absent: the test itself. */
  readonly to?: string;
  readonly limit?: LimitId;
  /** What it means that it ended too late or too early; absent: it is only counted. */
  readonly means?: {
    readonly severity: Severity;
    readonly late?: string;
    readonly early?: string;
    readonly needsReason?: boolean;
    readonly beforeLoad?: boolean;
  };
  /** Only where it is so, for what it means and what is waited for. */
  readonly when?: (setup: RunSetup) => boolean;
  /** What ends it, as an order, and where: waited for from the end of its least time to the end of its most. */
  readonly waits?: Pick<Wait, 'what' | 'lane'>;
}

export interface Step {
  readonly id: string;
  readonly title: string;
  readonly phase: 'before' | 'test' | 'after';
  readonly instruction: string;
  /** The readings taken at this step, by field name. */
  readonly fields: readonly string[];
  readonly caution?: string;
  readonly clock?: Clock;
  /** Only where it is so; what is read at it is then asked for of nobody, so none of it can be required. */
  readonly when?: (setup: RunSetup) => boolean;
}

/** One thing to know before starting. */
export interface PlanItem {
  readonly label: string;
  readonly text: string;
  readonly note?: string;
}

/** How a specimen is driven by its displacement; displacements in mm, as a record has them. */
export interface Driven {
  /** What is read and driven by, as it is called. */
  readonly what: string;
  /** It is read on the specimen itself, not at the crosshead. */
  readonly own: boolean;
  /** The parts of the displacement that have a speed of their own: where each ends (the last: null), and the band. */
  readonly parts: readonly { readonly to: number | null; readonly word: string; readonly speed: Limit }[];
  /** Where it is read, with what stands there; where the record may end, null where it is broken through. */
  readonly marks: readonly (readonly [at: number, word: string])[];
  readonly end: number | null;
  readonly behaves: Behaviour;
}

/** How a specimen is loaded in a press; lengths in in or mm, loads in lbf or kN, as the run's system. */
export interface PressTest {
  /** What the load is divided by, in² or mm², and the factor to the unit of the stress: 1 for lbf, 1000 for kN. */
  readonly area: Exact;
  readonly factor: Exact;
  /** The band of the rate: of a stress, or of the load itself. */
  readonly band: Limit;
  /** Where the band counts: in the second half of loading, or from the beginning. */
  readonly from: 'half' | 'start';
  /** What the time from half of the maximum to the maximum is held against, where it is. */
  readonly halves?: Limit;
  /** Load the specimen will probably take, where anything is known of it. */
  readonly expected?: Exact | undefined;
  /** Part of the maximum that the rate is told from, by a line through all its readings; absent: by two points, at half and nine tenths. */
  readonly judged?: Limit;
  /** It breaks at once at its peak. */
  readonly snaps?: true;
  /** It is driven by its displacement, and how: no rate of the load is kept. */
  readonly driven?: Driven;
  /** A rate outside the band is reported only with a reason. */
  readonly strict?: true;
  /** Size that meets the bearing faces: diameter, or side. */
  readonly width?: Exact | undefined;
  /** True where that is the diameter of a cylinder standing upright. */
  readonly round?: boolean;
  /** Height in the press, without what is put on its ends. */
  readonly height?: Exact | undefined;
  readonly ends: 'pads' | 'bonded' | 'bare';
  /** True when the area is of this specimen as measured, not of its nominal size. */
  readonly measured: boolean;
}

/** Where a method meets the press, by the names of its steps and readings. */
export interface PressUse<I extends RunInput = RunInput> {
  readonly steps: { readonly setup: string; readonly load: string };
  readonly fields: {
    readonly machine: string;
    readonly load: string;
    readonly at: string;
    readonly rate?: string;
    readonly spacers?: string;
    /** Of what is driven by its displacement: load at the first crack that is seen, and how it ended. */
    readonly crack?: string;
    readonly ended?: string;
  };
  /** The test as far as it is known: undefined while nothing is known of the specimen's size. */
  test(input: I, setup: RunSetup): PressTest | undefined;
}

/** Of which of its specimens a batch speaks, and what stands with all of them. */
export interface BatchAbout {
  readonly label: string;
  /** The batch, as it is called. */
  readonly batch: string;
  /** What its own test found that must be said with every specimen of it. */
  readonly remarks: readonly string[];
}

/** A column of a table of specimens. */
export interface Column {
  readonly heading: string;
  readonly of: readonly string[];
  readonly first?: true;
}

export interface Method<I extends RunInput = RunInput> {
  readonly id: string;
  readonly title: string;
  readonly designations: readonly Source[];
  readonly runOn: 'specimen' | 'sample' | 'lot' | 'batch';
  /** Made again without a word, as readings follow one another; otherwise it takes a reason. A broken specimen never. */
  readonly again?: 'freely';
  /** What its button says on the page of its lot. */
  readonly begin?: string;
  /** How it keeps one person busy, where a day of several tests is planned. */
  readonly day?: DayHands;
  /** Of a method that makes the specimens of a batch ready together. */
  readonly batch?: {
    /** The letters its batches are numbered with. */
    readonly letters: string;
    /** What its button says, and what the specimens are then. */
    readonly begin: string;
    readonly done: string;
    /** True where it makes ends ready for a press: planned back from the windows of specimens. */
    readonly ends?: true;
    /** What it has to know of each of its specimens, of what their own tests are told. */
    readonly facts?: FactSources;
    /**
     * What it says of one of its specimens to that specimen's own test, by name, from its readings so far; nothing before it
     * was done.
     */
    tells(input: I, about: BatchAbout, setup: RunSetup | undefined): Facts;
  };
  /** The forms of specimens it takes, for methods that run on one, and the role they have where a form has several. */
  readonly forms?: readonly string[];
  readonly role?: string;
  /** Of several methods that take a form: whether what is asked for, in words, is told by this one. */
  readonly plannedWhen?: (said: (name: string) => string | undefined) => boolean;
  /** What it needs to know and does not read itself, by the names it gives it. */
  readonly facts?: FactSources;
  /**
   * Facts without which it cannot be completed, by their names, with what they are called; once all are there and it was read
   * whole, it waits in a place of work to be completed.
   */
  readonly awaits?: {
    readonly lane: Lane;
    readonly facts: Readonly<
      Record<string, string | { readonly what: string; readonly when: (known: Facts) => boolean }>
    >;
  };
  /** What it gives; the first is shown in lists and taken into series. */
  readonly yields: readonly [Yield, ...Yield[]];
  readonly Input: new () => I;
  readonly steps: readonly Step[];
  /** The instant field that says when the test was made; it decides which verification of the equipment counts. */
  readonly performedAt: string;
  /**
   * Times that cannot be in another order, by the names of their fields; `since` is the making of the specimen. Times
   * that stamp an event of the sample clock are held in order by `core/clocks`.
   */
  readonly sequence?: readonly (readonly string[])[];
  /** True for tests that acceptance asks a certified technician for. */
  readonly needsCard?: boolean;
  /** False for a test that leaves its specimen whole, to be broken afterwards. */
  readonly spends?: false;
  /** It tests its specimen though it leaves it whole: nothing ever spends it, as a hole in a floor that is read. */
  readonly tests?: true;
  /** Made on the pieces of a specimen that is broken, and never before. */
  readonly pieces?: true;
  /** Made where the lot lies, though on specimens or a batch of them: who works in the field only makes it too. */
  readonly onSite?: true;
  /**
   * Filled in layers: what is counted meanwhile, from the readings so far, by the names of their fields; null while they
   * do not say it yet.
   */
  counts?(values: Readonly<Record<string, string>>, system: System, setup: RunSetup): CountPlan | null;
  /** What is waited for by its readings so far: projected with every reading, for the lists of the day. */
  waits?(input: I, setup: RunSetup): readonly Wait[];
  /** How it is loaded, for methods that a press carries out. */
  readonly press?: PressUse<I>;
  /** What is asked of its record over the displacement, for methods that bend by it; undefined while it is not known. */
  readonly bends?: (input: I, setup: RunSetup) => BendAsked | undefined;
  /**
   * For methods loaded by a pump worked by hand: the reading that names its frame, and what a stand-in's piece
   * bears, kN, by its readings so far. @param share 0 to 1, where it lies among what such pieces bear
   */
  readonly handPumped?: {
    readonly frame: string;
    bears(input: I, share: number, setup: RunSetup): Pick<PlacedPiece, 'splits' | 'opens' | 'crackAt'>;
  };
  /** What the results of several specimens say together. */
  readonly set?: SetRule;
  /**
   * What stands of it in a table of specimens besides its result: the readings of a column by their names, lines of its
   * working by their symbols, `=D`, a result in its words, `*n`, or what it was told, `~capped`; `first` takes the first that is there, else all that are.
   */
  readonly columns?: readonly Column[];
  /**
   * What somebody else decides by it, with a sheet in the report to be filled in by hand: the readings that stand on it, by
   * their names, and what is left blank.
   */
  readonly release?: {
    readonly title: string;
    readonly readings: readonly string[];
    readonly blanks: readonly string[];
    readonly words: string;
  };
  /** What a report draws of it, from its picture: on the page and in the PDF alike. */
  draws?(picture: Picture): readonly MethodDrawing[];
  /** What its result does not say, in sentences that stand in the report. */
  readonly notClaimed?: readonly string[];
  /** The reading that is taken before the result is shown, so that the number does not sway the eye: how it broke. */
  readonly looksFirst?: string;
  /** What to know before starting: expected load, rate in the machine's units, limits that will be held against. */
  plan(system: System, setup: RunSetup): readonly PlanItem[];
  /** Pure. Takes what is there: a half-filled input gives the lines and findings that are already certain. */
  compute(input: I, setup: RunSetup): Outcome;
  /** A complete example input and setup, for the description and the tests. */
  example(system: System): { readonly input: Record<string, unknown>; readonly setup: RunSetup };
}
