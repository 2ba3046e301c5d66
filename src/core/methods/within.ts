import type { Exact } from '../quantity';
import type { Conformity } from './contract';

interface Requirement {
  /** What is held against it, as a word: `slump`. */
  readonly what: string;
  /** As reported, with its unit; undefined while there is no result. */
  readonly value: { readonly number: Exact; readonly text: string } | undefined;
  readonly low?: Exact | undefined;
  readonly high?: Exact | undefined;
  /** The range in words with its unit: `3 to 5 in`. */
  readonly range: string;
  readonly source: string;
  /** What is done when it is outside; who decides stands in it. */
  readonly outside: string;
}

/** Arithmetic conformity of a fresh result: never a verdict on the load, which belongs to the purchaser's representative. */
export function conformityTo(requirement: Requirement): Conformity[] {
  const { what, value, low, high, range, source, outside } = requirement;
  const criterion = `${what} ${range}, ${source}`;
  if (!value) {
    return [{ criterion, verdict: 'not yet determinable', sentence: `Not yet determinable: ${criterion}.` }];
  }
  const side =
    low && value.number.lessThan(low)
      ? ('low' as const)
      : high && value.number.greaterThan(high)
        ? ('high' as const)
        : undefined;
  return [
    side
      ? {
          criterion,
          verdict: 'does not meet',
          sentence: `Out of tolerance: ${value.text}; asked for: ${range}. ${outside}`,
          side,
        }
      : { criterion, verdict: 'meets', sentence: `In tolerance: ${value.text}; asked for: ${range}.` },
  ];
}
