import type { Limits } from '../../limits';
import type { System } from '../../quantity';
import type { Driven } from '../contract';
import { LENGTH_UNIT } from '../press';
import type { ResidualBeamInput } from './input';

/** Net deflections of the second loading at which it is read, in and mm. Source: ASTM C1399/C1399M (from memory). */
export const READ_AT = {
  US: ['0.020', '0.030', '0.040', '0.050'],
  SI: ['0.50', '0.75', '1.00', '1.25'],
} as const satisfies Readonly<Record<System, readonly string[]>>;

/** The same, mm, as a record has them. */
export function placesOf({ system }: Pick<ResidualBeamInput, 'system'>): readonly number[] {
  return READ_AT[system].map((text) => Number((Number(text) * (system === 'US' ? 25.4 : 1)).toFixed(6)));
}

/** Driven by the net deflection, without its plate, from where it lies cracked: at one speed to a little behind the last place. */
export function drivenBy(input: ResidualBeamInput, limits: Limits): Driven {
  const { system } = input;
  const places = placesOf(input);
  return {
    what: 'Net deflection',
    own: true,
    parts: [{ to: null, word: '', speed: limits.of('residual.speed', system) }],
    marks: places.map((at, index) => [at, `${READ_AT[system][index]} ${LENGTH_UNIT[system]}`] as const),
    end: places.at(-1) ?? null,
    behaves: 'cracked',
  };
}
