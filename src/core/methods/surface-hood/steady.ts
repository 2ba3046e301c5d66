import { isWithin, type Limits } from '../../limits';
import type { Exact, System } from '../../quantity';
import { readMeasure } from '../fields';
import { wholeRows } from '../rows-field';
import type { SurfaceHoodInput } from './input';

const HOUR = 3_600_000;

/** A reading that counts: ms since the epoch, percent. */
export interface Counted {
  readonly at: number;
  readonly humidity: Exact;
}

/** How the readings of a box stand. */
export interface Steadiness {
  /** Those from the end of its least time on, in the order of time. */
  readonly counted: readonly Counted[];
  /** Those before it. */
  readonly early: number;
  /** The last one, and the one at least a day before it that it agrees with; undefined while there is none. */
  readonly pair: readonly [Counted, Counted] | undefined;
  /** From when on the next reading says something, ms since the epoch; undefined before it was sealed down. */
  readonly next: number | undefined;
}

/**
 * Which readings of a box count, and whether the last agrees with one a day before.
 * Source: BS 8203 (from memory): not before 72 h, then until two at least 24 h apart agree.
 */
export function steadiness(input: SurfaceHoodInput, limits: Limits): Steadiness {
  const system: System = input.system;
  const hours = (id: 'hood.sealed' | 'hood.between'): number => limits.number(id, system).toNumber() * HOUR;
  const sealed = Date.parse(input.sealedAt ?? '');
  if (Number.isNaN(sealed)) return { counted: [], early: 0, pair: undefined, next: undefined };
  const from = sealed + hours('hood.sealed');
  const all = wholeRows(input.readings).flatMap((row): Counted[] => {
    const humidity = readMeasure(row, 'humidity')?.value;
    const at = Date.parse(row.at ?? '');
    return humidity && !Number.isNaN(at) ? [{ at, humidity }] : [];
  });
  const counted = all.filter(({ at }) => at >= from).toSorted((a, b) => a.at - b.at);
  const last = counted.at(-1);
  const before = last && counted.findLast(({ at }) => last.at - at >= hours('hood.between'));
  const agree =
    last && before && isWithin(last.humidity.minus(before.humidity).abs(), limits.of('hood.agree', system));
  return {
    counted,
    early: all.length - counted.length,
    pair: agree ? [before, last] : undefined,
    next: last ? last.at + hours('hood.between') : from,
  };
}
