import { heatCapacity, referenceFor } from '../../calorimetry';
import type { Wait } from '../../waits/wait';
import { standard } from '../../working';
import { ALKALINE } from '../cement/fields';
import { CEMENT_FACTS } from '../cement/said';
import type { Method } from '../contract';
import { exampleInput } from '../example';
import { fieldsOf } from '../fields';
import { limitRows } from '../limit-rows';
import { limitsOf } from '../setup';
import { HALF, HEATS, PEAK } from './ages';
import { compute } from './compute';
import { drawsHeat } from './draws';
import { exampleHeat } from './example';
import { CementHeatInput } from './input';

const DAY = 86_400_000;
/** Cement that a plan is made for, g. */
const PLANNED = 10;

const named = ([, quantity, symbol]: (typeof HEATS)[number]) => ({ quantity, symbol, named: true as const });

function waits(input: CementHeatInput): Wait[] {
  const last = Math.max(...(input.cells ?? []).map(({ insertedAt }) => Date.parse(insertedAt ?? '')));
  const days = Number(input.days ?? '3');
  if (!Number.isFinite(last)) return [];
  return [
    {
      id: 'read-out',
      what: `Read out the calorimeter, ${days === 7 ? 'a week' : days === 1 ? 'a day' : 'three days'} on`,
      lane: 'paste',
      opens: new Date(last + days * DAY).toISOString(),
      ...(input.finishedAt ? { done: input.finishedAt } : {}),
    },
  ];
}

/** Heat of a cement in a calorimeter at one temperature. Order of work: ASTM C1702, C1679 (from memory), in our own words. */
export const cementHeat: Method<CementHeatInput> = {
  id: 'cement-heat',
  title: 'Heat of hydration',
  designations: [standard('ASTM C1702'), standard('ASTM C1679'), standard('EN 196-11')],
  runOn: 'sample',
  day: {
    hands: [{ from: 0, minutes: 20, what: 'Mix, weigh into the vials, put them in' }],
    takes: 30,
    later: [{ hours: 72, what: 'Read out the calorimeter, where it runs three days' }],
  },
  again: 'freely',
  begin: 'Heat in the calorimeter',
  facts: CEMENT_FACTS,
  yields: [
    named(HEATS[2]),
    ...[HEATS[3], HEATS[1], HEATS[0]].map((each) => ({ ...named(each), instead: true as const })),
    { quantity: PEAK, symbol: 'p', named: true },
    { quantity: HALF, symbol: 't50', named: true },
  ],
  Input: CementHeatInput,
  steps: [
    {
      id: 'ready',
      title: 'Calorimeter ready',
      phase: 'before',
      instruction:
        'On for a day, its room steady. Something inert in every cell and an hour of baseline; cement, water and vials at its temperature.',
      fields: [
        ...['calorimeter', 'balance', 'bath', 'mixed', 'days', 'conditioned', 'ofJob'],
        ...['sulfate', 'sulfateAs', 'purity'],
      ],
      caution: 'Glass vials can burst. The data sheet of the calorimeter first.',
    },
    {
      id: 'cells',
      title: 'Weigh, mix, put in',
      phase: 'test',
      instruction:
        'Reference of the same heat capacity in its place. Stamp the moment water meets cement; mix all alike, a minute or two; weigh the paste into the vial, close it, put it in at once.',
      fields: ['cells'],
      caution: ALKALINE,
    },
    {
      id: 'record',
      title: 'Let it run',
      phase: 'test',
      instruction:
        'Not opened before its time. Weigh the vials afterwards: what they lost took heat with it.',
      fields: ['record', 'beganAt', 'inertAt', 'lag', 'range', 'heater'],
    },
    {
      id: 'curve',
      title: 'Read the curve',
      phase: 'after',
      instruction:
        'In this order: baseline, first hour, induction, rise, which maximum comes first, the end, the two cells. A mark may be put elsewhere, with why.',
      fields: ['moved', 'finishedAt', 'remarks'],
    },
  ],
  performedAt: 'finishedAt',
  plan: (system, setup) => {
    const water = limitsOf(setup).number('heat.water', system).toNumber();
    const { water: reference, sand } = referenceFor(
      heatCapacity({ cement: PLANNED, water: PLANNED * water }),
      0,
    );
    return [
      {
        label: 'Reference',
        text: `${reference.toFixed(2)} g of water, or ${sand.toFixed(1)} g of dry sand`,
        note: `For ${PLANNED} g of cement with ${(PLANNED * water).toFixed(2)} g of water in a like vial: the same heat capacity, not the same mass.`,
      },
      ...limitRows(
        [
          ...(['heat.temperature', 'heat.water', 'heat.insert', 'heat.baseline', 'heat.alike'] as const),
          ...(['heat.reference', 'heat.evaporated'] as const),
        ],
        system,
        setup,
      ),
    ];
  },
  compute,
  waits,
  draws: drawsHeat,
  notClaimed: [
    'Of a cement mixed outside, heat before its first trusted minute is not in the figure.',
    'Half of the maximum is for comparing mixes of one water and one temperature; it is not the set of the needle.',
  ],
  example: (system) => ({
    input: { ...exampleInput(fieldsOf(CementHeatInput), system), system },
    setup: {
      zone: 'America/New_York',
      sample: { label: 'EXAMPLE', sampledAt: '2031-09-11T14:00:00-04:00' },
      facts: { cementType: 'c150.II-MH', orderedHeat: true },
      records: { record: exampleHeat() },
      equipment: [
        { number: 'CAL-1', kind: 'calorimeter', verifiedOn: '2031-02-03' },
        { number: 'BALANCE-1', kind: 'balance', verifiedOn: '2031-02-03' },
      ],
    },
  }),
};
