import { gradeRow } from '../../materials/brick/alternates';
import { CRITERIA } from '../../materials/brick/criteria';
import { ABSORPTION, BRICK, HALF } from '../../materials/brick/forms';
import { LIMITS as ROWS } from '../../materials/brick/limits';
import { gradeNamed } from '../../materials/brick/products';
import { standard } from '../../working';
import type { Method } from '../contract';
import { exampleInput } from '../example';
import { asked, type FactSource, type Facts } from '../facts';
import { fieldsOf } from '../fields';
import { compute } from './compute';
import { BrickAbsorptionInput } from './input';
import { derives } from './set';

const ID = 'brick-absorption';

/** True where the grade asks for something that only boiling shows. */
function isBoiled({ grade }: Facts): boolean {
  return ['boil', 'sat'].some((row) => gradeRow(gradeNamed(grade), row) !== undefined);
}

/** A mass that a batch of the half says. */
function mass(take: string, by: string): FactSource {
  return { of: 'batch', take, by: [by], is: { dimension: 'mass' } };
}

/** Cold and boiling absorption of a half brick, and its saturation coefficient. */
export const brickAbsorption: Method<BrickAbsorptionInput> = {
  id: ID,
  title: 'Absorption and saturation of brick',
  designations: [standard('ASTM C67/C67M')],
  runOn: 'specimen',
  forms: [HALF, BRICK],
  role: ABSORPTION,
  facts: {
    product: asked('product', 'text'),
    grade: asked('grade', 'text'),
    declared: asked('declared', { dimension: 'stress' }),
    coldAlternate: asked('coldAlternate', 'text'),
    weatheringIndex: asked('weatheringIndex', 'text'),
    dryMass: mass('dryMass', 'brick-drying'),
    cold: mass('cold', 'brick-soak'),
    boiled: mass('boiled', 'brick-boil'),
  },
  awaits: {
    lane: 'tank',
    facts: {
      dryMass: 'its dry mass',
      cold: 'its mass after cold water',
      boiled: { what: 'its mass after boiling', when: isBoiled },
    },
  },
  columns: [
    { heading: 'Dry', of: ['=Wd'] },
    { heading: 'Cold', of: ['=W24'] },
    { heading: 'Boiled', of: ['=W5'] },
    { heading: '5 h', of: ['=Ab'] },
    { heading: 'Saturation', of: ['=SC'] },
  ],
  yields: [
    // Every specification asks for the cold one; paving brick may never be boiled.
    { quantity: 'cold absorption', symbol: 'Ac' },
    { quantity: 'boiling absorption', symbol: 'Ab' },
    { quantity: 'saturation coefficient', symbol: 'SC' },
  ],
  Input: BrickAbsorptionInput,
  steps: [
    {
      id: 'look',
      title: 'Look at it',
      phase: 'test',
      instruction:
        'Its masses come from oven, tank and boil. Is anything missing of it, compared with its brick?',
      fields: ['whole', 'lookedAt', 'remarks'],
    },
  ],
  performedAt: 'lookedAt',
  set: {
    word: 'Absorption',
    quantity: 'cold absorption',
    by: [],
    combine: 'mean',
    step: 'brick.percent-step',
    wanted: 'brick.role-count',
    criteria: CRITERIA.filter(({ by }) => by.includes(ID)).map(({ id }) => id),
    derives,
    follows: ['greatest cold absorption'],
    derivedBy: ROWS,
  },
  plan: () => [],
  compute,
  example: (system) => ({
    input: { ...exampleInput(fieldsOf(BrickAbsorptionInput), system), system },
    setup: {
      zone: 'America/New_York',
      specimen: { label: 'EXAMPLE-B1A', form: HALF },
      facts: { dryMass: '910.5 g', cold: '994.5 g', boiled: '1027.5 g', product: 'c216', grade: 'sw' },
    },
  }),
};
