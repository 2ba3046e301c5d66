import type { Material } from '../../material/contract';
import { Brought, formsIn, registerBrought } from '../brought';
import { FORMS } from '../concrete/forms';
import { CRITERIA } from './criteria';
import { Asked, Lot, Taken } from './fields';

/** Masonry mortar, from the mix to its verdict, or to how it keeps the same. */
export const mortar: Material = {
  id: 'mortar',
  title: 'Masonry mortar',
  words: {
    specification: ['mortar', 'mortars'],
    lot: ['mortar for a wall', 'mortars for walls'],
    sample: ['sample of mortar', 'samples of mortar'],
    specimen: ['cube', 'cubes'],
    report: 'Report of tests on masonry mortar',
    onSample: 'How it was mixed and made',
    onSpecimens: 'Cubes',
  },
  Asked,
  Lot,
  Sample: Taken,
  lotFields: { title: 'Mortar', titleHelp: 'As it is called on site.', startsAt: 'Mixed from' },
  forms: FORMS.filter(({ letter }) => letter === 'M'),
  registers: [
    {
      id: 'mortar-cubes',
      begin: 'Register cubes',
      title: 'Register the cubes that were made',
      intro: 'Three for each age. Their age counts from when the water met the cement.',
      done: 'They are registered, with their window.',
      countHelp: 'Three of one age.',
      usual: 3,
      most: 12,
      place: 'Where they stand',
      forms: (_, system) => formsIn(system, 'mortar cube'),
      Input: Brought,
      initial: { ageDays: '28' },
      event: 'moulded',
      register: registerBrought,
    },
  ],
  summary: (asked) => [
    ['Mortar', `type ${String(asked.mortarType)}, by ${String(asked.mortarBy)}`],
    [
      'Parts',
      [asked.partsCement, asked.partsLime, asked.partsSand]
        .filter((part) => typeof part === 'string' && part !== '')
        .join(' : '),
    ],
  ],
  opens: () => ['mortar-making'],
  onLot: [],
  criteria: CRITERIA.map(({ id }) => id),
};
