import type { Material } from '../../material/contract';
import { measureWords } from '../../material/measure-words';
import { ChoiceField, InstantField, MeasureField, RunInput, TextField } from '../../methods/fields';
import { ageWindow } from '../../windows';
import { CRITERIA } from './criteria';
import { FORMS, PRISM } from './forms';

const SIZE = {
  dimension: 'length',
  unit: { US: 'in', SI: 'mm' },
  step: { US: '0.125', SI: '1' },
  possible: { US: ['1', '40'], SI: ['25', '1000'] },
} as const;

/** What is asked of masonry that is shown by prisms. */
class Asked extends RunInput {
  @MeasureField({
    label: 'Specified strength of masonry',
    dimension: 'stress',
    unit: { US: 'psi', SI: 'MPa' },
    step: { US: '10', SI: '0.1' },
    possible: { US: ['500', '15000'], SI: ['3', '100'] },
    required: true,
    help: 'f′m of the documents.',
    example: { US: '1,900 psi', SI: '13 MPa' },
  })
  masonryStrength?: string;

  @ChoiceField({
    label: 'Built of',
    required: true,
    options: [
      { value: 'hollow', label: 'Hollow units, not grouted' },
      { value: 'grouted', label: 'Grouted solid' },
      { value: 'part', label: 'Grouted in part' },
      { value: 'solid', label: 'Solid units or brick' },
    ],
    help: 'It decides which area the load is divided by.',
    example: 'grouted',
  })
  built?: 'hollow' | 'grouted' | 'part' | 'solid';

  @MeasureField({
    label: 'Net strength of the units',
    dimension: 'stress',
    unit: { US: 'psi', SI: 'MPa' },
    step: { US: '10', SI: '0.1' },
    possible: { US: ['500', '30000'], SI: ['3', '200'] },
    help: 'Of units of concrete, as tested: what they and the mortar stand for without prisms is said beside.',
    example: '',
  })
  unitStrength?: string;

  @ChoiceField({
    label: 'Mortar',
    required: true,
    options: ['M', 'S', 'N'].map((value) => ({ value, label: `Type ${value}` })),
    example: 'S',
  })
  mortar?: 'M' | 'S' | 'N';

  @TextField({ label: 'Edition', required: true, help: 'Of the code, with its year.', example: '2022' })
  edition?: string;

  @MeasureField({
    label: 'Height of a unit',
    ...SIZE,
    help: 'Actual.',
    example: { US: '7 5/8 in', SI: '194 mm' },
  })
  unitHeight?: string;

  @MeasureField({
    label: 'Thickness of a unit',
    ...SIZE,
    help: 'Actual, its least side.',
    example: { US: '7 5/8 in', SI: '194 mm' },
  })
  unitThickness?: string;

  @MeasureField({
    label: 'Courses',
    dimension: 'ratio',
    unit: { US: 'one', SI: 'one' },
    step: { US: '1', SI: '1' },
    possible: { US: ['2', '12'], SI: ['2', '12'] },
    whole: true,
    required: true,
    example: '2',
  })
  courses?: string;
}

/** What is known of the masonry that prisms stand for. */
class Lot extends RunInput {
  @TextField({ label: 'Wall or part', required: true, example: 'plant room, grid 3 to 6' })
  wall?: string;

  @TextField({ label: 'Units from', help: 'Producer, and the delivery they came out of.', example: '' })
  units?: string;
}

/** A set of prisms that was built. */
class Built extends RunInput {
  @TextField({
    label: 'Built by',
    required: true,
    help: 'The mason of the wall, or who.',
    example: 'the mason of the wall',
  })
  by?: string;
}

/** When prisms were built, and at what age they are broken. */
class Registered extends RunInput {
  @InstantField({
    label: 'Built at',
    required: true,
    help: 'The last unit was laid.',
    example: '2031-06-05T10:00:00-04:00',
  })
  builtAt?: string;

  @MeasureField({
    label: 'Age',
    required: true,
    help: 'Whole days: 28, or the age on the documents.',
    dimension: 'ratio',
    unit: { US: 'one', SI: 'one' },
    step: { US: '1', SI: '1' },
    possible: { US: ['1', '365'], SI: ['1', '365'] },
    whole: true,
    example: '28',
  })
  ageDays?: string;
}

/** Prisms of masonry, from the bag they are built in to the strength of the wall. */
export const prism: Material = {
  id: 'prism',
  title: 'Masonry prisms',
  words: {
    specification: ['masonry', 'masonry specified'],
    lot: ['wall', 'walls'],
    sample: ['set of prisms', 'sets of prisms'],
    specimen: ['prism', 'prisms'],
    report: 'Report of tests on masonry prisms',
    onSample: 'How they were built',
    onSpecimens: 'Prisms',
  },
  Asked,
  Lot,
  Sample: Built,
  lotFields: { title: 'Wall', titleHelp: 'As it is called on site.', startsAt: 'Work begun at' },
  forms: FORMS,
  together: [{ method: 'capping' }],
  registers: [
    {
      id: 'prisms',
      begin: 'Register prisms',
      title: 'Register the prisms that were built',
      intro:
        'Three for each age, and a spare. Each has its mark on the unit itself, and its bag. A grouted one of two units weighs about 140 lb: a strap, and two people.',
      done: 'They are registered, with their window.',
      countHelp: 'Three of one age make a set; one more may break on the way.',
      usual: 3,
      most: 12,
      place: 'Where they stand',
      forms: () => [PRISM],
      Input: Registered,
      initial: { ageDays: '28' },
      event: 'moulded',
      register({ builtAt, ageDays }, { limits }) {
        const since = Date.parse(String(builtAt));
        const ageHours = Number(ageDays) * 24;
        const { opensAt, closesAt } = ageWindow(since, ageHours, limits);
        return { ok: true, value: { since, at: since, about: {}, ageHours, opensAt, closesAt } };
      },
    },
  ],
  plan: (_, { limits, system }) => {
    const count = limits.number('prism.count', system).toNumber();
    return {
      count,
      take: count + 1,
      why: 'a joint cracks easily on the way: build one more than are broken.',
    };
  },
  summary: (asked) => [
    ['Strength of masonry', measureWords(asked.masonryStrength)],
    ['Mortar', `type ${String(asked.mortar)}`],
    ['Courses', String(asked.courses ?? '')],
    ['Code', String(asked.edition ?? '')],
  ],
  opens: () => ['prism-building'],
  onLot: [],
  criteria: CRITERIA.map(({ id }) => id),
};
