import { exact, plainOf } from '../../quantity';
import { standard } from '../../working';
import { ALKALINE } from '../cement/fields';
import { CEMENT_FACTS } from '../cement/said';
import { CONSISTENCY } from '../cement-consistency';
import type { Method } from '../contract';
import { exampleInput } from '../example';
import { resultOn } from '../facts';
import { fieldsOf } from '../fields';
import { limitRows } from '../limit-rows';
import { limitsOf } from '../setup';
import { compute, FINAL, INITIAL, waits, waterFor } from './compute';
import { CementSettingInput } from './input';

/** Cement of a paste, g. Source: ASTM C191 (from memory). */
const CEMENT = exact(650);

/** Time of setting by the needle. Order of work: ASTM C191 (from memory), in our own words. */
export const cementSetting: Method<CementSettingInput> = {
  id: 'cement-setting',
  title: 'Time of setting',
  designations: [standard('ASTM C191')],
  runOn: 'sample',
  day: {
    hands: [
      { from: 0, minutes: 10, what: 'Mix the paste, mould the ring' },
      { from: 37, minutes: 2, what: 'Fall of the needle', every: 15, until: 247 },
    ],
    after: ['cement-consistency'],
    gear: { what: 'mixer', until: 5 },
    takes: 650,
  },
  again: 'freely',
  begin: 'A ring for setting',
  facts: {
    ...CEMENT_FACTS,
    consistency: resultOn(CONSISTENCY, ['cement-consistency'], { dimension: 'percent' }),
  },
  yields: [
    { quantity: INITIAL, symbol: 'ti', named: true },
    { quantity: FINAL, symbol: 'tf', named: true },
  ],
  Input: CementSettingInput,
  steps: [
    {
      id: 'mix',
      title: 'Weigh and mix',
      phase: 'before',
      instruction:
        'Water by the consistency of this sample. The clock starts the moment water and cement meet; the beats of mixing stand beside it.',
      fields: ['room', 'waterTemperature', 'balance', 'cement', 'water', 'paste', 'contactAt'],
      caution: `${ALKALINE} Hands off the mixer while it turns.`,
    },
    {
      id: 'mould',
      title: 'Fill the ring',
      phase: 'before',
      instruction:
        'Toss the ball, fill from the wide end, slice off, no tapping. Into the moist cabinet at once; half an hour undisturbed.',
      fields: ['mouldedAt', 'cabinet', 'vicat'],
    },
    {
      id: 'falls',
      title: 'Fall by fall',
      phase: 'test',
      instruction:
        'Needle clean and straight, lowered to touch, released, read 30 s later, wiped. Back into the cabinet. Final set is the first fall without a whole circle, if two more within 90 s leave none either.',
      fields: ['falls', 'finishedAt', 'remarks'],
      caution: 'The needle is sharp: cap the spare ones.',
    },
  ],
  performedAt: 'finishedAt',
  sequence: [['contactAt', 'mouldedAt', 'finishedAt']],
  plan: (system, setup) => {
    const limits = limitsOf(setup);
    const water = waterFor(CEMENT, setup, limits, system);
    return [
      {
        label: 'Paste',
        text: water
          ? `${plainOf(CEMENT, 'g')} of cement, ${plainOf(water.toDecimalPlaces(1), 'g')} of water`
          : 'its consistency is not known yet',
        ...(water ? {} : { note: 'Test the consistency of this sample first.' }),
      },
      ...limitRows(
        [
          'setting.first',
          'setting.every',
          'setting.settle',
          'setting.space',
          'setting.wall',
          'setting.confirm',
        ],
        system,
        setup,
      ),
    ];
  },
  compute,
  waits,
  example: (system) => ({
    input: { ...exampleInput(fieldsOf(CementSettingInput), system), system },
    setup: {
      zone: 'America/New_York',
      sample: { label: 'EXAMPLE', sampledAt: '2031-09-11T14:00:00-04:00' },
      facts: { cementType: 'c150.I', consistency: '27.0 percent' },
      equipment: [
        { number: 'BALANCE-1', kind: 'balance', verifiedOn: '2031-02-03' },
        { number: 'VICAT-1', kind: 'vicat apparatus', verifiedOn: '2031-02-03' },
      ],
    },
  }),
};
