import type { RunSetup } from '../methods';
import type { MethodId } from '../methods/registry';
import type { System } from '../quantity';

/** What can be wrong with a drill, injected unseen: the person must notice it and say what it means. */
export const FAULTS = {
  none: 'Nothing was wrong',
  'before-water': 'Sampled before the water was in',
  'first-portion': 'A portion from the very start of the discharge',
  'early-read': 'The thermometer was read too soon',
  'fast-lift': 'The mould was lifted too fast',
  shear: 'The cone sheared',
  'wrong-rod': 'The wrong rod for this mould',
  'domed-top': 'A top that is not flat',
  'rod-strike': 'Struck off with the rod instead of the plate',
  'petcock-open': 'A petcock stood open',
  'main-valve': 'The main valve was open while pumping',
  leak: 'Liquid leaked from the meter',
  'alcohol-uncounted': 'Alcohol went in that nobody counted',
  stuck: 'Packed concrete stayed in the bowl',
  'hot-box': 'The curing box was too warm',
  'moved-early': 'The specimens were moved too early',
  'one-point': 'The crack ran through one point only',
  'held-zero': 'The indicator was zeroed with a load held',
  'pumped-fast': 'It was loaded too fast',
} as const;
export type FaultId = keyof typeof FAULTS;

/** What is done with a test at its end. */
export const DECISIONS = {
  report: 'Report it',
  remark: 'Report it with a remark',
  redo: 'Not valid: make it again on another portion or piece, while the clocks allow',
  resample: 'Not valid: discard the sample and go back to the truck',
} as const;
export type DecisionId = keyof typeof DECISIONS;

interface StepBase {
  readonly id: string;
  /** What an examiner looks for at this step. */
  readonly item: string;
  /** Missing it fails the attempt. */
  readonly starred: boolean;
  /** What is seen, heard or told at this moment. */
  readonly scene: string;
}

export interface Option {
  readonly text: string;
  readonly right: boolean;
  /** Why it is right or wrong, said afterwards. */
  readonly why: string;
}

/** What would you do now? */
export interface ChoiceStep extends StepBase {
  readonly kind: 'choice';
  readonly options: readonly Option[];
}

/** A stamp: pressed at the moment it happens. */
export interface PressStep extends StepBase {
  readonly kind: 'press';
  readonly field: string;
  readonly label: string;
  /** Seconds after the step before, when the drill does not run against the clock. */
  readonly after: number;
  /** Findings of the method that fail the item. */
  readonly fails: readonly string[];
  /** True where a second is a second; elsewhere the drill's clock runs faster than the wall's. */
  readonly real: boolean;
}

/** Readings taken off the simulated instruments. */
export interface ReadStep extends StepBase {
  readonly kind: 'read';
  /** What must be read, by field, and how far off it may be in the field's own unit. */
  readonly truth: Readonly<Record<string, string>>;
  readonly near: number;
}

/** Something that happens without the person: a helper's lift, a visit to the box. */
export interface SeenStep extends StepBase {
  readonly kind: 'seen';
  /** Stamps it sets, seconds after the step before, and readings it sets as text. */
  readonly stamps: Readonly<Record<string, number>>;
  readonly sets: Readonly<Record<string, string>>;
}

export type DrillStep = ChoiceStep | PressStep | ReadStep | SeenStep;

/** One drill as it is played: the steps with their scenes, and what is right at the end. */
export interface DrillScript {
  readonly steps: readonly DrillStep[];
  /** Readings that stand from the start. */
  readonly given: Readonly<Record<string, string>>;
  readonly setup: RunSetup;
  readonly decision: { readonly right: DecisionId; readonly why: string };
  readonly fault: FaultId;
  /** What a person may answer to the question what was wrong. */
  readonly suspects: readonly FaultId[];
}

/** What a drill is played with. */
export interface DrillWorld {
  readonly system: System;
  /** When it starts, ms since the epoch. */
  readonly startedAt: number;
  readonly fault: FaultId;
  /** A number evenly between two ends, the same for the same seed. */
  between(low: number, high: number): number;
}

export interface Drill {
  readonly id: string;
  readonly title: string;
  readonly method: MethodId;
  /** Faults that may be injected, besides none. */
  readonly faults: readonly FaultId[];
  script(world: DrillWorld): DrillScript;
}

/** What a person did in a drill. */
export interface DrillAnswers {
  /** Option chosen at each choice, by step; its place in the script's order. */
  readonly choices: Readonly<Record<string, number>>;
  /** Readings and stamps as the live screen holds them. */
  readonly values: Readonly<Record<string, string>>;
  readonly decision: DecisionId;
  readonly noticed: FaultId;
}

export interface ItemScore {
  readonly id: string;
  readonly item: string;
  readonly starred: boolean;
  readonly passed: boolean;
  readonly why: string;
}

export interface DrillScore {
  readonly items: readonly ItemScore[];
  readonly starred: number;
  readonly starredPassed: number;
  /** Every starred item, the fault and the decision. */
  readonly passed: boolean;
  readonly fault: FaultId;
}
