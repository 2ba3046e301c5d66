import type { Form } from '../../material/contract';

/** The forms that are split between points. */
export const ROCK_FORMS = ['rock-lump', 'rock-core', 'rock-block'] as const;

/** A core with ground ends, for the press. */
export const CYLINDER = 'rock-cylinder';

/** The forms that pieces of rock come in. */
export const FORMS: readonly Form[] = [
  { id: 'rock-lump', text: 'Irregular lump', letter: 'L' },
  { id: 'rock-core', text: 'Piece of core', letter: 'C' },
  { id: 'rock-block', text: 'Sawn block', letter: 'B' },
  { id: CYLINDER, text: 'Core with ground ends', letter: 'G' },
];
