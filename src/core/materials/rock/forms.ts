import type { Form } from '../../material/contract';

export const ROCK_FORMS = ['rock-lump', 'rock-core', 'rock-block'] as const;

/** The forms that pieces of rock come in. */
export const FORMS: readonly Form[] = [
  { id: 'rock-lump', text: 'Irregular lump', letter: 'L' },
  { id: 'rock-core', text: 'Piece of core', letter: 'C' },
  { id: 'rock-block', text: 'Sawn block', letter: 'B' },
];
