import type { Form } from '../../material/contract';

/** A manufactured unit, whole; and what is sawn out of one. */
export const FORMS: readonly Form[] = [
  { id: 'unit-full', text: 'Full unit', letter: 'U' },
  { id: 'unit-reduced', text: 'Closed cells sawn out of a unit', letter: 'R' },
];

export const UNIT_FORMS = FORMS.map(({ id }) => id);

/** What units of a set are for. */
export const COMPRESSION = 'compression';
export const ABSORPTION = 'absorption';
export const SPARE = 'spare';
