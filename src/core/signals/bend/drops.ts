import { lineThrough } from './line';
import type { BendRecord } from './types';

/** Our choices: how far a fall reaches, mm, its least depth, and what tells a slip of the seat from a crack. */
const REACH = 0.1;
const NOISES = 5;
const SHARE = 0.02;
const SEATED_BELOW = 0.2;
/** Below this share of the peak a fall is noise of a beam that is hardly touched. */
const LEAST = 0.03;
const SAME_SLOPE = 0.9;

/** A sudden fall, by the places of its peak and its trough. */
export interface FoundDrop {
  readonly peak: number;
  readonly trough: number;
  readonly kind: 'seating' | 'crack' | 'after the peak';
}

/**
 * Sudden falls of the force: by five noises or two percent within a tenth of a millimetre from a maximum just before.
 * @param displacement never falling
 * @param peakIndex falls that begin later are told apart: there both slopes are negative, and say nothing
 * Source: our choice.
 */
export function dropsIn({ displacement, force }: BendRecord, peakIndex: number, noise: number): FoundDrop[] {
  const most = force[peakIndex] ?? 0;
  const found: FoundDrop[] = [];
  // Places of the window before, their forces falling: the first is its maximum.
  let window: number[] = [];
  let head = 0;
  for (let index = 0; index < force.length; index += 1) {
    const [x, value] = [displacement[index] ?? 0, force[index] ?? 0];
    while (head < window.length && x - (displacement[window[head] ?? 0] ?? 0) > REACH) head += 1;
    const top = window[head];
    const high = top === undefined ? Number.NEGATIVE_INFINITY : (force[top] ?? 0);
    if (high >= LEAST * most && top !== undefined && high - value >= Math.max(NOISES * noise, SHARE * high)) {
      const trough = lowestFrom({ displacement, force }, index, (displacement[top] ?? 0) + REACH);
      found.push({ peak: top, trough, kind: kindOf({ displacement, force }, top, trough, peakIndex, most) });
      [window, head, index] = [[trough], 0, trough];
      continue;
    }
    while (window.length > head && (force[window.at(-1) ?? 0] ?? 0) <= value) window.pop();
    window.push(index);
  }
  return found;
}

/** The lowest sample from a place on, up to a displacement. */
function lowestFrom({ displacement, force }: BendRecord, from: number, until: number): number {
  let lowest = from;
  for (let index = from; index < force.length && (displacement[index] ?? 0) <= until; index += 1)
    if ((force[index] ?? 0) < (force[lowest] ?? 0)) lowest = index;
  return lowest;
}

/** A slip of the seat goes on as steeply as before, or comes early; a crack does not. */
function kindOf(
  record: BendRecord,
  peak: number,
  trough: number,
  peakIndex: number,
  most: number,
): FoundDrop['kind'] {
  if (peak > peakIndex) return 'after the peak';
  if ((record.force[peak] ?? 0) < SEATED_BELOW * most) return 'seating';
  const [from, to] = [record.displacement[peak] ?? 0, record.displacement[trough] ?? 0];
  let [first, last] = [peak, trough];
  while (first > 0 && from - (record.displacement[first - 1] ?? 0) <= REACH) first -= 1;
  while (last < record.force.length - 1 && (record.displacement[last + 1] ?? 0) - to <= REACH) last += 1;
  const [before, after] = [lineThrough(record, first, peak), lineThrough(record, trough, last)];
  return before && after && before.k > 0 && after.k / before.k >= SAME_SLOPE ? 'seating' : 'crack';
}
