import type { System } from '../../quantity';
import { type BendAsked, bendOfLog } from '../../signals';
import type { LoadLogFacts } from '../setup';

/** Samples a millimetre of a made-up record. */
const EACH = 2000;

/**
 * What a made-up record comes to, for examples: straight from corner to corner, millimetres and newtons.
 * @param corners the first at nought, displacements rising
 */
export function exampleRecord(
  corners: readonly (readonly [at: number, force: number])[],
  asked: BendAsked,
): LoadLogFacts {
  const key = JSON.stringify([corners, asked]);
  const known = MADE.get(key) ?? recordOf(corners, asked);
  MADE.set(key, known);
  return known;
}

/** Thousands of rows are analysed for an example: once each is enough. */
const MADE = new Map<string, LoadLogFacts>();

function recordOf(
  corners: readonly (readonly [at: number, force: number])[],
  asked: BendAsked,
): LoadLogFacts {
  const end = corners.at(-1)?.[0] ?? 1;
  const count = Math.round(end * EACH) + 1;
  const position = Float64Array.from({ length: count }, (_, index) => index / EACH);
  const load = position.map((at) => {
    const next = corners.findIndex(([place]) => place >= at);
    const [before, after] = [corners[Math.max(0, next - 1)] ?? [0, 0], corners[Math.max(0, next)] ?? [0, 0]];
    const width = after[0] - before[0];
    return width > 0 ? before[1] + ((at - before[0]) / width) * (after[1] - before[1]) : after[1];
  });
  const bend = bendOfLog({ load, position }, 'N', asked);
  return { verdict: 'valid', troubles: [], dips: [], spikes: [], ...(bend ? { bend } : {}) };
}

/** The display of the same peak, in the unit of a run. */
export function exampleDisplay(newtons: number, system: System): string {
  return system === 'US' ? String(Math.round(newtons / 4.4482216 / 10) * 10) : (newtons / 1000).toFixed(1);
}
