import { standard } from '../../working';
import type { Method } from '../contract';
import { dryingOutcome, dryingWaits, dryMassOf } from '../drying/oven';
import { exampleInput } from '../example';
import { exampleBatch } from '../example-batch';
import type { Facts } from '../facts';
import { fieldsOf } from '../fields';
import { limitRows } from '../limit-rows';
import { MASS, massText } from '../mass-spec';
import { RECEIVED } from '../swapped';
import { OvenDryingInput } from './input';

/** Specimens dried in an oven to constant mass. */
export const ovenDrying: Method<OvenDryingInput> = {
  id: 'oven-drying',
  title: 'Oven drying',
  designations: [standard('ASTM C140/C140M')],
  runOn: 'batch',
  batch: {
    letters: 'OV',
    begin: 'Dry in the oven',
    done: 'dried',
    facts: RECEIVED,
    tells: (input, { label }, setup): Facts => {
      const mass = dryMassOf(input, label, setup);
      return mass ? { dryMass: massText(mass, input.system) } : {};
    },
  },
  yields: [{ quantity: 'oven-dry mass', symbol: 'Wd' }],
  Input: OvenDryingInput,
  steps: [
    {
      id: 'in',
      title: 'Into the oven',
      phase: 'before',
      instruction: 'Air around each of them, the vent open. The clock runs from when the door is shut.',
      fields: ['oven', 'balance', 'temperature', 'inAt'],
      caution:
        'Units are heavy: lift by two. What the oven may do unattended says the laboratory’s own rule.',
    },
    {
      id: 'weigh',
      title: 'Weigh, and weigh again',
      phase: 'test',
      instruction:
        'Scan the specimen, type its mass, back into the oven. The second weighing of two that differ by no more than 0.2 % ends it; the lowest mass counts.',
      fields: ['weighings', 'hottest', 'log', 'dryAt'],
      caution: 'Hot: gloves and tongs, a free way from oven to balance.',
    },
    {
      id: 'remarks',
      title: 'What was odd',
      phase: 'after',
      instruction: 'A corner lost, the door left open, the power gone.',
      fields: ['remarks'],
    },
  ],
  performedAt: 'dryAt',
  sequence: [['inAt', 'dryAt']],
  plan: (system, setup) =>
    limitRows(['oven.temperature', 'oven.first', 'drying.every', 'drying.loss'], system, setup),
  compute: (input, setup) =>
    dryingOutcome(input, setup, {
      ...{ unit: MASS.unit[input.system], step: MASS.step[input.system] },
      ...{ range: 'oven.temperature', hot: 'invalid' },
    }),
  waits: dryingWaits,
  example: (system) => ({
    input: { ...exampleInput(fieldsOf(OvenDryingInput), system), system },
    setup: exampleBatch('OV-1', ['EXAMPLE-A', 'EXAMPLE-B'], 'unit-full', [
      { kind: 'oven', number: 'OVEN-1' },
      { kind: 'balance', number: 'BALANCE-1' },
    ]),
  }),
};
