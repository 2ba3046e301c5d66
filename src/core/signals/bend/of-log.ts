import { convert, exact, type UnitId } from '../../quantity';
import type { LogAnalysis } from '../analyse-log';
import { thinned } from '../thin';
import { analyseBend } from './analyse';
import { speedsOf } from './speeds';
import type { BendRequest } from './types';

/** Points of the curve that is kept with the analysis: what a page and a report draw. */
const KEPT = 240;
/** What of the way to the beam is drawn with it, mm. */
const BEFORE = 0.3;
/** Of the peak, below which nothing is on the beam; and a move back, mm, that is no play of the machine. */
const UNLOADED = 0.02;
const MOVED = 0.5;

/** What a log says over its displacement. */
export type BendAsked = Pick<BendRequest, 'toe' | 'at' | 'upTo' | 'edges'>;

/**
 * Where the test begins: what was moved about before it, back by more than a little and with hardly a force, is none of it.
 * @param rows the rows that have a travel
 * @returns place in `rows`
 */
function testFrom(load: Float64Array, position: Float64Array, rows: readonly number[]): number {
  const at = (place: number): number => position[rows[place] ?? 0] ?? 0;
  const force = (place: number): number => Math.abs(load[rows[place] ?? 0] ?? 0);
  let peak = 0;
  for (let place = 1; place < rows.length; place += 1) if (force(place) > force(peak)) peak = place;
  let foot = peak;
  while (foot > 0 && force(foot) >= UNLOADED * force(peak)) foot -= 1;
  // Downwards or upwards: the way that it went from the foot to the peak.
  const away = at(peak) < at(foot) ? -1 : 1;
  let [start, farthest, back] = [0, away * at(0), 0];
  for (let place = 1; place <= foot; place += 1) {
    const own = away * at(place);
    if (own < away * at(start)) start = place;
    farthest = Math.max(farthest, own);
    back = Math.max(back, farthest - own);
  }
  return back > MOVED ? start : 0;
}

/**
 * The same of a log with a column of travel: rows without one are left out, and where none has one there is nothing to say.
 * @param unit of the load
 */
export function bendOfLog(
  log: {
    readonly load: Float64Array;
    readonly position?: Float64Array;
    readonly seconds?: Float64Array;
  },
  unit: UnitId,
  asked: BendAsked,
): LogAnalysis['bend'] | undefined {
  const { position, load, seconds } = log;
  if (!position) return undefined;
  const finite = [...position.keys()].filter((index) => Number.isFinite(position[index]));
  const usable = finite.slice(testFrom(load, position, finite));
  if (usable.length < 3) return undefined;
  const pick = (values: Float64Array, times: number): Float64Array =>
    Float64Array.from(usable, (index) => (values[index] ?? 0) * times);
  const newtons = convert(exact(1), unit, 'N').toNumber();
  const first = position[usable[0] ?? 0] ?? 0;
  // A travel that is counted downwards is turned round: the beam goes down all the same.
  const away = (position[usable.at(-1) ?? 0] ?? 0) < first ? -1 : 1;
  const displacement = pick(position, away).map((value) => value - away * first);
  const force = pick(load, newtons);
  const found = analyseBend({ displacement, force, ...asked });
  const along = displacement.map((value) => value - found.origin);
  const begins = Math.max(
    0,
    along.findIndex((at) => at >= -BEFORE),
  );
  return {
    ...found,
    curve: thinned(along.subarray(begins), force.subarray(begins), KEPT),
    ...(seconds ? { speeds: speedsOf(pick(seconds, 1), along, asked.edges ?? []) } : {}),
  };
}
