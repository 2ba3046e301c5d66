import { standard } from '../../working';
import type { Method, Step } from '../contract';
import { exampleInput } from '../example';
import { asked, factFlag } from '../facts';
import { fieldsOf } from '../fields';
import { limitsOf } from '../setup';
import { compute } from './compute';
import { EvaporationInput } from './input';

/** Order of work: ACI 305R and 305.1 (from memory), in our own words. */
const STEPS: readonly Step[] = [
  {
    id: 'weather',
    title: 'Weather at the slab',
    phase: 'test',
    instruction:
      'In the shade, upwind, instruments settled; wind 20 in [0.5 m] above the surface, a minute’s mean.',
    fields: ['meter', 'airTemperature', 'humidity', 'wind', 'averaged', 'windAt', 'readAt'],
    caution: 'Sun and heat: water, shade, breaks; watch each other.',
  },
  {
    id: 'concrete',
    title: 'Concrete',
    phase: 'test',
    instruction:
      'Temperature of the surface. From an hour before placing until curing is on, at least every half hour.',
    fields: ['concreteTemperature', 'concreteFrom', 'measures', 'remarks'],
  },
];

/** Rate of evaporation from fresh concrete at a placement. */
export { evaporationRate, wouldTake } from './formulas';
export const evaporation: Method<EvaporationInput> = {
  id: 'evaporation',
  title: 'Evaporation rate',
  designations: [standard('ACI 305R')],
  runOn: 'lot',
  again: 'freely',
  begin: 'Read the weather',
  facts: {
    bleedsLittle: asked('bleedsLittle', 'flag'),
    previousReadingAt: {
      of: 'lot',
      take: 'input.readAt',
      by: ['evaporation'],
      which: 'before',
      is: 'instant',
    },
  },
  yields: [
    { quantity: 'evaporation rate', symbol: 'E' },
    { quantity: 'evaporation rate by vapour pressures', symbol: 'W' },
  ],
  Input: EvaporationInput,
  steps: STEPS,
  performedAt: 'readAt',
  plan: (system, setup) => {
    const limits = limitsOf(setup);
    return [
      {
        label: 'Protection from',
        text: limits.of(
          factFlag(setup, 'bleedsLittle') ? 'evaporation.low-bleed' : 'evaporation.protect',
          system,
        ).text,
      },
      {
        label: 'Caution from',
        text: limits.of('evaporation.caution', system).text,
      },
      { label: 'Between readings', text: limits.of('evaporation.interval', system).text },
    ];
  },
  compute,
  example: (system) => ({
    input: { ...exampleInput(fieldsOf(EvaporationInput), system), system },
    setup: {
      zone: 'America/New_York',
      lot: { label: 'EXAMPLE' },
      equipment: [{ number: 'WIND-1', kind: 'weather meter', verifiedOn: '2031-01-20' }],
    },
  }),
};
