import type { Limits } from '../../limits';
import { spanMm } from '../bend/base';
import type { Driven } from '../contract';
import type { BeamBendingInput } from './input';

/** How far a beam with something in it is taken, of its span. Common practice, no source. */
const TAKEN_TO = 50;

/** Driven at one speed, by the crosshead as a rule: a plain one until it is through, one with something in it to L/50. */
export function drivenBy(input: BeamBendingInput, limits: Limits): Driven {
  const { kind = 'plain', measuredBy, system } = input;
  const own = measuredBy === 'net';
  const span = spanMm(input);
  return {
    what: own ? 'Net deflection' : 'Travel of the crosshead',
    own,
    parts: [{ to: null, word: '', speed: limits.of('bend.speed', system) }],
    marks: [],
    end: kind === 'plain' || !span ? null : span / TAKEN_TO,
    behaves: kind === 'plain' ? 'snaps' : kind === 'fibre' ? 'softens' : 'hardens',
  };
}
