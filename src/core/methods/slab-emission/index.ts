import { standard } from '../../working';
import type { Method } from '../contract';
import { exampleInput } from '../example';
import { asked } from '../facts';
import { fieldsOf } from '../fields';
import { limitRows } from '../limit-rows';
import { SLAB_KINDS } from '../slab/drying';
import { EMISSION } from '../slab/quantities';
import { AGGREGATES, TOPS } from '../slab/surfaces';
import { compute } from './compute';
import { SlabEmissionInput } from './input';

/** Vapour that leaves a slab, into a dish of calcium chloride. Order of work: ASTM F1869 (from memory), in our own words. */
export const slabEmission: Method<SlabEmissionInput> = {
  id: 'slab-emission',
  title: 'Vapour emission',
  designations: [standard('ASTM F1869')],
  runOn: 'specimen',
  onSite: true,
  forms: ['slab-dish'],
  facts: {
    aggregate: { of: 'sample', take: 'aggregate', is: { options: AGGREGATES } },
    slab: { of: 'sample', take: 'slab', is: { options: SLAB_KINDS } },
    top: { of: 'sample', take: 'top', is: { options: TOPS } },
    emissionMost: asked('emissionMost', { dimension: 'emission' }),
  },
  yields: [{ quantity: EMISSION, symbol: 'E' }],
  Input: SlabEmissionInput,
  steps: [
    {
      id: 'spot',
      title: 'The spot',
      phase: 'before',
      instruction:
        'Take off what lies on it, grind it lightly, vacuum it; no water, no solvent. Bare for a day before the dish is opened.',
      fields: ['service', 'surface', 'bareAt', 'pH'],
      caution:
        'Silica dust: shroud, HEPA vacuum, respirator by the local rule. Old tile and black glue may hold asbestos: a survey first.',
      clock: {
        title: 'Bare',
        from: 'bareAt',
        to: 'openedAt',
        limit: 'emission.bare',
        means: {
          severity: 'invalid',
          early: 'Wait until it was bare for a day; then open the dish.',
        },
        waits: { what: 'Open the dish', lane: 'slab' },
      },
    },
    {
      id: 'before',
      title: 'Weigh it and open it',
      phase: 'test',
      instruction:
        'Weigh it sealed, lid on, no tape. Open it, spread the grains level, press the cover down all round, a box over it. Keep the lid clean and dry.',
      fields: ['kit', 'cover', 'dish', 'balance', 'checked', 'printed', 'massBefore', 'openedAt'],
      caution:
        'Calcium chloride burns skin and eyes and gets hot in water: glasses, gloves, its data sheet. A kit on the floor is tripped over.',
      clock: {
        title: 'Open',
        from: 'openedAt',
        to: 'closedAt',
        limit: 'emission.time',
        means: {
          severity: 'invalid',
          early: 'It is not made up by arithmetic: a fresh kit.',
          late: 'It is not made up by arithmetic: a fresh kit.',
        },
        waits: { what: 'Close the dish and weigh it', lane: 'slab' },
      },
    },
    {
      id: 'after',
      title: 'Close it and weigh it',
      phase: 'test',
      instruction: 'Cut the cover, its own lid on at once, weigh it before anything is taped.',
      fields: [
        'closedAt',
        'found',
        'lid',
        'weighed',
        'daysSent',
        'cameIn',
        'massAfter',
        'airTemperature',
        'airHumidity',
      ],
    },
    {
      id: 'note',
      title: 'What else there is',
      phase: 'after',
      instruction: 'What the concrete under the cover looked like. Patch the spot.',
      fields: ['remarks'],
    },
  ],
  performedAt: 'closedAt',
  sequence: [['bareAt', 'openedAt', 'closedAt']],
  set: {
    word: 'Dishes of emission',
    quantity: EMISSION,
    by: [],
    combine: 'each alone',
    step: 'emission.step',
    criteria: ['slab-emission'],
  },
  columns: [
    { heading: 'Before', of: ['massBefore'] },
    { heading: 'After', of: ['massAfter'] },
    { heading: 'Hours', of: ['=t'] },
    { heading: 'Days sent', of: ['daysSent'] },
    { heading: 'Kit', of: ['kit'] },
    { heading: 'Air at', of: ['airTemperature'] },
    { heading: 'Its humidity', of: ['airHumidity'] },
  ],
  notClaimed: [
    'Emission is what left the surface under the dish in its hours. It does not tell how wet the slab is below.',
    'Humidity in the slab, emission from its surface and moisture content are not converted into one another.',
  ],
  plan(system, setup) {
    return limitRows(['emission.bare', 'emission.time', 'floor.emission'], system, setup);
  },
  compute,
  example: (system) => ({
    input: { ...exampleInput(fieldsOf(SlabEmissionInput), system), system },
    setup: {
      zone: 'America/New_York',
      specimen: { label: 'EXAMPLE-E1', form: 'slab-dish', since: '2031-03-01T09:00:00-05:00' },
      equipment: [{ number: 'BALANCE-1', kind: 'balance', verifiedOn: '2030-11-12' }],
      facts: { aggregate: 'normal', top: 'bare', emissionMost: '3 lb/1000ft2/d' },
    },
  }),
};
