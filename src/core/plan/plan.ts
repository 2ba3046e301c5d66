import type { Outline, Spot } from './geometry';

/** A zone on a plan: the sample it is, its outline, and which of its sides are exterior walls. */
export interface PlanZone {
  readonly sampleId: string;
  readonly outline: Outline;
  readonly walls: readonly number[];
}

/** Where nothing may be drilled: tendons, tubes, heating. */
export interface Corridor {
  readonly what: string;
  readonly outline: Outline;
}

/** A place that wants a test whatever the count says: a low spot, the last pour, where water stood. */
export interface Flag {
  readonly what: string;
  readonly at: Spot;
}

/** A floor as it is drawn; m. */
export interface FloorPlan {
  readonly width: number;
  readonly height: number;
  readonly zones: readonly PlanZone[];
  readonly corridors: readonly Corridor[];
  readonly flags?: readonly Flag[];
  /** Nothing of it is moved any more. */
  readonly locked: boolean;
}

/** A point on a plan. */
export interface PlanPoint {
  readonly label: string;
  readonly sampleId: string;
  readonly form: string;
  readonly at: Spot;
}

/** Distances that places are held to, m; by the register. */
export interface PlanRules {
  /** A point by each exterior wall lies no farther from it. */
  readonly wall: number;
  /** A point for each flag lies no farther from it. */
  readonly flag: number;
  /** From an earlier point. */
  readonly point: number;
}

/** A plan with nothing on it, of a room of a size. */
export function emptyPlan(width: number, height: number): FloorPlan {
  return { width, height, zones: [], corridors: [], locked: false };
}
