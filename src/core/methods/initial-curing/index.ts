import { standard } from '../../working';
import type { Method, Step } from '../contract';
import { exampleInput } from '../example';
import { specified } from '../facts';
import { fieldsOf } from '../fields';
import { limitsOf } from '../setup';
import { compute, initialRange, waits } from './compute';
import { InitialCuringInput } from './input';

/** Order of work: ASTM C31/C31M and C511 (from memory), in our own words. */
const STEPS: readonly Step[] = [
  {
    id: 'first',
    title: 'First hours on site',
    phase: 'before',
    instruction:
      'Upright, level, covered, away from sun, heater and vibration. Min-max thermometer at specimen height, reset.',
    fields: ['method', 'atPlacing', 'setAt', 'meanTemperature', 'retarder'],
  },
  {
    id: 'collect',
    title: 'Collect',
    phase: 'test',
    instruction:
      'Read lowest and highest, photograph, look at every specimen. Not before eight hours after final set, not after 48 hours.',
    fields: [
      'minimum',
      'maximum',
      'outdoorMinimum',
      'outdoorMaximum',
      'log',
      'dateOrder',
      'collectedAt',
      'condition',
    ],
    caution: 'Lift with a straight back; electricity stays away from water.',
  },
  {
    id: 'carry',
    title: 'To the laboratory',
    phase: 'test',
    instruction: 'Upright, cushioned, tied; wet burlap or lids; insulated in frost or heat.',
    fields: ['leftAt', 'protectedOnTheWay', 'receivedAt'],
    caution: 'Tie the load: a cylinder through a windscreen kills.',
  },
  {
    id: 'wet',
    title: 'Into final cure',
    phase: 'after',
    instruction: 'Mould off, mark the concrete itself, then into water or moist room within half an hour.',
    fields: [
      'demouldedAt',
      'wetAt',
      'finalTemperature',
      'siteWater',
      'storedAt',
      'soakedAt',
      'testBegunAt',
      'remarks',
    ],
    caution: 'Lime water burns: gloves and eye protection.',
  },
];

/** Initial curing, transport and the change into final cure. */
export const initialCuring: Method<InitialCuringInput> = {
  id: 'initial-curing',
  title: 'Initial curing and transport',
  designations: [standard('ASTM C31/C31M'), standard('ASTM C511')],
  runOn: 'sample',
  facts: {
    specifiedStrength: specified('specifiedStrength'),
  },
  yields: [
    { quantity: 'highest temperature', symbol: 'Tmax' },
    { quantity: 'lowest temperature', symbol: 'Tmin' },
  ],
  Input: InitialCuringInput,
  steps: STEPS,
  performedAt: 'collectedAt',
  plan: (system, setup) => {
    const limits = limitsOf(setup);
    return [
      { label: 'Temperature', text: initialRange(setup, limits, system).text },
      { label: 'On site', text: limits.of('curing.initial', system).text },
      { label: 'Moved', text: `${limits.of('curing.after-set', system).text} after final set` },
      { label: 'On the way', text: limits.of('curing.transport', system).text },
    ];
  },
  compute,
  waits,
  example: (system) => ({
    input: { ...exampleInput(fieldsOf(InitialCuringInput), system), system },
    setup: {
      zone: 'America/New_York',
      sample: {
        label: 'EXAMPLE',
        sampledAt: '2031-05-14T09:30:00-04:00',
        events: { batched: '2031-05-14T08:42:00-04:00', moulded: '2031-05-14T09:49:00-04:00' },
      },
      facts: { specifiedStrength: system === 'US' ? '4,450 psi' : '31 MPa' },
    },
  }),
};
