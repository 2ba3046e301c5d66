import type { LimitId } from '../../limits';

/** What is read alike in every test of cement. */

const HELD = (limit: LimitId, what: string, action: string) =>
  ({ held: { limit, severity: 'departure', what, action } }) as const;

export const ROOM = {
  label: 'Room',
  dimension: 'temperature',
  unit: { US: 'degF', SI: 'degC' },
  step: { US: '0.5', SI: '0.1' },
  possible: { US: ['32', '122'], SI: ['0', '50'] },
  ...HELD('cement.room', 'The room is at', 'Wait until it is right: warm sets sooner, cold later.'),
  example: { US: '73.5', SI: '23.0' },
} as const;

export const HUMIDITY = {
  label: 'Humidity of the room',
  dimension: 'percent',
  unit: { US: 'percent', SI: 'percent' },
  step: { US: '1', SI: '1' },
  possible: { US: ['0', '100'], SI: ['0', '100'] },
  ...HELD('cement.humidity', 'The humidity is', 'Paste and moulds dry at their face: wet the room.'),
  example: '55',
} as const;

export const WATER_TEMPERATURE = {
  ...ROOM,
  label: 'Mixing water',
  ...HELD('cement.water', 'The water is at', 'Let it stand in the room, or mix it.'),
} as const;

export const CABINET = {
  ...ROOM,
  label: 'Moist cabinet',
  ...HELD('cement.cabinet', 'The cabinet is at', 'Put it right; say it with the result.'),
} as const;

/** A mass on a fine balance, g. */
export const GRAM = {
  dimension: 'mass',
  unit: { US: 'g', SI: 'g' },
  step: { US: '0.1', SI: '0.1' },
  possible: { US: ['0.1', '20000'], SI: ['0.1', '20000'] },
} as const;

/** How far a plunger or a needle went in, mm in either system. */
export const DEPTH = {
  dimension: 'length',
  unit: { US: 'mm', SI: 'mm' },
  step: { US: '0.5', SI: '0.5' },
  possible: { US: ['0', '42'], SI: ['0', '42'] },
} as const;

export const CEMENT_BALANCE = {
  label: 'Balance',
  equipmentKind: 'balance',
  carry: true,
  example: 'BALANCE-1',
} as const;
export const VICAT = {
  label: 'Needle apparatus',
  equipmentKind: 'vicat apparatus',
  carry: true,
  example: 'VICAT-1',
} as const;

/** What burns in every paste. */
export const ALKALINE =
  'Wet cement is caustic: gloves and goggles, wash it off at once. Its dust harms the lungs. The safety data sheet first.';
