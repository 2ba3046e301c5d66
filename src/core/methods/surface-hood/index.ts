import { standard } from '../../working';
import type { Method } from '../contract';
import { exampleInput } from '../example';
import { asked } from '../facts';
import { fieldsOf } from '../fields';
import { limitRows } from '../limit-rows';
import { limitsOf } from '../setup';
import { UNDER_BOX } from '../slab/quantities';
import { compute } from './compute';
import { SurfaceHoodInput } from './input';
import { steadiness } from './steady';

/** Humidity of the air in a box on the surface. Order of work: BS 8203 (from memory), in our own words. */
export const surfaceHood: Method<SurfaceHoodInput> = {
  id: 'surface-hood',
  title: 'Humidity under a box',
  designations: [standard('BS 8203')],
  runOn: 'specimen',
  onSite: true,
  forms: ['surface-hood'],
  facts: { hoodMost: asked('hoodMost', { dimension: 'percent' }) },
  yields: [{ quantity: UNDER_BOX, symbol: 'RHs' }],
  Input: SurfaceHoodInput,
  steps: [
    {
      id: 'seal',
      title: 'Seal it down',
      phase: 'before',
      instruction:
        'Bare and clean, out of sun and heat. The insulated box on a bead all round, the hygrometer in it.',
      fields: ['service', 'heating', 'offAt', 'probe', 'sealedAt'],
      caution: 'A box on the floor is tripped over: mark it off.',
    },
    {
      id: 'read',
      title: 'Read it day by day',
      phase: 'test',
      instruction: 'Do not lift it. From 72 h on, once a day, until two readings agree.',
      fields: ['readings', 'sealed'],
    },
    {
      id: 'off',
      title: 'Take it off',
      phase: 'after',
      instruction: 'What the room was like while it stood. Look at the surface under it.',
      fields: ['slabTemperature', 'airTemperature', 'airHumidity', 'doneAt', 'remarks'],
    },
  ],
  performedAt: 'doneAt',
  sequence: [['offAt', 'sealedAt', 'doneAt']],
  waits: (input, setup) => {
    const { next, pair } = steadiness(input, limitsOf(setup));
    if (next === undefined) return [];
    const done = pair?.[1].at;
    return [
      {
        id: 'reading',
        what: 'Read the box',
        lane: 'slab',
        opens: new Date(done ?? next).toISOString(),
        ...(done === undefined ? {} : { done: new Date(done).toISOString() }),
      },
    ];
  },
  set: {
    word: 'Boxes on the surface',
    quantity: UNDER_BOX,
    by: [],
    combine: 'each alone',
    step: 'hood.step',
    criteria: ['surface-hood'],
  },
  columns: [
    { heading: 'Sealed down', of: ['sealedAt'] },
    { heading: 'Taken off', of: ['doneAt'] },
    { heading: 'Hygrometer', of: ['probe'] },
    { heading: 'Air at', of: ['airTemperature'] },
    { heading: 'Its humidity', of: ['airHumidity'] },
  ],
  notClaimed: [
    'Humidity under a box is that of the air over the surface. It is not the humidity in the slab, and is not turned into it.',
  ],
  plan(system, setup) {
    return limitRows(
      ['hood.sealed', 'hood.between', 'hood.agree', 'hood.heating', 'floor.hood'],
      system,
      setup,
    );
  },
  compute,
  example: (system) => ({
    input: { ...exampleInput(fieldsOf(SurfaceHoodInput), system), system, sealed: true },
    setup: {
      zone: 'America/New_York',
      specimen: { label: 'EXAMPLE-B1', form: 'surface-hood', since: '2031-03-01T09:00:00-05:00' },
      equipment: [{ number: 'PROBE-1', kind: 'humidity probe', verifiedOn: '2030-11-12' }],
    },
  }),
};
