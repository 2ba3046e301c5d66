import type { Material, SourceRule, Stored } from '../../material/contract';
import { sheetValues } from '../../methods/cement-mill-sheet/read-picture';
import { formsIn, registerBrought } from '../brought';
import { FORMS } from '../concrete/forms';
import { CRITERIA } from './criteria';
import { Asked, Cubes, Lot, Taken, VibratedCubes } from './fields';
import { grabsOf } from './grabs';
import { cementSays } from './says';
import { CEMENT_TYPES, type CementSchool, ORDERED, standardOf, waterRule } from './standards';

const WATER = {
  fixed: 'fixed, w/c 0.485',
  'fixed-air': 'fixed, w/c 0.460',
  flow: 'for a flow of 110 ± 5',
  en: 'fixed, w/c 0.50',
  is: 'by the consistency of its own school',
} as const;

/** The tests of a cement as its school makes them. */
const TESTS = {
  astm: [
    ...[
      'cement-consistency',
      'cement-setting',
      'cement-mortar',
      'cement-surface',
      'cement-sieve',
      'cement-density',
    ],
    ...['cement-air', 'cement-autoclave', 'cement-loss', 'cement-stiffening', 'cement-gillmore'],
    ...['cement-heat', 'cement-mill-sheet', 'cement-portions'],
  ],
  en: [
    ...['cement-consistency', 'cement-setting', 'cement-prisms', 'cement-needles', 'cement-surface'],
    ...['cement-density', 'cement-loss', 'cement-heat', 'cement-mill-sheet', 'cement-portions'],
  ],
  is: [
    ...['cement-consistency', 'cement-setting', 'vibrated-mortar', 'cement-needles', 'cement-autoclave'],
    'cement-surface',
    ...['cement-density', 'cement-loss', 'cement-heat', 'cement-mill-sheet', 'cement-portions'],
  ],
} as const;

const schoolOf = (cementType: unknown): CementSchool => standardOf(textOf(cementType))?.school ?? 'astm';

/** What is followed of a source: the strength of its school, and under what it was tested. */
const FOLLOWED: Readonly<
  Record<CementSchool, Pick<SourceRule, 'method' | 'alone' | 'ages' | 'early' | 'day'>>
> = {
  astm: {
    ...{ method: 'mortar-cube', ages: [168, 672, 72], early: 72 },
    day: [
      ['cement-mortar', 'sandLot', 'lot of sand'],
      ['cement-mortar', 'moulds', 'moulds'],
      ['cement-mortar', 'room', 'room'],
      ['mortar-cube', 'machine', 'machine'],
    ],
  },
  en: {
    ...{ method: 'cement-prisms', ages: [672, 168, 48], early: 48 },
    alone: { quantity: 'strength of the prisms', unit: 'MPa', age: 'age' },
    day: [
      ['cement-prisms', 'sandLot', 'lot of sand'],
      ['cement-prisms', 'room', 'room'],
      ['cement-prisms', 'machine', 'machine'],
    ],
  },
  is: {
    ...{ method: 'vibrated-cube', ages: [168, 672, 72], early: 72 },
    day: [
      ['vibrated-mortar', 'sandLot', 'lot of sand'],
      ['vibrated-mortar', 'room', 'room'],
      ['vibrated-cube', 'machine', 'machine'],
    ],
  },
};

/** Cubes that were made of it, as they are registered. */
const CUBES = {
  begin: 'Register cubes',
  title: 'Register the cubes that were made',
  done: 'They are registered, with their window.',
  countHelp: 'Three of one age.',
  usual: 3,
  most: 12,
  place: 'Where they stand',
  initial: { ageDays: '7' },
  event: 'moulded',
  register: registerBrought,
} as const;

/** Hydraulic cement, from the silo to whether it stays the same. */
export const cement: Material = {
  id: 'cement',
  title: 'Cement',
  words: {
    specification: ['cement', 'cements'],
    lot: ['lot of cement', 'lots of cement'],
    sample: ['sample of cement', 'samples of cement'],
    specimen: ['cube', 'cubes'],
    report: 'Report of tests on cement',
    onSample: 'Tests of the cement',
    onSpecimens: 'Cubes',
  },
  Asked,
  Lot,
  Sample: Taken,
  lotFields: {
    title: 'Lot',
    titleHelp: 'As the plant numbers it, or the day it was shipped.',
    startsAt: 'Produced from',
  },
  usual: { cementType: 'c150.I' },
  madeBy: 'plant',
  // ASTM C917 (from memory): 7 and 28 days, of one plant, type and silo.
  source: ({ cementType }) => ({
    ...FOLLOWED[schoolOf(cementType)],
    product: 'cementType',
    of: ['plant', 'silo'],
    madeWith: {
      ...{ material: 'concrete', field: 'cementCode', method: 'cylinder-compression' },
      ...{ ageHours: 672, word: 'concrete' },
    },
    again: ({ purpose }) => purpose === 'duplicate',
    sheets: { method: 'cement-mill-sheet', values: sheetValues },
  }),
  forms: FORMS.filter(({ letter }) => letter === 'M'),
  registers: [
    {
      ...CUBES,
      id: 'cement-cubes',
      intro: 'Those of one batch and one age together: their range is judged within a batch.',
      forms: (_, system, { cementType }) =>
        schoolOf(cementType) === 'astm' ? formsIn(system, 'mortar cube') : [],
      Input: Cubes,
    },
    {
      ...CUBES,
      id: 'vibrated-cubes',
      intro: 'Those of one age together. Their age counts from the end of the vibration, a clock of its own.',
      forms: (_, system, { cementType }) =>
        schoolOf(cementType) === 'is' ? formsIn(system, 'vibrated cube') : [],
      Input: VibratedCubes,
    },
  ],
  lotWants: (lot, limits) => grabsWords(lot, grabsOf(lot, limits)),
  summary: (asked) => [
    ['Type', CEMENT_TYPES.find(({ value }) => value === asked.cementType)?.label ?? ''],
    ['Edition', String(asked.edition ?? '')],
    ['Water of its mortar', WATER[waterRule(String(asked.cementType), textOf(asked.waterBy))]],
    ['Ordered besides', orderedWords(asked)],
  ],
  problems: (asked): Record<string, string> =>
    orderedWords(asked) && !asked.orderedBy ? { orderedBy: 'Say whose order it is, with its date.' } : {},
  opens: () => ['cement-sample'],
  onSample: ({ cementType }) => TESTS[schoolOf(cementType)],
  onLot: [],
  sampleSays: cementSays,
  criteria: CRITERIA.map(({ id }) => id),
};

const textOf = (value: unknown): string | undefined => (typeof value === 'string' ? value : undefined);

function orderedWords(asked: Stored): string {
  return [
    ...(asked.ordered28 === 'yes' ? ['strength at 28 d'] : []),
    ...ORDERED.flatMap(({ field, word }) => (asked[field] ? [word] : [])),
  ].join(', ');
}

function grabsWords({ tons }: Stored, wanted: ReturnType<typeof grabsOf>): string {
  return wanted
    ? `${String(tons)} tons: ${wanted.bags} bags where it comes in bags, ${wanted.bulk} ${wanted.bulk === 1 ? 'sample' : 'samples'} of several cars.`
    : 'How many samples it wants follows from its tons.';
}
