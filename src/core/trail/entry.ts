import type { TrailChange } from './words';

/** An entry of the audit trail as it is read. */
export interface TrailEntry {
  readonly id: number;
  readonly at: Date;
  readonly who: string;
  /** What was done, by the name of its use case; empty where it was done in the database itself. */
  readonly useCase: string;
  readonly action: string;
  /** What kind of row it is of. */
  readonly word: string;
  /** The specimen, sample, report it is of, where it says one. */
  readonly of: string;
  readonly changes: readonly TrailChange[];
  readonly hash: string;
}
