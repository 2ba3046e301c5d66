import type { Material } from '../../material/contract';
import { measureWords } from '../../material/measure-words';
import { ChoiceField, MeasureField, RunInput, TextField } from '../../methods/fields';
import { Brought, formsIn, registerBrought } from '../brought';
import { FORMS } from '../concrete/forms';
import { CRITERIA } from './criteria';

const STRENGTH = {
  dimension: 'stress',
  unit: { US: 'psi', SI: 'MPa' },
  step: { US: '10', SI: '0.1' },
  possible: { US: ['500', '15000'], SI: ['3', '100'] },
} as const;

/** What is asked of grout. */
class Asked extends RunInput {
  @ChoiceField({
    label: 'Grout',
    required: true,
    options: [
      { value: 'fine', label: 'Fine' },
      { value: 'coarse', label: 'Coarse' },
      { value: 'self', label: 'Self-consolidating' },
    ],
    example: 'coarse',
  })
  groutKind?: 'fine' | 'coarse' | 'self';

  @TextField({ label: 'Edition', required: true, help: 'With its year.', example: '2020' })
  edition?: string;

  @MeasureField({
    label: 'Strength asked for',
    ...STRENGTH,
    help: 'Where the project asks for more than 2,000 psi [13.8 MPa].',
    example: '',
  })
  groutStrength?: string;

  @MeasureField({
    label: 'Strength of the masonry',
    ...STRENGTH,
    help: 'Where it is fixed by its units: grout has to reach it too.',
    example: '',
  })
  masonryStrength?: string;
}

/** What is known of a pour of grout. */
class Lot extends RunInput {
  @TextField({ label: 'Wall or part', required: true, example: 'plant room, grid 3 to 6' })
  wall?: string;

  @TextField({ label: 'Mix and source', example: 'GR-2, from the truck' })
  mix?: string;
}

/** Grout of masonry, from the pour to its verdict. */
export const grout: Material = {
  id: 'grout',
  title: 'Grout',
  words: {
    specification: ['grout', 'grouts'],
    lot: ['grout pour', 'grout pours'],
    sample: ['sample of grout', 'samples of grout'],
    specimen: ['grout prism', 'grout prisms'],
    report: 'Report of tests on grout',
    onSample: 'How it was sampled',
    onSpecimens: 'Grout prisms',
  },
  Asked,
  Lot,
  lotFields: { title: 'Pour', titleHelp: 'As it is called on site.', startsAt: 'Poured at' },
  forms: FORMS.filter(({ letter }) => letter === 'G'),
  together: [{ method: 'capping' }],
  registers: [
    {
      id: 'grout-prisms',
      begin: 'Register grout prisms',
      title: 'Register the grout prisms that were made',
      intro: 'Three for each age. They keep their marks through the moist room: write on the prism.',
      done: 'They are registered, with their window.',
      countHelp: 'Three of one age.',
      usual: 3,
      most: 12,
      place: 'Where they stand',
      forms: (_, system) => formsIn(system, 'grout prism'),
      Input: Brought,
      initial: { ageDays: '28' },
      event: 'moulded',
      register: registerBrought,
    },
  ],
  summary: (asked) => [
    ['Grout', String(asked.groutKind ?? '')],
    ['Strength', measureWords(asked.groutStrength)],
    ['Masonry', measureWords(asked.masonryStrength)],
  ],
  opens: () => ['grout-making'],
  onLot: [],
  criteria: CRITERIA.map(({ id }) => id),
};
