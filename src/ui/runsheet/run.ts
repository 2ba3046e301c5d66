import { type FieldSpec, isRows, type Method, type Outcome, placeOf, type RunInput } from '@/core/methods';
import type { useReadings } from './use-readings';

/** A run being worked on, as its views take it. */
export interface Run {
  readonly method: Method;
  readonly fields: ReadonlyMap<string, FieldSpec>;
  readonly readings: ReturnType<typeof useReadings>;
  /** What the readings come to at this moment. */
  readonly live: {
    readonly input: RunInput;
    readonly outcome: Outcome;
    /** What cannot be used of what was typed, and what is still missing, by path. */
    readonly errors: Readonly<Record<string, string>>;
    readonly missing: Readonly<Record<string, string>>;
  };
  /** Why a completed run is corrected. */
  readonly correction: string;
  readonly setCorrection: (text: string) => void;
}

/** What stands at a field among words by path: its own, or those of the first of its cells. */
function ofField(words: Readonly<Record<string, string>>, name: string): string | undefined {
  return words[name] ?? Object.entries(words).find(([path]) => path.startsWith(`${name}/`))?.[1];
}

/** What is still missing of a field, or of the rows of a table. */
export function missingAt(run: Run, name: string): string | undefined {
  return ofField(run.live.missing, name);
}

/** What cannot be used of what was typed at a field, or in the rows of a table. */
export function refusedAt(run: Run, name: string): string | undefined {
  return ofField(run.live.errors, name) ?? ofField(run.readings.refused, name);
}

/** The rows of a table in which something was read, by their names. */
export function begunRows({ readings }: Pick<Run, 'readings'>, name: string): ReadonlySet<string> {
  const rows = new Set<string>();
  for (const [path, text] of Object.entries(readings.values)) {
    const place = placeOf(path);
    if (place?.field === name && text !== '') rows.add(place.row);
  }
  return rows;
}

/** How many rows of a table were begun. */
export function takenRows(run: Run, name: string): number {
  return begunRows(run, name).size;
}

/** True for a field that something was read at. */
export function isTaken(run: Run, name: string): boolean {
  const field = run.fields.get(name);
  return field && isRows(field) ? takenRows(run, name) > 0 : (run.readings.values[name] ?? '') !== '';
}

/** The fields of a step that somebody reads, in its order. */
export function stepFields(run: Run, names: readonly string[]): FieldSpec[] {
  return names.flatMap((name) => run.fields.get(name) ?? []).filter(({ kept }) => !kept);
}
