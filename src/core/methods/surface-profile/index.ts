import { standard } from '../../working';
import type { Method } from '../contract';
import { exampleInput } from '../example';
import { asked, factOption } from '../facts';
import { fieldsOf } from '../fields';
import { limitRows } from '../limit-rows';
import { LAYER_IDS, profileRow } from '../slab/layers';
import { compute, DEPTH, ROUGHEST, SMOOTHEST } from './compute';
import { SurfaceProfileInput } from './input';

/** Roughness of concrete before it is coated, by chips and by replica putty. Order of work in our own words. */
export const surfaceProfile: Method<SurfaceProfileInput> = {
  id: 'surface-profile',
  title: 'Profile of the surface',
  designations: [standard('ICRI 310.2R'), standard('ASTM D7682')],
  runOn: 'sample',
  facts: {
    layer: asked('layer', { options: LAYER_IDS }),
    profileLow: asked('profileLow', 'number'),
    profileHigh: asked('profileHigh', 'number'),
  },
  yields: [
    { quantity: SMOOTHEST, symbol: 'CSPmin' },
    { quantity: ROUGHEST, symbol: 'CSPmax' },
    { quantity: DEPTH, symbol: 'p' },
  ],
  Input: SurfaceProfileInput,
  steps: [
    {
      id: 'ready',
      title: 'Before it is compared',
      phase: 'before',
      instruction: 'Vacuumed, dry, a lamp low from the side. What it was made rough with.',
      fields: ['clean', 'made'],
      caution: 'Silica dust: HEPA vacuum, respirator by the local rule. Old coverings may hold asbestos.',
    },
    {
      id: 'spots',
      title: 'Spot by spot',
      phase: 'test',
      instruction:
        'The chips beside it, light from the side: look, then feel. Say the two it lies between. Photograph it with the chip in the picture.',
      fields: ['spots', 'comparedAt'],
    },
    {
      id: 'note',
      title: 'What else there is',
      phase: 'after',
      instruction: 'Who looked too; patches that were made since.',
      fields: ['second', 'remarks'],
    },
  ],
  performedAt: 'comparedAt',
  notClaimed: ['A profile is that of the places compared, by the eye of who compared it.'],
  plan(system, setup) {
    const layer = factOption(setup, 'layer', LAYER_IDS);
    return limitRows([...(layer ? [profileRow(layer)] : []), 'profile.spots'], system, setup);
  },
  compute,
  example: (system) => ({
    input: { ...exampleInput(fieldsOf(SurfaceProfileInput), system), system },
    setup: {
      zone: 'America/New_York',
      sample: { label: 'EXAMPLE-001' },
      facts: { layer: 'high-build' },
    },
  }),
};
