import type { UnitId } from '../quantity';
import type { Source } from '../working';

/** One value of a limit in one system: a single number, a closed range, or an open end. */
export interface LimitValue {
  readonly low?: string;
  readonly high?: string;
  readonly unit: UnitId;
}

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
  /** The systems' own values; `both` where the value does not depend on the system (hours, percent, factors). */
  readonly US?: LimitValue;
  readonly SI?: LimitValue;
  readonly both?: LimitValue;
  readonly source: Source;
  readonly edition: string;
  readonly status: LimitStatus;
}

const unknownEdition = 'edition to be named by the laboratory';

export type Ends = { low?: string; high?: string };
/** Makes an entry of the register: a published rule is `recalled` until a laboratory confirms it. */
export function entry(
  group: string,
  title: string,
  source: Source,
  values: { US?: LimitValue; SI?: LimitValue; both?: LimitValue },
): LimitEntry {
  const published = source.kind === 'standard';
  return {
    group,
    title,
    source,
    edition: published ? unknownEdition : '',
    status: source.kind === 'our choice' ? 'our choice' : 'recalled',
    ...values,
  };
}
/** A value that does not depend on the system. */
export function both(ends: Ends, unit: UnitId): { both: LimitValue } {
  return { both: { ...ends, unit } };
}
/** The two systems' own values. */
export function twin(us: Ends, usUnit: UnitId, si: Ends, siUnit: UnitId): { US: LimitValue; SI: LimitValue } {
  return { US: { ...us, unit: usUnit }, SI: { ...si, unit: siUnit } };
}
export const max = (high: string): Ends => ({ high });
export const min = (low: string): Ends => ({ low });
export const range = (low: string, high: string): Ends => ({ low, high });
