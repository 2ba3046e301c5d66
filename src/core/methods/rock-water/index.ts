import { isWithin } from '../../limits';
import { FORMS } from '../../materials/rock/forms';
import { exact, largest, smallest } from '../../quantity';
import { standard } from '../../working';
import type { Method } from '../contract';
import { exampleInput } from '../example';
import type { FactKind, FactSource } from '../facts';
import { fieldsOf } from '../fields';
import { limitRows } from '../limit-rows';
import type { RunSetup } from '../setup';
import { compute, isWithOthers, WATER, waits } from './compute';
import { RockWaterInput } from './input';
import { LIMITS } from './limits';

/** A fact that the batch says in which its tin stands. */
const told = (take: string, is: FactKind): FactSource => ({ of: 'batch', take, by: ['rock-drying'], is });
const isAlone = (setup: RunSetup): boolean => !isWithOthers(setup);

/** Water in the pieces of a specimen of rock, after it was broken. */
export const rockWater: Method<RockWaterInput> = {
  id: 'rock-water',
  title: 'Water content of the pieces',
  designations: [standard('ASTM D2216')],
  runOn: 'specimen',
  forms: FORMS.map(({ id }) => id),
  spends: false,
  pieces: true,
  facts: {
    brokenAt: {
      of: 'specimen',
      take: 'input.testedAt',
      by: ['rock-compression', 'point-load'],
      is: 'instant',
    },
    oven: told('oven', 'text'),
    wetAt: told('wetAt', 'instant'),
    wetPieces: told('wetPieces', { dimension: 'mass' }),
    dryPieces: told('dryPieces', { dimension: 'mass' }),
    gently: told('gently', 'flag'),
  },
  awaits: {
    lane: 'tank',
    facts: {
      dryPieces: { what: 'its dry mass out of the oven', when: ({ oven }) => oven !== undefined },
    },
  },
  columns: [{ heading: 'Dried', of: ['dried'] }],
  yields: [{ quantity: WATER, symbol: 'w' }],
  Input: RockWaterInput,
  steps: [
    {
      id: 'wet',
      title: 'Weigh wet',
      phase: 'before',
      instruction:
        'The pieces into a tin whose own mass is known, at once after the test: five hundred grams and more.',
      fields: ['balance', 'tin', 'tinMass', 'wetMass', 'wetAt'],
      when: isAlone,
    },
    {
      id: 'dry',
      title: 'Dry, and weigh again',
      phase: 'test',
      instruction:
        'Overnight in the oven. Cooled in a closed box, weighed, back for an hour, weighed again: a loss of no more than 0.1 % ends it.',
      fields: ['oven', 'dried', 'temperature', 'inAt', 'weighings', 'hottest'],
      when: isAlone,
      caution:
        'Hot trays and tins: gloves and tongs. No closed tin in the oven, it bursts. Rock from contaminated ground: the site’s rules and the safety data sheets first.',
    },
    {
      id: 'end',
      title: 'When it is dry',
      phase: 'after',
      instruction: 'Say what was left out or lost.',
      fields: ['precision', 'finishedAt', 'remarks'],
    },
  ],
  performedAt: 'finishedAt',
  sequence: [['wetAt', 'inAt', 'finishedAt']],
  set: {
    word: 'Water content of the group',
    quantity: WATER,
    begun: true,
    by: [],
    combine: 'mean',
    step: 'water.step-b',
    derives: (_, { pieces, limits, system }) => {
      const all = pieces.map(({ value }) => exact(value));
      const apart = all.length > 1 ? largest(all).minus(smallest(all)) : exact(0);
      return {
        ...{ values: {}, said: [], lines: [] },
        remarks: isWithin(apart, limits.of('water.apart', system))
          ? []
          : [
              `Water contents lie ${apart.toFixed(1)} % apart: these pieces were not in one state of moisture.`,
            ],
      };
    },
    derivedBy: LIMITS,
  },
  plan: (system, setup) =>
    limitRows(['water.oven', 'water.first', 'water.every', 'water.loss', 'water.mass'], system, setup),
  compute,
  waits,
  example: (system) => ({
    input: { ...exampleInput(fieldsOf(RockWaterInput), system), system },
    setup: {
      zone: 'America/New_York',
      equipment: [
        { number: 'BALANCE-1', kind: 'balance', verifiedOn: '2031-02-03' },
        { number: 'OVEN-1', kind: 'oven', verifiedOn: '2031-02-03' },
      ],
    },
  }),
};
