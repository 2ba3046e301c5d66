import type { EventId, Stamps } from '@/core/clocks';
import { fieldsOf } from '@/core/methods';
import type { Run } from '../runsheet/run';

/** Where an event is stamped: the run and its field. */
export interface StampPlace {
  readonly runId: string;
  readonly run: Run;
  readonly field: string;
}

/** The place of every event among the runs of a sample; of a test made again, the last attempt. */
export function stampPlaces(runs: ReadonlyMap<string, Run>): ReadonlyMap<EventId, StampPlace> {
  const places = new Map<EventId, StampPlace>();
  for (const [runId, run] of runs) {
    for (const field of fieldsOf(run.method.Input)) {
      if (field.kind === 'instant' && field.event) places.set(field.event, { runId, run, field: field.name });
    }
  }
  return places;
}

/** The stamps that stand in the runs' readings now, saved or on their way. */
export function stampsIn(places: ReadonlyMap<EventId, StampPlace>): Stamps {
  const pairs = [...places].flatMap(([event, { run, field }]) => {
    const at = Date.parse(run.readings.values[field] ?? '');
    return Number.isNaN(at) ? [] : [[event, at] as const];
  });
  return Object.fromEntries(pairs);
}
