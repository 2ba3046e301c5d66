import type { ZoneWants } from './check';
import type { FloorPlan } from './plan';

/** A point on the plan of a floor, as its page shows it. */
export interface PointView {
  readonly id: string;
  readonly label: string;
  /** Its label without job and sample. */
  readonly short: string;
  readonly sampleId: string;
  readonly form: string;
  readonly formText: string;
  /** Share of the plan's width and height; null for one that is not placed yet. */
  readonly place: { readonly x: number; readonly y: number } | null;
  /** Work has begun there: it stays where it is. */
  readonly begun: boolean;
  /** The test that is open there, and the one that can be begun; null for neither. */
  readonly open: string | null;
  readonly next: { readonly method: string; readonly title: string } | null;
  /** What was read there last, and how that stands against what is asked. */
  readonly value: string | null;
  readonly stands: 'holds' | 'does not hold' | 'told' | null;
  readonly waits: readonly {
    readonly what: string;
    readonly opensAt: number;
    readonly closesAt: number | null;
  }[];
}

export interface PlanPage {
  readonly lotId: string;
  readonly title: string;
  readonly jobId: string;
  readonly jobText: string;
  readonly zone: string;
  readonly system: 'US' | 'SI';
  /** When it was asked for, ms since the epoch. */
  readonly now: number;
  readonly planId: string | null;
  readonly pictureId: string | null;
  readonly plan: FloorPlan | null;
  readonly points: readonly PointView[];
  readonly wants: readonly (ZoneWants & { readonly area: string })[];
  readonly rules: {
    readonly wall: number;
    readonly point: number;
    readonly flag: number;
    readonly wallText: string;
    readonly flagText: string;
    readonly pointText: string;
  };
}
