import { standard } from '../../working';
import type { Method, Step } from '../contract';
import { exampleInput } from '../example';
import { fieldsOf } from '../fields';
import { limitsOf } from '../setup';
import { compute } from './compute';
import { SamplingInput } from './input';

/** Order of work: ASTM C172/C172M (from memory), in our own words. */
const STEPS: readonly Step[] = [
  {
    id: 'ready',
    title: 'Before the truck is called',
    phase: 'before',
    instruction:
      'Damp barrow without standing water, shovel, scoop, cover; test kit laid out and dampened; a level shaded place near where the specimens will cure.',
    fields: ['kind', 'source', 'allIn'],
    caution:
      'Reversing trucks, chutes, whipping pump hoses, overhead lines: follow the site’s rules; stay out of the circle of the hose end.',
  },
  {
    id: 'portions',
    title: 'Portions',
    phase: 'test',
    instruction:
      'Chute: two or more from the middle, whole stream, never the first or last. Pile: five places or more, no subgrade. Pump: after all slurry, boom as it places.',
    fields: [
      'firstPortionAt',
      'finalPortionAt',
      'portions',
      'loadVolume',
      'outAtFirst',
      'outAtLast',
      'wholeStream',
      'boom',
      'slurryGone',
    ],
    caution: 'Wet concrete burns skin and eyes; a full barrow weighs 300 to 450 lb [140 to 200 kg].',
  },
  {
    id: 'composite',
    title: 'One composite',
    phase: 'test',
    instruction:
      'To the test place, remix with the shovel only until uniform, shield it from sun, wind and rain.',
    fields: ['compositeAt', 'look', 'size', 'specimens', 'location', 'weather', 'remarks'],
  },
];

/** Sampling of fresh concrete. */
export const sampling: Method<SamplingInput> = {
  id: 'sampling',
  title: 'Sampling',
  designations: [standard('ASTM C172/C172M')],
  runOn: 'sample',
  yields: [
    { quantity: 'share discharged at the first portion', symbol: 'q1' },
    { quantity: 'share discharged at the final portion', symbol: 'q2' },
  ],
  Input: SamplingInput,
  steps: STEPS,
  needsCard: true,
  performedAt: 'finalPortionAt',
  plan: (system, setup) => {
    const limits = limitsOf(setup);
    return [
      { label: 'First to final portion', text: limits.of('sampling.composite', system).text },
      { label: 'From the middle', text: `${limits.of('sampling.middle', system).text} of the load` },
      { label: 'With strength specimens', text: limits.of('sampling.smallest', system).text },
    ];
  },
  compute,
  example: (system) => ({
    input: { ...exampleInput(fieldsOf(SamplingInput), system), system },
    setup: { zone: 'America/New_York', sample: { label: 'EXAMPLE', sampledAt: '2031-05-14T09:30:00-04:00' } },
  }),
};
