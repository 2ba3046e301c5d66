import type { LimitId } from '../limits';
import type { Severity } from '../working';

/** A reading held against a row of the register: what is said where it lies outside. */
export interface Held extends Pick<Means, 'severity' | 'action' | 'needsReason' | 'beforeLoad'> {
  readonly limit: LimitId;
  /** What the reading is said after: `Upside down for` 7 s. */
  readonly what: string;
}

/** What an answer means by itself, whatever else is read: said where the answer is offered. */
export interface Means {
  readonly id: string;
  readonly severity: Severity;
  readonly message: string;
  readonly action: string;
  readonly remark?: string;
  readonly needsReason?: boolean;
  readonly beforeLoad?: boolean;
  /** The row that it is held against. */
  readonly limit?: LimitId;
}
