import { standard } from '../../working';
import type { Method, Step } from '../contract';
import { exampleInput } from '../example';
import { asked, resultBefore, specified } from '../facts';
import { fieldsOf } from '../fields';
import { limitsOf } from '../setup';
import { compute } from './compute';
import { ConcreteTemperatureInput } from './input';

export { ConcreteTemperatureInput } from './input';
export { temperatureLimits } from './range';

/** Order of work: ASTM C1064/C1064M (from memory), in our own words. */
const STEPS: readonly Step[] = [
  {
    id: 'in',
    title: 'Sensor in',
    phase: 'before',
    instruction:
      'Damp container or barrow. Push the sensor in deep enough and press the concrete closed round it.',
    fields: ['thermometer', 'place', 'cover', 'insertedAt'],
    caution: 'Wet concrete burns skin: gloves. Use a steel or digital thermometer: glass breaks.',
  },
  {
    id: 'read',
    title: 'Wait and read',
    phase: 'test',
    instruction: 'At least two minutes and steady; read with the sensor in.',
    fields: [
      'dwell',
      'trace',
      'steady',
      'temperature',
      'readDelay',
      'readAt',
      'airTemperature',
      'cold',
      'heated',
      'remarks',
    ],
  },
];

/** Temperature of freshly mixed concrete. */
export const concreteTemperature: Method<ConcreteTemperatureInput> = {
  id: 'concrete-temperature',
  title: 'Concrete temperature',
  designations: [standard('ASTM C1064/C1064M')],
  runOn: 'sample',
  facts: {
    temperatureMaximum: specified('temperatureMaximum'),
    temperatureMinimum: asked('temperatureMinimum', { dimension: 'temperature' }),
    aggregate: specified('aggregate'),
    section: { of: 'lot', take: 'section', is: { dimension: 'length' } },
    previousTemperature: resultBefore('concrete temperature', ['concrete-temperature'], {
      dimension: 'temperature',
    }),
  },
  yields: [{ quantity: 'concrete temperature', symbol: 'T' }],
  Input: ConcreteTemperatureInput,
  steps: STEPS,
  needsCard: true,
  performedAt: 'readAt',
  plan: (system, setup) => {
    const limits = limitsOf(setup);
    return [
      { label: 'Cover', text: limits.of('temperature.cover', system).text },
      { label: 'Sensor in', text: limits.of('temperature.dwell', system).text },
      { label: 'Complete', text: `${limits.of('temperature.complete', system).text} after the sample` },
    ];
  },
  compute,
  example: (system) => ({
    input: {
      ...exampleInput(fieldsOf(ConcreteTemperatureInput), system),
      heated: false,
      cold: false,
      system,
    },
    setup: {
      zone: 'America/New_York',
      sample: { label: 'EXAMPLE', sampledAt: '2031-05-14T09:30:00-04:00' },
      facts: { temperatureMaximum: system === 'US' ? '92 °F' : '33 °C' },
      equipment: [{ number: 'THERMO-1', kind: 'thermometer', verifiedOn: '2031-01-20' }],
    },
  }),
};
