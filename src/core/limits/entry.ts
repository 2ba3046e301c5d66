import type { UnitId } from '../quantity';
import type { Source } from '../working';

/** One value of a limit in one system: a single number, a closed range, or an open end. */
export interface LimitValue {
  readonly low?: string;
  readonly high?: string;
  readonly unit: UnitId;
}

/**
 * How a single number is meant where it is no end: `equal`: a factor, a step, a value at which something else begins;
 * `either way`: a tolerance, the same above and below.
 */
export type Sense = 'equal' | 'either way';

/**
 * `recalled`: from memory, to be checked by the laboratory against its own copy; `our choice`: proposed here, no
 * document says it; `confirmed` and `set by …`: done by a named person, with history; what a project's
 * document sets holds for that project only.
 */
export type LimitStatus =
  | 'recalled'
  | 'our choice'
  | 'confirmed'
  | 'set by the laboratory'
  | 'set by the project';

/** An entry of the register: every tolerance, window, factor and requirement that code refers to. */
export interface LimitEntry {
  readonly title: string;
  readonly group: string;
  readonly sense?: Sense;
  /** The systems' own values; `both` where the value does not depend on the system (hours, percent, factors). */
  readonly US?: LimitValue;
  readonly SI?: LimitValue;
  readonly both?: LimitValue;
  readonly source: Source;
  readonly edition: string;
  readonly status: LimitStatus;
}
