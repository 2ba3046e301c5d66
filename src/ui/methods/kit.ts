import type { ComponentType } from 'react';
import type { Method, Picture } from '@/core/methods';
import type { RunSheetData } from '../runsheet/types';
import type { Run } from '../runsheet/use-run';

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

/** What the folder of a method holds for the pages: what its folder in core says, with its bench. */
export interface MethodFolder {
  readonly method: Method;
  readonly Bench: ComponentType<BenchProps>;
  /** Instruments that belong to this method alone, by the step they stand at. */
  readonly instruments?: Readonly<Record<string, ComponentType<InstrumentProps>>>;
  /** The bench is looked at while an instrument of the step is in use: the plot of what is being read. */
  readonly benchStays?: boolean;
}
