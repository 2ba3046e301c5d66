import { type Verdict, verdictWith } from '../acceptance/criterion';
import type { Exact } from '../quantity';

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

/** A fresh result held against a range, as arithmetic: never a verdict on the load, which belongs to the purchaser's representative. */
export function heldWithin(requirement: Requirement): Verdict[] {
  const { what, value, low, high, range, source, outside } = requirement;
  const criterion = `${what} ${range}, ${source}`;
  if (!value)
    return [
      verdictWith({
        criterion,
        limit: range,
        state: 'not yet determinable',
        sentence: `Not yet determinable: ${criterion}.`,
      }),
    ];
  const below = low && value.number.minus(low);
  const above = high?.minus(value.number);
  const side = below?.isNegative() ? 'low' : above?.isNegative() ? 'high' : undefined;
  const margin = below && (!above || below.lessThan(above)) ? below : above;
  return [
    verdictWith({
      criterion,
      limit: range,
      statistic: value.number.toFixed(),
      margin: margin?.toFixed() ?? null,
      ...(side
        ? {
            state: 'does not meet',
            sentence: `Out of tolerance: ${value.text}; asked for: ${range}. ${outside}`,
            side,
          }
        : { state: 'meets', sentence: `In tolerance: ${value.text}; asked for: ${range}.` }),
    }),
  ];
}
