/** What taps at the numbered marks of a dial say of the rate. */
export interface TapRates {
  /** Load a second between each tap and the one before. */
  readonly each: readonly number[];
  /** From the first tap to the last; null while there are too few to be a record. */
  readonly mean: number | null;
}

/** Taps that make a record: two intervals tell a slip of the thumb from a rate. */
const LEAST = 3;

/**
 * The rate of load by a tap whenever the hand passes the next numbered mark.
 * @param seconds of the taps, rising
 * @param major load between numbered marks
 * @returns rates in the unit of the load a second
 * Source: arithmetic; fewer than three taps are no record: our choice.
 */
export function tapRates(seconds: readonly number[], major: number): TapRates {
  const each = seconds.slice(1).flatMap((at, index) => {
    const passed = at - (seconds[index] ?? at);
    return passed > 0 ? [major / passed] : [];
  });
  const [first, last] = [seconds[0], seconds.at(-1)];
  const whole = first === undefined || last === undefined ? 0 : last - first;
  return {
    each,
    mean: seconds.length >= LEAST && whole > 0 ? (major * (seconds.length - 1)) / whole : null,
  };
}
