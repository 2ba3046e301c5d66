import { BEAMS, sizesOf } from '../../moulds';
import { standard } from '../../working';
import type { Method } from '../contract';
import { exampleInput } from '../example';
import { resultOn } from '../facts';
import { fieldsOf } from '../fields';
import { limitRows } from '../limit-rows';
import { compute, DENSITY } from './compute';
import { WaterDensityInput } from './input';

/** Density of a whole specimen, weighed in air and in water. */
export const waterDensity: Method<WaterDensityInput> = {
  id: 'water-density',
  title: 'Density by water',
  designations: [standard('EN 12390-7')],
  runOn: 'specimen',
  forms: sizesOf(...BEAMS, 'cylinder', 'cube', 'core'),
  spends: false,
  facts: { freshDensity: resultOn('density', ['density-yield'], { dimension: 'density' }) },
  yields: [{ quantity: DENSITY, symbol: 'D' }],
  Input: WaterDensityInput,
  steps: [
    {
      id: 'air',
      title: 'In air',
      phase: 'before',
      instruction:
        'Saturated it is wiped: the film of water off, nothing more; on the balance within a minute. A dripping beam weighs a third of a percent too much.',
      fields: ['balance', 'moisture', 'massAir'],
      caution:
        'A beam weighs 60 to 85 lb [27 to 40 kg]: two people or a hoist. Lime water is alkaline: gloves.',
    },
    {
      id: 'water',
      title: 'In water',
      phase: 'test',
      instruction:
        'Hanger tared at the depth it hangs. Under water whole, turned once so that no bubble stays, nothing touching, read when it stood still for ten seconds.',
      fields: ['water', 'massWater', 'hanger', 'clear', 'weighedAt'],
      caution: 'Lower it with both hands clear of the tank’s edge. Keep electric leads away from the water.',
    },
    {
      id: 'inside',
      title: 'What is in it',
      phase: 'after',
      instruction:
        'Bars, a sensor, a cap: they are weighed with it. Where their mass is known the concrete alone is worked out.',
      fields: ['inside', 'insideMass', 'insideDensity', 'remarks'],
    },
  ],
  performedAt: 'weighedAt',
  plan: (system, setup) => {
    return limitRows(['weighed.temperature', 'weighed.water', 'weighed.fresh'], system, setup);
  },
  compute,
  example: (system) => ({
    input: { ...exampleInput(fieldsOf(WaterDensityInput), system), system, clear: true },
    setup: {
      zone: 'America/New_York',
      specimen: {
        label: 'EXAMPLE-A',
        form: system === 'US' ? 'beam-6x6x21' : 'beam-150x150x530',
        since: '2031-05-14T09:30:00-04:00',
        ageHours: 672,
      },
      equipment: [{ number: 'BALANCE-1', kind: 'balance', verifiedOn: '2031-01-20' }],
      facts: { freshDensity: system === 'US' ? '145.6 lb/ft3' : '2330 kg/m3' },
    },
  }),
};
