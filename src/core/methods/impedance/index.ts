import { standard } from '../../working';
import type { Method } from '../contract';
import { exampleInput } from '../example';
import { fieldsOf } from '../fields';
import { limitRows } from '../limit-rows';
import { compute, HIGHEST, LOWEST } from './compute';
import { ImpedanceInput } from './input';

/** A survey with a meter laid on the slab, to choose where to measure. Order of work: ASTM F2659 (from memory), in our own words. */
export const impedance: Method<ImpedanceInput> = {
  id: 'impedance',
  title: 'Survey by impedance',
  designations: [standard('ASTM F2659')],
  runOn: 'sample',
  again: 'freely',
  facts: { area: { of: 'sample', take: 'area', is: { dimension: 'area' } } },
  yields: [
    { quantity: HIGHEST, symbol: 'Imax', named: true },
    { quantity: LOWEST, symbol: 'Imin', named: true },
  ],
  Input: ImpedanceInput,
  steps: [
    {
      id: 'meter',
      title: 'The meter',
      phase: 'before',
      instruction: 'Check block first. One meter, one setting, from the first place to the last.',
      fields: ['meter', 'scale', 'checked'],
    },
    {
      id: 'read',
      title: 'Place by place',
      phase: 'test',
      instruction: 'Brush it, press all electrodes down, read, turn, read, turn, read: the highest counts.',
      fields: ['places', 'airTemperature', 'airHumidity', 'readAt', 'alike'],
      caution: 'Kneeling in traffic: mark your place off.',
    },
    {
      id: 'note',
      title: 'What else there is',
      phase: 'after',
      instruction:
        'It compares places of one floor. It is never the moisture of the slab and accepts nothing.',
      fields: ['remarks'],
    },
  ],
  performedAt: 'readAt',
  notClaimed: ['Readings of a surface meter compare places with one another. Nothing is accepted by them.'],
  plan(system, setup) {
    return limitRows(['impedance.first', 'impedance.further', 'impedance.spread'], system, setup);
  },
  compute,
  example: (system) => ({
    input: { ...exampleInput(fieldsOf(ImpedanceInput), system), system },
    setup: { zone: 'America/New_York', sample: { label: 'EXAMPLE-001' }, facts: { area: '900 ft2' } },
  }),
};
