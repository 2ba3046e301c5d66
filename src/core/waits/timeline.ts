/** What was done with a specimen, from when to when; without an end it is under way. */
export interface TimelineStep {
  readonly runId: string;
  readonly method: string;
  readonly what: string;
  readonly from: number;
  readonly to: number | null;
}

/** A specimen on the timeline of its sample: what was done with it, and what it waits for. */
export interface TimelineRow {
  readonly label: string;
  readonly steps: readonly TimelineStep[];
  readonly next: readonly { readonly what: string; readonly opens: number; readonly closes: number | null }[];
}
