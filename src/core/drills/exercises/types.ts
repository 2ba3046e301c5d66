import type { Dial, PlacedSpecimen, PressSpace } from '../../press';
import type { ItemScore } from '../types';

/** The needle of a dial to be read. */
export interface DialTask {
  readonly kind: 'dial';
  readonly dial: Dial;
  readonly unit: 'lbf' | 'kN';
  /** Where the peak hand stands, of the full scale. */
  readonly share: number;
}

/** Spacers to be chosen for a specimen. */
export interface SpacerTask {
  readonly kind: 'spacers';
  readonly space: PressSpace;
  readonly unit: 'in' | 'mm';
}

/** A fracture to be named from its drawing. */
export interface FractureTask {
  readonly kind: 'fracture';
  readonly type: string;
}

/** A finished record with one thing wrong in it, or nothing. */
export interface RecordTask {
  readonly kind: 'record';
  readonly fault: RecordFault;
  /** The record as it stands on paper: what it says, line by line. */
  readonly lines: readonly (readonly [label: string, text: string])[];
}

/** A specimen to be broken on the simulated press. */
export interface PressTask {
  readonly kind: 'press';
  readonly specimen: PlacedSpecimen;
  /** Load that is expected, kN, and the band of the rate of load, kN/s. */
  readonly expected: number;
  readonly low: number;
  readonly high: number;
  readonly pads: boolean;
  readonly seed: number;
}

/** Something to be worked out or told from what stands on paper. */
export interface PaperTask {
  readonly kind: 'paper';
  /** The broken face of a beam, where it is read off a picture: places of the break, of its span. */
  readonly broken?: {
    readonly span: number;
    readonly unit: 'in' | 'mm';
    readonly edges: readonly [number, number, number];
  };
  /** Curves that are read, where it is read off a plot. */
  readonly curves?: {
    readonly x: string;
    readonly y: string;
    readonly lines: readonly {
      readonly name: string;
      readonly points: readonly { readonly x: number; readonly y: number }[];
    }[];
  };
  readonly lines: readonly (readonly [label: string, text: string])[];
  readonly ask: string;
  readonly help: string;
  /** To choose from; empty where a number is typed. */
  readonly options: readonly (readonly [value: string, words: string])[];
  readonly right: { readonly answer: string } | { readonly low: number; readonly high: number };
  readonly why: string;
}

export type Task = DialTask | SpacerTask | FractureTask | RecordTask | PressTask | PaperTask;

/** What can be wrong in a finished record. */
export const RECORD_FAULTS = {
  none: 'Nothing is wrong',
  area: 'The strength was worked out with another size’s area',
  peak: 'The peak hand never moved: the maximum is lost',
  caps: 'The caps were too young',
  pads: 'The pads are of the wrong hardness',
  age: 'It was broken outside its window',
  dial: 'The dial was read in the wrong direction',
} as const;
export type RecordFault = keyof typeof RECORD_FAULTS;

/** Short tasks of one kind, one after the other, for hand and eye. */
export interface Exercise {
  readonly id: string;
  readonly title: string;
  /** What is asked, in a sentence or two. */
  readonly about: string;
  /** Share of the items that is enough; items that must not be missed count besides. */
  readonly enough: number;
  tasks(seed: number): readonly Task[];
  /** @param answer as it was typed or chosen; for the press its levers as they were moved, JSON */
  judge(task: Task, answer: string, place: number): readonly ItemScore[];
}
