import type { Form } from '../../material/contract';

export const BRICK = 'brick';
export const HALF = 'brick-half';

/** A brick as it came, and its halves. */
export const FORMS: readonly Form[] = [
  { id: BRICK, text: 'Whole brick', letter: 'B' },
  { id: HALF, text: 'Half brick', letter: 'H', caps: 'masonry', half: true },
];

/** What bricks and halves are for. */
export const TO_HALVE = 'halves';
export const WHOLE = 'whole';
export const PAIR = 'efflorescence';
export const COMPRESSION = 'compression';
export const ABSORPTION = 'absorption';
