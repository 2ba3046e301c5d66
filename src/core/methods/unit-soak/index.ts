import { UNIT_FORMS } from '../../materials/masonry/forms';
import { standard } from '../../working';
import type { Method } from '../contract';
import { exampleInput } from '../example';
import { exampleBatch } from '../example-batch';
import { fieldsOf } from '../fields';
import { limitRows } from '../limit-rows';
import { RECEIVED } from '../swapped';
import { compute, tells } from './compute';
import { UnitSoakInput } from './input';

/** Masonry units soaked for a day, then weighed under water and saturated. */
export const unitSoak: Method<UnitSoakInput> = {
  id: 'unit-soak',
  title: 'Units in the tank',
  designations: [standard('ASTM C140/C140M')],
  runOn: 'batch',
  forms: UNIT_FORMS,
  batch: {
    letters: 'SK',
    begin: 'Soak in the tank',
    done: 'soaked',
    facts: RECEIVED,
    tells: (input, { label }) => tells(input, label),
  },
  yields: [{ quantity: 'displaced water', symbol: 'V' }],
  Input: UnitSoakInput,
  steps: [
    {
      id: 'in',
      title: 'Into the tank',
      phase: 'before',
      instruction:
        'On wire, apart and off the bottom, 6 in [150 mm] of water above. Count the hours first: a day later somebody must be there.',
      fields: ['inAt', 'water', 'lies'],
      caution:
        'Lift units by two or with a hoist. Electric cords away from the water, behind ground-fault protection.',
    },
    {
      id: 'out',
      title: 'Take them out',
      phase: 'test',
      instruction:
        'Hanger tared under water. One unit after the other: the next stays in until it is its turn.',
      fields: ['balance', 'tared', 'outAt'],
      clock: {
        title: 'In the water',
        from: 'inAt',
        to: 'outAt',
        limit: 'soak.time',
        means: {
          severity: 'departure',
          early: 'Back under water until a day is full, then weigh them again.',
          late: 'More water is taken up than the method means: it stands only where the absorption is met all the same. If it is not, dry them and soak again.',
        },
        waits: { what: 'Take the units out of the tank', lane: 'tank' },
      },
    },
    {
      id: 'weigh',
      title: 'Weigh each, twice',
      phase: 'test',
      instruction:
        'Wholly under water, no bubble in a cell, touching nothing: the immersed mass. Then one minute on the mesh, wiped with a damp cloth, and on the balance at once.',
      fields: ['units', 'weighedAt'],
    },
    {
      id: 'remarks',
      title: 'What was odd',
      phase: 'after',
      instruction: 'Then straight into the oven.',
      fields: ['remarks'],
    },
  ],
  performedAt: 'weighedAt',
  sequence: [['inAt', 'outAt', 'weighedAt']],
  plan: (system, setup) => limitRows(['soak.time', 'soak.water', 'soak.drain'], system, setup),
  compute,
  example: (system) => ({
    input: { ...exampleInput(fieldsOf(UnitSoakInput), system), system },
    setup: exampleBatch('SK-1', ['EXAMPLE-A'], 'unit-full', [{ kind: 'balance', number: 'BALANCE-1' }]),
  }),
};
