import { standard } from '../../working';
import type { Method } from '../contract';
import { exampleInput } from '../example';
import { asked, factOption } from '../facts';
import { fieldsOf } from '../fields';
import { limitRows } from '../limit-rows';
import { depthRow, SLAB_KINDS, type SlabKind } from '../slab/drying';
import { EDITION_IDS, sealedRow } from '../slab/reading';
import { compute, waits } from './compute';
import { SlabHoleInput } from './input';

/** A hole for a humidity probe, from the scan to the cap. Order of work: ASTM F2170 (from memory), in our own words. */
export const slabHole: Method<SlabHoleInput> = {
  id: 'slab-hole',
  title: 'Hole for humidity',
  designations: [standard('ASTM F2170')],
  runOn: 'specimen',
  onSite: true,
  forms: ['slab-hole'],
  spends: false,
  facts: {
    slab: { of: 'sample', take: 'slab', is: { options: SLAB_KINDS } },
    edition: asked('edition', { options: EDITION_IDS }),
    readAt: { of: 'specimen', take: 'input.readAt', by: ['slab-humidity'], is: 'instant' },
  },
  yields: [{ quantity: 'depth over thickness', symbol: 'd/t' }],
  Input: SlabHoleInput,
  steps: [
    {
      id: 'place',
      title: 'Look what lies there',
      phase: 'before',
      instruction: 'Drawings, then the scanner. Mark the place, photograph it.',
      fields: ['scanned'],
      caution:
        'No hole without drawings and a scan: stressed tendons, heating tubes, conduits. Old tile and black glue may hold asbestos: a survey first. The site’s own rules come first.',
    },
    {
      id: 'thickness',
      title: 'How thick it is',
      phase: 'before',
      instruction:
        'Measured at one place of each pour: at an opening, in a core, by radar. The drawing alone is not enough.',
      fields: ['thickness', 'thicknessBy'],
    },
    {
      id: 'drill',
      title: 'Drill',
      phase: 'test',
      instruction:
        'Dry, square to the floor; let a hot bit cool. Then brush and vacuum, twice, and hold the ruler of this slab against it.',
      fields: ['drilled', 'cleaned', 'depth'],
      caution: 'Silica dust: shroud, HEPA vacuum, respirator by the local rule. Ears and eyes.',
    },
    {
      id: 'seal',
      title: 'Line and seal',
      phase: 'test',
      instruction:
        'Liner down to the bottom, tight at the floor, cap on at once: an open hole begins its day anew.',
      fields: ['lined', 'serial', 'sealedAt'],
      caution: 'A cap that stands out is tripped over: flush, or an eighth of an inch below.',
    },
    {
      id: 'note',
      title: 'What else there is',
      phase: 'after',
      instruction: 'What may explain its reading later.',
      fields: ['remarks'],
    },
  ],
  performedAt: 'sealedAt',
  waits,
  columns: [
    { heading: 'Depth', of: ['depth'] },
    { heading: 'Slab', of: ['thickness'] },
    { heading: 'Known by', of: ['thicknessBy'] },
    { heading: 'Sensor', of: ['serial'] },
  ],
  plan(system, setup) {
    const kind: SlabKind = factOption(setup, 'slab', SLAB_KINDS) ?? 'grade';
    return limitRows([depthRow(kind), 'slab.depth', sealedRow(setup)], system, setup);
  },
  compute,
  example: (system) => ({
    input: { ...exampleInput(fieldsOf(SlabHoleInput), system), system, cleaned: true, lined: true },
    setup: {
      zone: 'America/New_York',
      specimen: { label: 'EXAMPLE-H1', form: 'slab-hole', since: '2031-03-01T09:00:00-05:00' },
      facts: { slab: 'grade' },
    },
  }),
};
