import { BEAMS, sizesOf } from '../../moulds';
import { standard } from '../../working';
import type { Method } from '../contract';
import { exampleInput } from '../example';
import { fieldsOf } from '../fields';
import { limitRows } from '../limit-rows';
import { ABSORPTION, APPARENT, BOILED, compute, DRY, VOIDS, waits } from './compute';
import { HardenedDensityInput } from './input';

/** Density, absorption and voids of the pieces of a broken specimen. */
export const hardenedDensity: Method<HardenedDensityInput> = {
  id: 'hardened-density',
  title: 'Density and voids of the pieces',
  designations: [standard('ASTM C642')],
  runOn: 'specimen',
  forms: sizesOf(...BEAMS, 'cylinder', 'cube', 'core'),
  spends: false,
  pieces: true,
  yields: [
    { quantity: VOIDS, symbol: 'V' },
    { quantity: ABSORPTION, symbol: 'ai' },
    { quantity: BOILED, symbol: 'ab' },
    { quantity: DRY, symbol: 'g1' },
    { quantity: 'bulk density after immersion', symbol: 'gi' },
    { quantity: 'bulk density after boiling', symbol: 'gb' },
    { quantity: APPARENT, symbol: 'g2' },
  ],
  Input: HardenedDensityInput,
  steps: [
    {
      id: 'oven',
      title: 'Dry',
      phase: 'before',
      instruction:
        'Pieces without cracks or loose edges, at least 350 mL each. A day in the oven, cooled in a desiccator, weighed; back for a day until two in a row differ by no more than half a percent.',
      fields: ['balance', 'ovenAt', 'oven', 'weighings'],
      caution: 'Hot pieces and a hot oven: gloves and tongs. Sawing them is wet work: silica dust.',
    },
    {
      id: 'water',
      title: 'Soak',
      phase: 'test',
      instruction:
        'In water at about 70 °F [21 °C], two days at least. Surface wiped with a towel, weighed within a minute; a day later again, until it takes up no more than half a percent.',
      fields: ['waterAt'],
    },
    {
      id: 'boil',
      title: 'Boil and cool',
      phase: 'test',
      instruction:
        'Five hours boiling, then cooling in the same water for fourteen hours at least. Wiped and weighed, then hung.',
      fields: ['boilAt', 'offAt'],
      caution:
        'Boiling water and steam scald: lid on, let it cool by itself. Keep electric leads away from the water.',
    },
    {
      id: 'hang',
      title: 'Hang it in water',
      phase: 'after',
      instruction:
        'The hanger tared at the depth it hangs, no bubbles on the piece, nothing touching the tank.',
      fields: ['finishedAt', 'remarks'],
    },
  ],
  sequence: [['since', 'ovenAt', 'waterAt', 'boilAt', 'offAt', 'finishedAt']],
  performedAt: 'finishedAt',
  plan: (system, setup) => {
    return limitRows(['voids.oven', 'voids.soak', 'voids.boil', 'voids.cool'], system, setup);
  },
  compute,
  waits,
  example: (system) => ({
    input: { ...exampleInput(fieldsOf(HardenedDensityInput), system), system },
    setup: {
      zone: 'America/New_York',
      specimen: {
        label: 'EXAMPLE-A',
        form: system === 'US' ? 'beam-6x6x21' : 'beam-150x150x530',
        since: '2031-05-14T09:30:00-04:00',
        ageHours: 672,
      },
      equipment: [{ number: 'BALANCE-1', kind: 'balance', verifiedOn: '2031-01-20' }],
    },
  }),
};
