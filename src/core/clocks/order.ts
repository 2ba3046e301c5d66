import type { EventId, Stamps } from './events';

/** What cannot happen in another order, whatever went wrong: each of a row after the ones before it. */
const SEQUENCES: readonly Sequence[] = [
  ['batched', 'arrived', 'discharge-start', 'discharge-end'],
  ['batched', 'water-added', 'remixed'],
  ['first-portion', 'final-portion', 'composite'],
  ['thermometer-in', 'temperature-read'],
  ['final-portion', 'slump-fill', 'slump-struck', 'lift-start', 'lift-end', 'slump-read'],
  ['final-portion', 'flow-fill', 'flow-lift-start', 'flow-lift-end', 'flow-read'],
  ['flow-lift-start', 'flow-ring', 'flow-read'],
  ['final-portion', 'air-fill', 'air-struck', 'lid-on', 'pump-stop', 'gauge-trimmed', 'air-read'],
  [
    'air-struck',
    'shake-start',
    'shake-end',
    'roll-start',
    'roll-end',
    'meter-standing',
    'meter-stable',
    'air-read',
  ],
  ['final-portion', 'density-weighed'],
  ['final-portion', 'moulding-start', 'moulded', 'covered'],
  ['moulded', 'in-initial-cure'],
  ['moulded', 'final-set'],
  ['moulded', 'collected', 'left-site', 'received', 'in-final-cure'],
  ['moulded', 'demoulded'],
  ['moulded', 'stored-damp', 'soaking', 'test-begun'],
];

/** A pair of moments of which the later one is said to have been the earlier. */
export interface OutOfOrder {
  readonly before: EventId;
  readonly after: EventId;
}

/** A row of events that cannot happen in another order. */
export type Sequence = readonly EventId[];

/** The rows in which one of some events stands. */
export function sequencesWith(events: Iterable<EventId>): readonly Sequence[] {
  const wanted = new Set(events);
  return SEQUENCES.filter((row) => row.some((event) => wanted.has(event)));
}

/**
 * Moments that stand in an order in which they cannot have happened, the nearest of each row.
 * @param stamps instants, ms since the epoch
 * @param rows those to hold them against; all when not given
 * Source: common practice, no source.
 */
export function outOfOrder(stamps: Stamps, rows: readonly Sequence[] = SEQUENCES): OutOfOrder[] {
  let found: OutOfOrder[] | undefined;
  for (const row of rows) {
    let before: EventId | undefined;
    for (const after of row) {
      const at = stamps[after];
      if (at === undefined) continue;
      if (before !== undefined && second(at) < second(stamps[before])) {
        found ??= [];
        if (!found.some((pair) => pair.before === before && pair.after === after))
          found.push({ before, after });
      }
      before = after;
    }
  }
  return found ?? [];
}

/** Stamps are judged to the second, the finest that is typed. */
function second(at: number | undefined): number {
  return Math.floor((at ?? 0) / 1000);
}
