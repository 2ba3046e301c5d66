import { CRITERIA } from '../../materials/masonry/criteria';
import { ABSORPTION, COMPRESSION, UNIT_FORMS } from '../../materials/masonry/forms';
import { LIMITS as ROWS } from '../../materials/masonry/limits';
import { schoolOf, strengthCount } from '../../materials/schools';
import { standard } from '../../working';
import { asked } from '../facts';
import { CAPS, CAPS_COLUMN } from '../masonry-press/caps';
import { LIMITS as IN_PRESS } from '../masonry-press/limits';
import { SCHOOL_STEP } from '../masonry-press/school';
import { pressed } from '../press';
import { compute } from './compute';
import { UnitCompressionInput } from './input';
import { plan } from './plan';
import { PRESS } from './press';

const ID = 'unit-compression';

/** Net compressive strength of a masonry unit. */
export const unitCompression = pressed<UnitCompressionInput>({
  id: ID,
  title: 'Compression of a unit',
  designations: [standard('ASTM C140/C140M'), standard('ASTM C1552')],
  forms: UNIT_FORMS,
  role: COMPRESSION,
  facts: {
    product: asked('product', 'text'),
    declared: asked('declared', { dimension: 'stress' }),
    expectedStrength: asked('expectedStrength', { dimension: 'stress' }),
    leastMean: asked('leastMean', { dimension: 'stress' }),
    leastEach: asked('leastEach', { dimension: 'stress' }),
    width: asked('width', { dimension: 'length' }),
    height: asked('height', { dimension: 'length' }),
    length: asked('length', { dimension: 'length' }),
    netAreas: {
      of: 'companions',
      role: ABSORPTION,
      take: 'net area',
      by: ['unit-absorption'],
      is: 'texts',
      unrounded: true,
    },
    areaUnits: { of: 'companions', role: ABSORPTION, take: 'label', is: 'texts' },
    brokenLoads: { of: 'companions', role: COMPRESSION, take: 'input.maximumLoad', by: [ID], is: 'texts' },
    brokenAt: { of: 'companions', role: COMPRESSION, take: 'input.testedAt', by: [ID], is: 'texts' },
    ...CAPS,
    conditionedFrom: { of: 'batch', take: 'conditionedFrom', by: ['unit-conditioning'], is: 'instant' },
    sawn: { of: 'specimen', take: 'input.sawn', by: ['unit-sawing'], is: 'text' },
    saw: { of: 'specimen', take: 'input.saw', by: ['unit-sawing'], is: 'text' },
    sawnAt: { of: 'specimen', take: 'input.sawnAt', by: ['unit-sawing'], is: 'instant' },
    areaPieces: {
      of: 'companions',
      role: ABSORPTION,
      take: 'input.piece',
      by: ['unit-absorption'],
      is: 'texts',
    },
    conditionedAt: { of: 'batch', take: 'conditionedAt', by: ['unit-conditioning'], is: 'instant' },
  },
  columns: [
    { heading: 'Load', of: ['maximumLoad'] },
    { heading: 'Net area', of: ['=An'] },
    { heading: 'Gross', of: ['=fg'] },
    CAPS_COLUMN,
  ],
  yields: [
    { quantity: 'net compressive strength', symbol: 'f' },
    { quantity: 'gross compressive strength', symbol: 'fg', instead: true },
    { quantity: 'normalised strength', symbol: 'fb' },
    { quantity: 'greatest variation', symbol: 'v' },
    { quantity: 'greatest variation in plan', symbol: 'vp' },
  ],
  Input: UnitCompressionInput,
  steps: {
    fetch: {
      id: 'fetch',
      title: 'Fetch and look',
      phase: 'before',
      instruction: 'From the room where it was conditioned. No damp is seen on it, and none in its cells.',
      fields: ['moisture'],
      caution: 'Two people or a hoist for a heavy unit; safety shoes.',
    },
    measure: [
      {
        id: 'sizes',
        title: 'Sizes',
        phase: 'before',
        instruction: 'Before it is capped: width and height at mid-length, length at mid-height, each twice.',
        fields: ['width1', 'width2', 'height1', 'height2', 'length1', 'length2'],
      },
      {
        id: 'plate',
        title: 'Caps and bearing plate',
        phase: 'before',
        instruction:
          'Its caps stand in their batch: the press opens when the younger one is two hours old. One plate between platen and unit where the platen does not cover it.',
        fields: ['plate'],
      },
      SCHOOL_STEP,
    ],
    load: {
      instruction:
        'As it stands in the wall, cells upright, centred. To half of the expected load at any rate, then steadily: the second half takes 60 to 120 s. Enter the load only: the machine’s own stress rests on an area that is guessed.',
      fields: ['secondHalf', 'unbroken'],
      caution: 'Units burst: cage shut, eyes shielded, nobody near. Heavy bearing plates need a lifting aid.',
    },
    after: [
      {
        id: 'remarks',
        title: 'After the break',
        phase: 'after',
        instruction: 'Cone, split webs, one side crushed: one-sided crushing points at cap or seat.',
        fields: ['remarks'],
        caution: 'Sweep damp: crushed concrete carries silica dust.',
      },
    ],
  },
  press: PRESS,
  plan,
  set: {
    word: 'Net strength of the units',
    quantity: 'net compressive strength',
    by: [],
    combine: 'mean',
    step: 'unit.strength-step',
    wanted: (said) => strengthCount('unit', said('product')),
    asAsked: (said) => {
      const school = schoolOf(said('product'));
      return school === 'en' || school === 'is'
        ? { word: 'Gross strength of the units', quantity: 'gross compressive strength' }
        : {};
    },
    spread: {
      measure: 'range',
      rows: { any: 'unit.strength-alike' },
      place: 1,
      beyond: 'said',
      bad: 'Look at caps, centring and how they failed; none is left out for being low.',
    },
    criteria: CRITERIA.filter(({ by }) => by.includes(ID)).map(({ id }) => id),
    derivedBy: { ...ROWS, ...IN_PRESS },
  },
  compute,
  example: (system) => ({
    form: 'unit-full',
    input: { maximumLoad: system === 'US' ? '178,300' : '793.1' },
    facts: {
      product: 'c90',
      netAreas: system === 'US' ? ['65.3', '65.1', '65.6'] : ['42130', '42000', '42320'],
      areaUnits: ['EXAMPLE-D', 'EXAMPLE-E', 'EXAMPLE-F'],
      conditionedAt: '2031-06-10T08:30:00-04:00',
      capped: 'gypsum, CB-1',
      ends: { kind: 'gypsum', batch: 'CB-1', finishedAt: '2031-06-11T06:30:00-04:00', remarks: [] },
    },
  }),
});
