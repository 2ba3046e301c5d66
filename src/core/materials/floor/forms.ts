import type { Form } from '../../material/contract';
import { DOLLIES } from '../coating/forms';

/** The points of a floor. */
export const FORMS: readonly Form[] = [
  { id: 'slab-hole', text: 'Hole for humidity', letter: 'H' },
  { id: 'slab-dish', text: 'Dish for emission', letter: 'E' },
  { id: 'slab-sheet', text: 'Plastic sheet', letter: 'S' },
  { id: 'surface-hood', text: 'Box on the surface', letter: 'B' },
  { id: 'screed-sample', text: 'Sample of screed for carbide', letter: 'C' },
  ...DOLLIES,
];
