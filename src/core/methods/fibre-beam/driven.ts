import type { Limits } from '../../limits';
import { BEAMS, nominalOf } from '../../moulds';
import { exact } from '../../quantity';
import { DEPTHS } from '../beam/sizes';
import { meanRead, spanMm } from '../bend/base';
import type { Driven } from '../contract';
import type { RunSetup } from '../setup';
import type { FibreBeamInput } from './input';

/** Parts of the span that it is read at, and up to which it is driven slowly. Source: ASTM C1609/C1609M (from memory). */
export const PARTS = [600, 300, 150] as const;
const SLOW_TO = 900;
/** From this depth on it is a 6 in beam: between the two that the method names. */
const LARGE = { US: '5', SI: '125' } as const;

/** The net deflections at which a fibre beam is read, mm: L/600, L/300, L/150. */
export function deflectionsOf(input: FibreBeamInput): readonly number[] {
  const span = spanMm(input);
  return span ? PARTS.map((part) => span / part) : [];
}

/** Where its parts end that are driven at a speed of their own, mm: L/900, L/150; none while the span is not known. */
export function edgesOf(input: FibreBeamInput): readonly number[] {
  const span = spanMm(input);
  return span ? [span / SLOW_TO, span / 150] : [];
}

/** Driven by the net deflection of its yoke: slowly up to L/900, then faster, to L/150. */
export function drivenBy(input: FibreBeamInput, limits: Limits, setup: RunSetup): Driven {
  const { system } = input;
  const depth = meanRead(input, DEPTHS) ?? nominalOf(setup.specimen?.form, BEAMS, system)?.across;
  const size = depth?.lessThan(exact(LARGE[system])) ? 'small' : 'large';
  const [slow = null, end = null] = edgesOf(input);
  const places = deflectionsOf(input);
  return {
    what: input.measuredBy === 'crosshead' ? 'Travel of the crosshead' : 'Net deflection',
    own: input.measuredBy !== 'crosshead',
    parts: [
      { to: slow, word: ' up to L/900', speed: limits.of(`fibre.rate-first-${size}`, system) },
      { to: null, word: ' beyond L/900', speed: limits.of(`fibre.rate-then-${size}`, system) },
    ],
    marks: places.map((at, index) => [at, `L/${PARTS[index]}`]),
    end,
    behaves: 'softens',
  };
}
