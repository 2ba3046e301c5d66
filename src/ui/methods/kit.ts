import type { ComponentType } from 'react';
import type { SetPlot } from '@/core/acceptance/set-rule';
import type { Limits } from '@/core/limits';
import type { Method, Picture } from '@/core/methods';
import type { Preparation } from '@/core/press';
import type { Run } from '../runsheet/run';
import type { RunSheetData } from '../runsheet/types';

/** What a method's bench is given: its picture as data. */
export interface BenchProps {
  readonly picture: Picture;
  /** Takes a reading off the picture; absent where nothing can be written. */
  readonly take?: ((field: string, text: string) => void) | undefined;
}

/** What an instrument of a step is given: the run that it reads for. */
export interface InstrumentProps {
  readonly run: Run;
  readonly data: RunSheetData;
  readonly readOnly: boolean;
}

/** What the picture of a broken specimen is given: which it is, and how the practice prepared it. */
export interface BrokenProps {
  readonly label: string;
  readonly prepared: Partial<Preparation>;
  /** What its test draws of it: how large it is. */
  readonly picture: Picture;
}

/** One specimen of a set, as the picture of the set takes it. */
export interface GroupPiece {
  readonly id: string;
  readonly label: string;
  /** Its result; null for one that is no valid test. */
  readonly value: number | null;
  /** False for one that is left out of the mean. */
  readonly used: boolean;
}

/** What the picture of a set is given. */
export interface GroupProps {
  readonly pieces: readonly GroupPiece[];
  readonly mean: number | null;
  readonly unit: string;
  /** Its specimens on two axes, as its rule works them out. */
  readonly plot: SetPlot | undefined;
}

/** What is given to what lays tests of a method over one another: each as its sample is called, the first one first. */
export interface OverlayProps {
  readonly tests: readonly {
    readonly id: string;
    readonly label: string;
    readonly of: string;
    readonly picture: Picture;
  }[];
  /** In force where the first of them was made. */
  readonly limits: Limits;
}

/** What the folder of a method holds for the pages: what its folder in core says, with its bench. */
export interface MethodFolder {
  readonly method: Method;
  readonly Bench: ComponentType<BenchProps>;
  /** Instruments that belong to this method alone, by the step they stand at. */
  readonly instruments?: Readonly<Record<string, ComponentType<InstrumentProps>>>;
  /** Those of them that stand above the readings of their step: what is watched while they are taken. */
  readonly leads?: Readonly<Record<string, ComponentType<InstrumentProps>>>;
  /** How a specimen looks that a simulated press broke, for tests that ask how it broke. */
  readonly Broken?: ComponentType<BrokenProps>;
  /** How the results of a set are drawn, where they are more than a few numbers. */
  readonly Group?: ComponentType<GroupProps>;
  /** How its tests are laid over one another, where they are. */
  readonly Overlay?: ComponentType<OverlayProps>;
  /** The bench is looked at while an instrument of the step is in use: the plot of what is being read. */
  readonly benchStays?: boolean;
}
