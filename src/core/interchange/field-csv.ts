import { readClocks, type Stamps } from '../clocks';
import type { Limits } from '../limits';
import type { System } from '../quantity';
import { csvText } from './csv';

/** The clocks of samples as they ended, one a row: what started and stopped each, how long it took, what is allowed. */
export function clockLogCsv(
  samples: readonly { readonly label: string; readonly stamps: Stamps; readonly made: readonly string[] }[],
  limits: Limits,
  system: System,
): string {
  const rows = samples.flatMap(({ label, stamps, made }) =>
    readClocks(stamps, 0, limits, system, () => true, made).done.map((reading) => [
      label,
      reading.clock.id,
      iso(reading.startedAt),
      iso(reading.endedAt),
      reading.elapsed,
      reading.least,
      reading.most,
      reading.state,
    ]),
  );
  return csvText(
    ['sample', 'clock', 'start_utc', 'stop_utc', 'elapsed_s', 'min_s', 'max_s', 'verdict'],
    rows,
  );
}

/** One event of a specimen's custody. */
export interface CustodyRow {
  readonly specimen: string;
  readonly event: string;
  readonly at: Date;
  readonly from: string;
  readonly to: string;
  readonly place: string;
  readonly condition: string;
  readonly note: string;
}

/** Everything that happened to specimens, in order, with the names at each hand-over. */
export function custodyCsv(rows: readonly CustodyRow[]): string {
  return csvText(
    ['specimen', 'event', 'at_utc', 'from', 'to', 'place', 'condition', 'note'],
    rows.map((row) => [
      row.specimen,
      row.event,
      row.at.toISOString(),
      row.from,
      row.to,
      row.place,
      row.condition,
      row.note,
    ]),
  );
}

function iso(at: number | null): string {
  return at === null ? '' : new Date(at).toISOString();
}
