import { standard } from '../../working';
import type { Method } from '../contract';
import { exampleInput } from '../example';
import { asked } from '../facts';
import { fieldsOf } from '../fields';
import { limitRows } from '../limit-rows';
import { compute, HIGHEST, LOWEST } from './compute';
import { SurfacePhInput } from './input';

/** Alkalinity of a surface. Order of work: ASTM F710 (from memory), in our own words. */
export const surfacePh: Method<SurfacePhInput> = {
  id: 'surface-ph',
  title: 'pH of the surface',
  designations: [standard('ASTM F710')],
  runOn: 'sample',
  facts: { phLow: asked('phLow', 'number'), phHigh: asked('phHigh', 'number') },
  yields: [
    { quantity: HIGHEST, symbol: 'pHmax' },
    { quantity: LOWEST, symbol: 'pHmin' },
  ],
  Input: SurfacePhInput,
  steps: [
    {
      id: 'ready',
      title: 'Before the water',
      phase: 'before',
      instruction:
        'The surface as the floor goes on it, dry since a day. Paper with its own chart, or a meter set today.',
      fields: ['surface', 'water', 'by', 'rinse'],
      caution:
        'Where it was washed with acid: face shield, gloves, ventilation; never with other cleaners. Data sheet and local rules first.',
    },
    {
      id: 'read',
      title: 'Puddles',
      phase: 'test',
      instruction:
        'A puddle about an inch wide, a minute, the strip in and out, held to its chart at once in white light. Each by itself.',
      fields: ['puddles', 'readAt'],
    },
    {
      id: 'note',
      title: 'What else there is',
      phase: 'after',
      instruction: 'Stains, residue, what was used to clean it.',
      fields: ['remarks'],
    },
  ],
  performedAt: 'readAt',
  notClaimed: ['The pH is that of the surface on its day. It can rise again while the slab dries.'],
  plan(system, setup) {
    return limitRows(['ph.wait', 'ph.usual'], system, setup);
  },
  compute,
  example: (system) => ({
    input: { ...exampleInput(fieldsOf(SurfacePhInput), system), system },
    setup: { zone: 'America/New_York', sample: { label: 'EXAMPLE-001' }, facts: { phHigh: '11' } },
  }),
};
