import { standard } from '../../working';
import type { Method } from '../contract';
import { exampleInput } from '../example';
import { asked } from '../facts';
import { fieldsOf } from '../fields';
import { limitRows } from '../limit-rows';
import { CARBIDE } from '../slab/quantities';
import { SCREED_IDS } from '../slab/screeds';
import { compute } from './compute';
import { CarbideInput } from './input';

/** Moisture of a screed by carbide. Order of work: DIN 18560 and practice (from memory), in our own words. */
export const carbide: Method<CarbideInput> = {
  id: 'carbide',
  title: 'Carbide moisture',
  designations: [standard('DIN 18560')],
  runOn: 'specimen',
  onSite: true,
  forms: ['screed-sample'],
  facts: {
    screed: asked('screed', { options: SCREED_IDS }),
    carbideMost: asked('carbideMost', { dimension: 'percent' }),
  },
  yields: [{ quantity: CARBIDE, symbol: 'CM' }],
  Input: CarbideInput,
  steps: [
    {
      id: 'sample',
      title: 'Sample and weigh',
      phase: 'before',
      instruction:
        'Chisel it out, do not drill. Crush it until no lump is left, weigh the portion at once, all of it into the bottle.',
      fields: ['from', 'quick', 'balance', 'bottle', 'portion', 'mass'],
      caution:
        'Look for heating tubes before you chisel. Dust: glasses and a mask. Patch the place afterwards.',
    },
    {
      id: 'bottle',
      title: 'Close it, shake it, read it',
      phase: 'test',
      instruction:
        'Balls first, then the ampoule, close it and shake it so that the glass breaks. Shake again in between, read after ten minutes.',
      fields: ['startedAt', 'tight', 'pressure', 'readAt'],
      caution:
        'Carbide and water make acetylene under pressure: it burns. No flame, no spark, no smoking; follow the data sheet and the local rules.',
      clock: {
        title: 'Closed',
        from: 'startedAt',
        to: 'readAt',
        limit: 'carbide.time',
        means: {
          severity: 'departure',
          early: 'The gauge still rises: it reads low. Read it at ten minutes.',
          late: 'The gas cools and leaks: it reads low. Take another sample.',
        },
        waits: { what: 'Read the gauge', lane: 'slab' },
      },
    },
    {
      id: 'empty',
      title: 'Empty it',
      phase: 'after',
      instruction:
        'Open it slowly outdoors, away from the face. Lumps in the powder: it was not crushed enough.',
      fields: ['airTemperature', 'remarks'],
      caution:
        'What is left is caustic lime: gloves and glasses, into the container that the data sheet names, never into a drain.',
    },
  ],
  performedAt: 'readAt',
  sequence: [['startedAt', 'readAt']],
  set: {
    word: 'Samples of screed',
    quantity: CARBIDE,
    by: [],
    combine: 'each alone',
    step: 'carbide.step',
    criteria: ['carbide'],
  },
  columns: [
    { heading: 'Portion', of: ['portion'] },
    { heading: 'Gauge', of: ['pressure'] },
    { heading: 'From', of: ['from'] },
    { heading: 'Bottle', of: ['bottle'] },
  ],
  notClaimed: [
    'Moisture by carbide is what reacts in ten minutes. It is neither the water that an oven takes out nor a humidity, and is not turned into them.',
  ],
  plan(system, setup) {
    return limitRows(['carbide.time', 'carbide.mass'], system, setup);
  },
  compute,
  example: (system) => ({
    input: { ...exampleInput(fieldsOf(CarbideInput), system), system, quick: true, tight: true },
    setup: {
      zone: 'America/New_York',
      specimen: { label: 'EXAMPLE-C1', form: 'screed-sample', since: '2031-03-01T09:00:00-05:00' },
      equipment: [
        { number: 'BALANCE-1', kind: 'balance', verifiedOn: '2030-11-12' },
        { number: 'BOTTLE-1', kind: 'carbide bottle', verifiedOn: '2030-11-12' },
      ],
      facts: { screed: 'cement' },
    },
  }),
};
