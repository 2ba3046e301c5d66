import { standard } from '../../working';
import type { Method } from '../contract';
import { exampleInput } from '../example';
import { fieldsOf } from '../fields';
import { limitRows } from '../limit-rows';
import { SEEN } from '../slab/quantities';
import { COULD, compute } from './compute';
import { SlabSheetInput } from './input';

/** Moisture seen under a plastic sheet. Order of work: ASTM D4263 (from memory), in our own words. */
export const slabSheet: Method<SlabSheetInput> = {
  id: 'slab-sheet',
  title: 'Plastic sheet',
  designations: [standard('ASTM D4263')],
  runOn: 'specimen',
  onSite: true,
  forms: ['slab-sheet'],
  yields: [
    { quantity: SEEN, symbol: 'w' },
    { quantity: COULD, symbol: 'RH0' },
  ],
  Input: SlabSheetInput,
  steps: [
    {
      id: 'tape',
      title: 'Tape it on',
      phase: 'before',
      instruction:
        'Bare and clean, dry to the touch, out of sun and heat. Photograph it. All four edges tight, 2 in [50 mm] of tape.',
      fields: ['surface', 'sheet', 'tapedAt'],
      caution:
        'A sheet on the floor is slipped on: mark it off. Old tile and black glue may hold asbestos: a survey before anything is taken off.',
      clock: {
        title: 'Taped on',
        from: 'tapedAt',
        to: 'peeledAt',
        limit: 'sheet.time',
        means: { severity: 'invalid', early: 'Too short to be a test: tape a fresh one for the night.' },
        waits: { what: 'Peel the sheet', lane: 'slab' },
      },
    },
    {
      id: 'peel',
      title: 'Peel it and look',
      phase: 'test',
      instruction:
        'First the temperatures, sheet still on. Then peel it and look at both faces at once: it dries while you watch.',
      fields: [
        'slabTemperature',
        'sheetTemperature',
        'airTemperature',
        'airHumidity',
        'peeledAt',
        'taped',
        'drops',
        'concrete',
        'photographs',
      ],
    },
    {
      id: 'note',
      title: 'What else there is',
      phase: 'after',
      instruction: 'A sheet that stays dry clears no coating by itself: it says that nothing was seen.',
      fields: ['remarks'],
    },
  ],
  performedAt: 'peeledAt',
  sequence: [['tapedAt', 'peeledAt']],
  set: {
    word: 'Sheets',
    quantity: SEEN,
    by: [],
    combine: 'each alone',
    step: 'sheet.step',
    criteria: ['slab-sheet'],
  },
  columns: [
    { heading: 'Under it', of: ['drops'] },
    { heading: 'Concrete', of: ['concrete'] },
    { heading: 'Taped', of: ['tapedAt'] },
    { heading: 'Peeled', of: ['peeledAt'] },
  ],
  notClaimed: ['A sheet that stays dry clears no floor and no coating by itself.'],
  plan(system, setup) {
    return limitRows(['sheet.time', 'sheet.count-area'], system, setup);
  },
  compute,
  example: (system) => ({
    input: { ...exampleInput(fieldsOf(SlabSheetInput), system), system },
    setup: {
      zone: 'America/New_York',
      specimen: { label: 'EXAMPLE-S1', form: 'slab-sheet', since: '2031-03-01T09:00:00-05:00' },
    },
  }),
};
