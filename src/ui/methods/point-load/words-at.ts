/** So long before the end of its time it is said to pump faster; so long before its beginning, slower. Our choice. */
const NEAR_END_S = 10;
const NEAR_START_S = 2;

/** What the seconds of a load say: too soon to fail, in its time, near its end, too late. */
export function wordsAt(seconds: number, soonest: number, latest: number): { words: string; good: boolean } {
  if (seconds > latest) return { words: `✕ Past ${latest} s: it counts only with a reason`, good: false };
  if (seconds >= latest - NEAR_END_S)
    return { words: `Faster: ${Math.ceil(latest - seconds)} s left`, good: false };
  if (seconds >= soonest) return { words: `✓ Now it may fail, until ${latest} s`, good: true };
  return seconds >= soonest - NEAR_START_S
    ? { words: `Slower, if it is near its load: not before ${soonest} s`, good: false }
    : { words: `Not before ${soonest} s`, good: true };
}
