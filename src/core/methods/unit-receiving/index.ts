import { UNIT_FORMS } from '../../materials/masonry/forms';
import { standard } from '../../working';
import type { Method } from '../contract';
import { exampleInput } from '../example';
import { exampleBatch } from '../example-batch';
import { fieldsOf } from '../fields';
import { compute, tells } from './compute';
import { UnitReceivingInput } from './input';

/** Masonry units weighed as they came. */
export const unitReceiving: Method<UnitReceivingInput> = {
  id: 'unit-receiving',
  title: 'Units as received',
  designations: [standard('ASTM C140/C140M')],
  runOn: 'batch',
  forms: UNIT_FORMS,
  batch: {
    letters: 'RU',
    begin: 'Weigh as received',
    done: 'received masses',
    tells: (input, { label }) => tells(input, label),
  },
  yields: [{ quantity: 'received mass', symbol: 'Wr' }],
  Input: UnitReceivingInput,
  steps: [
    {
      id: 'ready',
      title: 'Mark and clean',
      phase: 'before',
      instruction:
        'Each unit carries its number on its end. Loose material off with stone or brush, cells included, before anything is weighed.',
      fields: ['balance', 'cleaned', 'place'],
      caution:
        'Units weigh 20 to 60 lb: two people or a hoist, gloves, safety shoes. Grit holds silica: brush damp.',
    },
    {
      id: 'weigh',
      title: 'Weigh each',
      phase: 'test',
      instruction: 'Scan or read the mark, type the mass: the time stamps itself.',
      fields: ['units', 'receivedAt'],
    },
    {
      id: 'look',
      title: 'Look at them',
      phase: 'after',
      instruction: 'Chips and cracks, with a photograph where there is doubt.',
      fields: ['remarks'],
    },
  ],
  performedAt: 'receivedAt',
  plan: () => [],
  compute,
  example: (system) => ({
    input: { ...exampleInput(fieldsOf(UnitReceivingInput), system), system },
    setup: exampleBatch('RU-1', ['EXAMPLE-U1', 'EXAMPLE-U2'], 'unit-full', [
      { kind: 'balance', number: 'BALANCE-1' },
    ]),
  }),
};
