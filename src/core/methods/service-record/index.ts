import { standard } from '../../working';
import type { Method } from '../contract';
import { exampleInput } from '../example';
import { fieldsOf } from '../fields';
import { limitRows } from '../limit-rows';
import { compute, HELD } from './compute';
import { ServiceRecordInput } from './input';

/** The air of a level over time, held to what the finished building will have. Order of work in our own words. */
export const serviceRecord: Method<ServiceRecordInput> = {
  id: 'service-record',
  title: 'Record of the air',
  designations: [standard('ASTM F2170'), standard('ASTM F710')],
  runOn: 'lot',
  again: 'freely',
  begin: 'Read out the air',
  yields: [{ quantity: HELD, symbol: 't', named: true }],
  Input: ServiceRecordInput,
  steps: [
    {
      id: 'asked',
      title: 'What it will be',
      phase: 'before',
      instruction:
        'Slab and air as the finished building will have them. The logger in the zone, out of sun, away from heaters, a reading an hour or more.',
      fields: ['logger', 'temperature', 'humidity'],
    },
    {
      id: 'read',
      title: 'Read it out',
      phase: 'test',
      instruction: 'Before the holes are read: what it says of the last two days is what makes them count.',
      fields: ['record', 'readAt'],
    },
    {
      id: 'note',
      title: 'What else there is',
      phase: 'after',
      instruction: 'Heating off for a weekend, doors open, rain in.',
      fields: ['remarks'],
    },
  ],
  performedAt: 'readAt',
  plan(system, setup) {
    return limitRows(
      ['slab.service', 'service.temperature', 'service.humidity', 'service.gap'],
      system,
      setup,
    );
  },
  compute,
  example: (system) => ({
    input: { ...exampleInput(fieldsOf(ServiceRecordInput), system), system },
    setup: { zone: 'America/New_York' },
  }),
};
