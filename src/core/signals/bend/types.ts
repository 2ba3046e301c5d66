/** Version of the algorithm, kept with every analysis. */
export const BEND_VERSION = 2;

/** A record of force over displacement, N and mm, in the order of time. */
export interface BendRecord {
  readonly displacement: Float64Array;
  readonly force: Float64Array;
}

/** What a record is analysed with. */
export interface BendRequest extends BendRecord {
  /** What was recorded: the travel of the crosshead has a toe that is cut off; a net deflection or an opening has none. */
  readonly toe: boolean;
  /** Displacements, mm, at which force and energy are wanted. */
  readonly at: readonly number[];
  /** The highest force up to this displacement is wanted: the limit of proportionality of a notched beam, mm. */
  readonly upTo?: number | undefined;
  /** Where one part of the displacement ends that is driven at a speed of its own, mm; absent: it is all one. */
  readonly edges?: readonly number[];
}

/** A sudden fall of the force. */
export interface Drop {
  readonly at: number;
  readonly peak: number;
  readonly trough: number;
  readonly kind: 'seating' | 'crack' | 'after the peak';
}

export const BEND_TROUBLES = [
  'empty',
  'no peak',
  'starts late',
  'not at zero',
  'few points',
  'no linear range',
  'several cracks',
  'goes back',
] as const;
export type BendTrouble = (typeof BEND_TROUBLES)[number];

/** A force with the displacement it was at, corrected for the toe; N and mm. */
export interface BendPoint {
  readonly force: number;
  readonly at: number;
}

/** What a record of bending came to. Displacements are corrected for the toe where it is cut off; null where it cannot be told. */
export interface BendAnalysis {
  readonly version: number;
  readonly rows: number;
  readonly troubles: readonly BendTrouble[];
  /** Robust noise of the force, N. */
  readonly noise: number;
  /** Rows that jumped by themselves, and what stands for them. */
  readonly spikes: readonly { readonly index: number; readonly was: number; readonly now: number }[];
  readonly drops: readonly Drop[];
  readonly peak: BendPoint;
  /** The first point from which the force did not go on rising. */
  readonly firstPeak: BendPoint | null;
  readonly firstCrack: (BendPoint & { readonly by: 'drop' | 'deviation' | 'peak' }) | null;
  /** Where the record leaves its straight line. */
  readonly deviation: BendPoint | null;
  /** N/mm with its standard error, and the forces between which it was taken. */
  readonly stiffness: {
    readonly k: number;
    readonly error: number;
    readonly from: number;
    readonly to: number;
    readonly r2: number;
  } | null;
  /** Displacement that the straight line begins at, mm of the record. */
  readonly origin: number;
  /** How far the record goes. */
  readonly end: number;
  /** Energies in N·mm. */
  readonly energy: { readonly crack: number | null; readonly peak: number; readonly at85: number | null };
  /** Where the force is 85 % of the peak on the falling side. */
  readonly at85: number | null;
  /** Whether it fell under half of the peak at once. */
  readonly brittle: boolean;
  readonly upTo: BendPoint | null;
  readonly points: readonly {
    readonly at: number;
    readonly force: number | null;
    readonly energy: number | null;
  }[];
}
