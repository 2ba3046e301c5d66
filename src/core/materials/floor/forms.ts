import type { Form } from '../../material/contract';
import { DOLLIES } from '../coating/forms';

/** The points of a floor. */
export const FORMS: readonly Form[] = [
  { id: 'slab-hole', text: 'Hole for humidity', letter: 'H' },
  { id: 'slab-dish', text: 'Dish for emission', letter: 'E' },
  { id: 'slab-sheet', text: 'Plastic sheet', letter: 'S' },
  ...DOLLIES,
];
