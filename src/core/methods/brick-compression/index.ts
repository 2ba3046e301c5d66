import { CRITERIA } from '../../materials/brick/criteria';
import { BRICK, COMPRESSION, HALF } from '../../materials/brick/forms';
import { LIMITS as ROWS } from '../../materials/brick/limits';
import { schoolOf, strengthCount } from '../../materials/schools';
import { exact, largest, meanOf, plainOf, smallest } from '../../quantity';
import { plain, standard } from '../../working';
import { asked } from '../facts';
import { CAPS, CAPS_COLUMN } from '../masonry-press/caps';
import { LIMITS as IN_PRESS } from '../masonry-press/limits';
import { ratePlan } from '../masonry-press/plan';
import { expectedLoad } from '../masonry-press/rates';
import { loadedBy, SCHOOL_STEP } from '../masonry-press/school';
import { pressed } from '../press';
import { limitsOf } from '../setup';
import { bearingOf, gradeStrength } from './area';
import { compute } from './compute';
import { BrickCompressionInput } from './input';
import { PRESS } from './press';

const ID = 'brick-compression';

/** Compressive strength of a half brick, or of a whole one where its school breaks it whole. */
export const brickCompression = pressed<BrickCompressionInput>({
  id: ID,
  title: 'Compression of brick',
  designations: [standard('ASTM C67/C67M'), standard('ASTM C1552')],
  forms: [HALF, BRICK],
  role: COMPRESSION,
  facts: {
    product: asked('product', 'text'),
    grade: asked('grade', 'text'),
    declared: asked('declared', { dimension: 'stress' }),
    height: asked('height', { dimension: 'length' }),
    expectedStrength: asked('expectedStrength', { dimension: 'stress' }),
    width: asked('width', { dimension: 'length' }),
    length: asked('length', { dimension: 'length' }),
    ownLength: { of: 'parent', take: 'mean length', by: ['brick-size'], is: { dimension: 'length' } },
    cooledAt: { of: 'batch', take: 'cooledAt', by: ['brick-drying'], is: 'instant' },
    brokenLoads: { of: 'companions', role: COMPRESSION, take: 'input.maximumLoad', by: [ID], is: 'texts' },
    brokenAt: { of: 'companions', role: COMPRESSION, take: 'input.testedAt', by: [ID], is: 'texts' },
    ...CAPS,
  },
  columns: [{ heading: 'Load', of: ['maximumLoad'] }, { heading: 'Area', of: ['=A'] }, CAPS_COLUMN],
  yields: [
    { quantity: 'compressive strength', symbol: 'C' },
    { quantity: 'normalised strength', symbol: 'fb' },
  ],
  Input: BrickCompressionInput,
  steps: {
    fetch: {
      id: 'fetch',
      title: 'Fetch and look',
      phase: 'before',
      instruction:
        'Dried and cooled, its number on a side that stays free. No crack from the cut. Of EN and IS the whole brick, as its school has it.',
      fields: ['state', 'piece', 'recess', 'filledAt'],
      caution: 'Cut faces are sharp: gloves. Cutting dust carries silica: wet saw or extraction.',
    },
    measure: [
      {
        id: 'faces',
        title: 'Both bearing faces',
        phase: 'before',
        instruction: 'Top and bottom as it lies, before it is capped: the area is the mean of both.',
        fields: ['lengthTop', 'widthTop', 'lengthBottom', 'widthBottom', 'plate'],
      },
      SCHOOL_STEP,
    ],
    load: {
      instruction:
        'Flatwise, as it is laid, the cut end always the same way. To half of the expected load at any rate, then steadily: the second half takes 60 to 120 s. Enter the load only.',
      fields: ['secondHalf', 'unbroken'],
      caution: 'Strong brick bursts: cage shut, eyes shielded, nobody near.',
    },
    after: [
      {
        id: 'remarks',
        title: 'After the break',
        phase: 'after',
        instruction: 'How it failed; a hollow cap or an old crack.',
        fields: ['remarks'],
        caution: 'Clear rubble with gloves and a brush. Sweep damp: the dust carries silica.',
      },
    ],
  },
  press: PRESS,
  plan: (system, setup) => {
    const limits = limitsOf(setup);
    const bearing = bearingOf(Object.assign(new BrickCompressionInput(), { system }), setup);
    if (!bearing) return [];
    const { area } = bearing;
    const stress = gradeStrength(setup, 'mean', system, limits);
    return [
      {
        label: 'Area, by the specified size',
        text: plainOf(area.toDecimalPlaces(system === 'US' ? 2 : 0), system === 'US' ? 'in2' : 'mm2'),
        note: 'never for the result',
      },
      ...ratePlan(
        {
          area,
          stress,
          expected: expectedLoad(area, stress, setup, system, limits),
          row: 'brick.second-half',
          school: loadedBy(setup),
        },
        setup,
        system,
      ),
    ];
  },
  set: {
    word: 'Strength of the halves',
    quantity: 'compressive strength',
    by: [],
    combine: 'mean',
    step: 'unit.strength-step',
    wanted: (said) => strengthCount('brick', said('product')),
    asAsked: (said) => (schoolOf(said('product')) ? { word: 'Strength of the bricks' } : {}),
    spread: {
      measure: 'range',
      rows: { any: 'brick.strength-alike' },
      place: 1,
      beyond: 'said',
      bad: 'Look at caps, cracks and cut ends; none is left out for being low.',
    },
    criteria: CRITERIA.filter(({ by }) => by.includes(ID)).map(({ id }) => id),
    derives: (mean, { pieces }) => {
      const all = pieces.flatMap(({ value, used }) => (used ? [exact(value)] : []));
      return {
        values: {
          'mean strength': plain(all.length > 0 ? meanOf(all) : mean, 15),
          'least strength': plain(smallest(all.length > 0 ? all : [mean]), 15),
          'greatest strength': plain(largest(all.length > 0 ? all : [mean]), 15),
        },
        said: [],
        lines: [],
        remarks: [],
      };
    },
    derivedBy: { ...ROWS, ...IN_PRESS },
  },
  compute,
  example: (system) => ({
    form: HALF,
    input: { maximumLoad: system === 'US' ? '79,200' : '352.3' },
    facts: {
      product: 'c216',
      grade: 'sw',
      width: system === 'US' ? '3.625 in' : '92 mm',
      length: system === 'US' ? '7.625 in' : '194 mm',
      cooledAt: '2031-06-10T15:30:00-04:00',
      capped: 'sulfur, CB-2',
      ends: { kind: 'sulfur', batch: 'CB-2', finishedAt: '2031-06-11T06:30:00-04:00', remarks: [] },
    },
  }),
});
