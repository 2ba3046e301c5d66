import type { Form } from '../../material/contract';

/** The points of a floor. */
export const FORMS: readonly Form[] = [{ id: 'slab-hole', text: 'Hole for humidity', letter: 'H' }];
