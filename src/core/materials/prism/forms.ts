import type { Form } from '../../material/contract';

export const PRISM = 'masonry-prism';

/** A small wall of two and more units, as it is built. */
export const FORMS: readonly Form[] = [
  {
    id: PRISM,
    text: 'Masonry prism',
    letter: 'W',
    since: 'own',
    window: 'age',
    ends: ['bonded'],
    caps: 'masonry',
  },
];
