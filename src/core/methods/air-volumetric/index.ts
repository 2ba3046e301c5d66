import { bowlCount } from '../../moulds';
import { standard } from '../../working';
import { airRange } from '../air';
import { AIR_FACTS } from '../air-facts';
import type { Method, Step } from '../contract';
import { exampleInput } from '../example';
import { factTexts } from '../facts';
import { fieldsOf } from '../fields';
import { limitsOf } from '../setup';
import { compute } from './compute';
import { AirVolumetricInput } from './input';

/** Order of work: ASTM C173/C173M (from memory), in our own words. */
const STEPS: readonly Step[] = [
  {
    id: 'fill',
    title: 'Fill the bowl',
    phase: 'before',
    instruction:
      'Two equal layers, 25 strokes each, the second 1 in [25 mm] into the first; 10 to 15 taps after each. Strike off, wipe the flange: a grain of sand on it leaks. (Older way: one layer.)',
    fields: ['meter', 'variant', 'fillStartedAt', 'strokes', 'taps', 'wetSieved', 'struckAt'],
    caution: 'Wet concrete burns skin and eyes: gloves, sleeves, eye protection.',
  },
  {
    id: 'liquid',
    title: 'Water and alcohol',
    phase: 'before',
    instruction:
      'Clamp. At least 1 pint [0.5 L] of water, then the measured alcohol, then water to zero; cap it.',
    fields: ['waterFirst', 'alcohol', 'zeroed'],
    caution:
      'Isopropyl alcohol burns and its vapour catches fire: no flame, spark or smoking, cap the bottle, read the safety data sheet. Collect the waste water; never into a drain.',
  },
  {
    id: 'roll',
    title: 'Invert, shake, roll',
    phase: 'test',
    instruction:
      'Upside down no longer than 5 s at once, 45 s in all and until the stones are heard. Then roll a minute, neck at 45 degrees.',
    fields: ['inverted', 'shakeStartedAt', 'shakeEndedAt', 'rollStartedAt', 'rollEndedAt', 'leaked'],
    caution: 'It is heavy: bend the knees, not the back.',
  },
  {
    id: 'read',
    title: 'Stand and read',
    phase: 'test',
    instruction:
      'Upright, cap loosened; wait until the level changes no more than 0.25 % in two minutes, six minutes at the most. Read, roll again a minute, read again.',
    fields: [
      'uprightAt',
      'standing',
      'steadyAt',
      'foam',
      'reading1',
      'reading2',
      'reading3',
      'waterCups',
      'cup',
      'alcoholCups',
      'readAt',
    ],
  },
  {
    id: 'empty',
    title: 'Empty and look',
    phase: 'after',
    instruction: 'Open, dump, look into the bowl.',
    fields: ['stuck', 'wholeVolume', 'retainedVolume', 'remarks'],
  },
];

/** Air content of fresh concrete by the volumetric method; for any aggregate. */
export const airVolumetric: Method<AirVolumetricInput> = {
  id: 'air-volumetric',
  title: 'Air, volumetric',
  designations: [standard('ASTM C173/C173M')],
  runOn: 'sample',
  facts: {
    ...AIR_FACTS,
    alcohol: {
      of: 'specification',
      take: 'input.alcohol',
      by: ['air-volumetric'],
      which: 'several',
      is: 'texts',
    },
  },
  yields: [{ quantity: 'air content', symbol: 'A' }],
  Input: AirVolumetricInput,
  steps: STEPS,
  needsCard: true,
  performedAt: 'readAt',
  counts: (_values, system, setup) => bowlCount(2, 'rod', system, limitsOf(setup)),
  plan: (system, setup) => {
    const limits = limitsOf(setup);
    const range = airRange(system, setup, limits);
    return [
      ...(range ? [{ label: 'Specified', text: range.text }] : []),
      ...(factTexts(setup, 'alcohol').length > 0
        ? [
            {
              label: 'Alcohol that worked with this mix',
              text: factTexts(setup, 'alcohol').join(', '),
              note: 'valid tests, the newest first',
            },
          ]
        : []),
      { label: 'Alcohol the table covers', text: limits.of('air-volumetric.alcohol', system).text },
      {
        label: 'Alcohol to begin with',
        text: 'up to 0.5 pt [0.2 L] for lean mixes with little air, 1 to 2 pt [0.5 to 0.9 L] usually, 3 pt [1.4 L] and more for rich ones',
        note: 'common practice, no source',
      },
    ];
  },
  compute,
  example: (system) => ({
    input: { ...exampleInput(fieldsOf(AirVolumetricInput), system), wetSieved: false, system },
    setup: {
      zone: 'America/New_York',
      sample: { label: 'EXAMPLE', sampledAt: '2031-05-14T09:30:00-04:00' },
      facts: { air: '6 %', aggregate: system === 'US' ? '0.75 in' : '19 mm' },
      equipment: [{ number: 'ROLL-1', kind: 'volumetric meter', verifiedOn: '2031-01-20' }],
    },
  }),
};
