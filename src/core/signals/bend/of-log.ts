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

/** What a log says over its displacement. */
export type BendAsked = Pick<BendRequest, 'toe' | 'at' | 'upTo' | 'edges'>;

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
  const usable = [...position.keys()].filter((index) => Number.isFinite(position[index]));
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
