import type { Form } from '../../material/contract';

/** A unit as it came. */
export const FULL = 'unit-full';
/** What is sawn out of a face shell where no closed cells can be. */
export const COUPON = 'unit-coupon';

/** A manufactured unit, whole; and what is sawn out of one. */
export const FORMS: readonly Form[] = [
  { id: FULL, text: 'Full unit', letter: 'U', caps: 'masonry' },
  { id: 'unit-reduced', text: 'Closed cells sawn out of a unit', letter: 'R', caps: 'masonry' },
  { id: COUPON, text: 'Coupon of a face shell', letter: 'P', caps: 'masonry' },
];

export const UNIT_FORMS = FORMS.map(({ id }) => id);

/** What units of a set are for. */
export const COMPRESSION = 'compression';
export const ABSORPTION = 'absorption';
export const SPARE = 'spare';
