import type { Limits } from '../../limits';
import type { Driven } from '../contract';
import type { NotchedBeamInput } from './input';

/** Openings at which a notched beam is read, and up to which its limit of proportionality is looked for, mm. */
export const OPENINGS = [0.5, 1.5, 2.5, 3.5] as const;
export const PROPORTIONAL = 0.05;

/** The deflection that stands for an opening, mm. Source: EN 14651 table 1 (from memory): 0.85 CMOD + 0.04. */
export function deflectionAt(opening: number): number {
  return Number((0.85 * opening + 0.04).toFixed(6));
}

/** Where the record is read: at the openings, or at the deflections that stand for them. */
export function placesOf(input: NotchedBeamInput): { readonly at: readonly number[]; readonly upTo: number } {
  return { at: OPENINGS.map((opening) => turnedIn(input, opening)), upTo: turnedIn(input, PROPORTIONAL) };
}

/** Up to which opening it is driven slowly, and how far it is opened at least, mm. Source: EN 14651 (from memory). */
const SLOW_TO = 0.1;
const OPENED_TO = 4;

const turnedIn = ({ over }: NotchedBeamInput, opening: number): number =>
  over === 'deflection' ? deflectionAt(opening) : opening;

/** Where its slow part ends, mm. */
export function edgesOf(input: NotchedBeamInput): readonly number[] {
  return [turnedIn(input, SLOW_TO)];
}

/** Driven by the opening of its notch, or by the deflection that stands for it: slowly, then four times as fast. */
export function drivenBy(input: NotchedBeamInput, limits: Limits): Driven {
  const { system } = input;
  const [slow = null] = edgesOf(input);
  return {
    what: input.over === 'deflection' ? 'Deflection' : 'Opening of the notch',
    own: true,
    parts: [
      { to: slow, word: ' up to 0.1 mm', speed: limits.of('notch.speed', system) },
      { to: null, word: ' beyond 0.1 mm', speed: limits.of('notch.speed-then', system) },
    ],
    marks: OPENINGS.map((opening) => [turnedIn(input, opening), `${opening} mm`]),
    end: turnedIn(input, OPENED_TO),
    behaves: 'softens',
  };
}
