import { standard } from '../../working';
import type { Method, Step } from '../contract';
import { exampleInput } from '../example';
import { factText, specified } from '../facts';
import { fieldsOf } from '../fields';
import { limitsOf } from '../setup';
import { compute } from './compute';
import { SlumpFlowInput } from './input';

/** Order of work: ASTM C1611/C1611M (from memory), in our own words. */
const STEPS: readonly Step[] = [
  {
    id: 'fill',
    title: 'Plate and mould',
    phase: 'before',
    instruction:
      'Level, damp plate without puddles. Remix, fill in one lift, slightly heaped: no rodding, no tapping. Strike off, clear the spill.',
    fields: ['mould', 'procedure', 'fillStartedAt'],
    caution: 'Wet concrete burns skin and eyes: gloves, sleeves, eye protection; wash it off at once.',
  },
  {
    id: 'lift',
    title: 'Lift',
    phase: 'test',
    instruction: 'Straight up 9 in [225 mm]. Press when the paste reaches the ring, if you time it.',
    fields: ['liftStartedAt', 'liftEndedAt', 'liftTime', 'totalTime', 'ringTime'],
    caution: 'Kneel to lift; keep the back straight.',
  },
  {
    id: 'read',
    title: 'Two diameters',
    phase: 'test',
    instruction:
      'When it has stopped: the largest, then the one at right angles through the centre. Look from above.',
    fields: ['diameter1', 'diameter2', 'halo', 'stability', 'readAt', 'remarks'],
  },
];

/** Slump flow of self-consolidating concrete. */
export const slumpFlow: Method<SlumpFlowInput> = {
  id: 'slump-flow',
  title: 'Slump flow',
  designations: [standard('ASTM C1611/C1611M')],
  runOn: 'sample',
  facts: {
    slumpFlow: specified('slumpFlow'),
    aggregate: specified('aggregate'),
  },
  yields: [
    { quantity: 'slump flow', symbol: 'SF' },
    { quantity: 'time to the ring', symbol: 'T50' },
  ],
  Input: SlumpFlowInput,
  steps: STEPS,
  needsCard: true,
  performedAt: 'readAt',
  plan: (system, setup) => {
    const limits = limitsOf(setup);
    const specifiedFlow = factText(setup, 'slumpFlow');
    return [
      ...(specifiedFlow ? [{ label: 'Specified', text: specifiedFlow }] : []),
      { label: 'Fill start to mould off', text: limits.of('flow.total', system).text },
      { label: 'Lift', text: limits.of('flow.lift', system).text },
      { label: 'Diameters differ', text: limits.of('flow.difference', system).text },
    ];
  },
  compute,
  example: (system) => ({
    input: { ...exampleInput(fieldsOf(SlumpFlowInput), system), system },
    setup: {
      zone: 'America/New_York',
      sample: { label: 'EXAMPLE', sampledAt: '2031-05-14T09:30:00-04:00' },
      facts: { slumpFlow: system === 'US' ? '25 in' : '640 mm' },
      equipment: [{ number: 'CONE-1', kind: 'slump mould', verifiedOn: '2031-01-20' }],
    },
  }),
};
