/** A pull as it was recorded: seconds and stress, in the order of time. */
export interface PullTrace {
  readonly seconds: readonly number[];
  readonly stress: readonly number[];
}

/** How it was pulled. */
export interface Pulled {
  /** Greatest stress. */
  readonly peak: number;
  /** Mean rate from start to peak, and the steepest over one second, a second. */
  readonly rate: number;
  readonly steepest: number;
  readonly seconds: number;
  /** Longest time without a rise, s. */
  readonly held: number;
}

/**
 * Rate, time and pauses of a pull.
 * @param start share of the greatest stress up to which its beginning is left aside, 0 to 1
 * @returns undefined for fewer than two readings or none above nothing
 * Source: our choice: from the last reading at a tenth of the peak to the peak.
 */
export function pulledOf({ seconds, stress }: PullTrace, start: number): Pulled | undefined {
  const peak = Math.max(...stress);
  if (seconds.length < 2 || !(peak > 0)) return undefined;
  const end = stress.indexOf(peak);
  const low = stress.slice(0, end + 1).findLastIndex((each) => each <= start * peak);
  const first = Math.max(0, low);
  const [from, to] = [seconds[first] ?? 0, seconds[end] ?? 0];
  if (!(to > from)) return undefined;
  let [steepest, held, since] = [0, 0, from];
  for (let place = first + 1; place <= end; place += 1) {
    const now = seconds[place] ?? 0;
    // The reading a second before, or the neighbour where they lie farther apart.
    let back = place - 1;
    while (back > first && now - (seconds[back - 1] ?? 0) <= 1 + 1e-9) back -= 1;
    const over = Math.max(1, now - (seconds[back] ?? 0));
    steepest = Math.max(steepest, ((stress[place] ?? 0) - (stress[back] ?? 0)) / over);
    if ((stress[place] ?? 0) > (stress[place - 1] ?? 0)) since = now;
    else held = Math.max(held, now - since);
  }
  return {
    peak,
    rate: (peak - (stress[first] ?? 0)) / (to - from),
    steepest,
    seconds: to - from,
    held,
  };
}
