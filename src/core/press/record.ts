import { convert, exact } from '../quantity';
import type { ReadingLine } from './reading';

/** A stretch of numbers that never came, both ends included. */
export type Missing = readonly [from: number, to: number];

/** What a recorded stream holds. */
export interface StreamRecord {
  /** In the order of their numbers, each once. */
  readonly readings: readonly ReadingLine[];
  readonly missing: readonly Missing[];
  /** How many lines came more than once. */
  readonly doubled: number;
  /** Numbers whose time did not go forward from the one before. */
  readonly backward: readonly number[];
  /** The number from which the unit of the load was another, where it changed. */
  readonly unitChangedAt: number | null;
}

/**
 * Puts a stream of readings in order: what came twice is taken once, what never came is named, and what does not fit
 * is pointed at, never mended.
 * @param from the first number that belongs to it; stretches missing before it are not counted
 */
export function recordOf(lines: readonly ReadingLine[], from?: number): StreamRecord {
  const once = new Map<number, ReadingLine>();
  for (const line of lines) if (!once.has(line.seq)) once.set(line.seq, line);
  const readings = [...once.values()].toSorted((a, b) => a.seq - b.seq);
  const missing: Missing[] = [];
  const backward: number[] = [];
  let unitChangedAt: number | null = null;
  let expected = from ?? readings[0]?.seq ?? 0;
  for (const [index, reading] of readings.entries()) {
    if (reading.seq > expected) missing.push([expected, reading.seq - 1]);
    expected = reading.seq + 1;
    const before = readings[index - 1];
    if (!before) continue;
    if (reading.t <= before.t) backward.push(reading.seq);
    if (reading.unit !== before.unit) unitChangedAt ??= reading.seq;
  }
  return { readings, missing, doubled: lines.length - readings.length, backward, unitChangedAt };
}

const LBF_IN_KN = convert(exact(1), 'lbf', 'kN').toNumber();

/** A load in the unit of the run: exact factor, cleaned to what a display can show. */
export function loadIn(value: number, unit: 'kN' | 'lbf', wanted: 'kN' | 'lbf'): number {
  if (unit === wanted) return value;
  return Number((wanted === 'lbf' ? value / LBF_IN_KN : value * LBF_IN_KN).toPrecision(9));
}

/** The record as an open file: seconds, load, platen travel, knob. */
export function recordCsv(record: StreamRecord, unit: 'kN' | 'lbf'): string {
  const rows = record.readings.map(({ t, load, unit: own, pos, fine }) =>
    [t, loadIn(load, own, unit), pos, fine].join(','),
  );
  return `time_s,load_${unit},position_mm,fine\n${rows.join('\n')}\n`;
}
