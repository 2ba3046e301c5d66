import { UNIT_FORMS } from '../../materials/masonry/forms';
import { standard } from '../../working';
import type { Method } from '../contract';
import { exampleInput } from '../example';
import { exampleBatch } from '../example-batch';
import { fieldsOf } from '../fields';
import { limitRows } from '../limit-rows';
import { compute, tells, waits } from './compute';
import { UnitConditioningInput } from './input';

/** Masonry units conditioned before they are capped. */
export const unitConditioning: Method<UnitConditioningInput> = {
  id: 'unit-conditioning',
  title: 'Conditioning of units',
  designations: [standard('ASTM C140/C140M')],
  runOn: 'batch',
  forms: UNIT_FORMS,
  batch: {
    letters: 'CN',
    begin: 'Condition them',
    done: 'conditioned',
    tells: (input, { label }, setup) => tells(input, label, setup),
  },
  yields: [{ quantity: 'conditioning time', symbol: 't' }],
  Input: UnitConditioningInput,
  steps: [
    {
      id: 'set',
      title: 'Set them out',
      phase: 'before',
      instruction:
        'Unstacked, half an inch [13 mm] of air on every side. A unit that was sawn wet begins here again.',
      fields: ['way', 'apart', 'placedAt'],
      caution: 'Lift by two. A fan near water: ground-fault protection.',
    },
    {
      id: 'wait',
      title: 'The room, or the fan',
      phase: 'test',
      instruction:
        'Room: its air is kept from 60 to 90 °F [16 to 32 °C], below 80 % humidity, which is a most and not a least. Fan: weigh after four hours, then every two.',
      fields: ['air', 'weighings'],
    },
    {
      id: 'end',
      title: 'Last look',
      phase: 'after',
      instruction: 'No damp anywhere, cells included. Then they are measured and capped.',
      fields: ['moisture', 'takenAt', 'remarks'],
    },
  ],
  performedAt: 'takenAt',
  sequence: [['placedAt', 'takenAt']],
  plan: (system, setup) =>
    limitRows(
      ['condition.room', 'condition.temperature', 'condition.humidity', 'condition.fan'],
      system,
      setup,
    ),
  compute,
  waits,
  example: (system) => ({
    input: { ...exampleInput(fieldsOf(UnitConditioningInput), system), system },
    setup: exampleBatch('CN-1', ['EXAMPLE-A', 'EXAMPLE-B'], 'unit-full', [
      { kind: 'balance', number: 'BALANCE-1' },
    ]),
  }),
};
