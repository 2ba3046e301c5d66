import { CRITERIA } from '../../materials/prism/criteria';
import { PRISM } from '../../materials/prism/forms';
import { LIMITS as ROWS } from '../../materials/prism/limits';
import { byUnits } from '../../materials/prism/unit-strength';
import { withThousands } from '../../quantity';
import { standard } from '../../working';
import { asked } from '../facts';
import { CAPS, CAPS_COLUMN } from '../masonry-press/caps';
import { pressed } from '../press';
import { compute, PRESS } from './compute';
import { PrismCompressionInput } from './input';

const ID = 'prism-compression';

/** Compressive strength of a masonry prism. */
export const prismCompression = pressed<PrismCompressionInput>({
  id: ID,
  title: 'Compression of a prism',
  designations: [standard('ASTM C1314'), standard('ASTM C1552')],
  forms: [PRISM],
  facts: {
    masonryStrength: asked('masonryStrength', { dimension: 'stress' }),
    built: asked('built', 'text'),
    courses: asked('courses', 'text'),
    brokenLoads: { of: 'companions', alike: true, take: 'input.maximumLoad', by: [ID], is: 'texts' },
    brokenAt: { of: 'companions', alike: true, take: 'input.testedAt', by: [ID], is: 'texts' },
    ...CAPS,
  },
  columns: [
    { heading: 'Load', of: ['maximumLoad'] },
    { heading: 'Area', of: ['=A'] },
    { heading: 'h/t', of: ['=q'] },
    { heading: 'Factor', of: ['=F'] },
    { heading: 'Failed', of: ['mode'] },
    CAPS_COLUMN,
  ],
  yields: [
    { quantity: 'masonry strength', symbol: 'fm' },
    { quantity: 'prism strength', symbol: 'fp' },
  ],
  Input: PrismCompressionInput,
  steps: {
    fetch: {
      id: 'fetch',
      title: 'Fetch and look',
      phase: 'before',
      instruction: 'Upright, strapped. Look at every joint, hold a level to it.',
      fields: ['state', 'unbaggedAt'],
      caution: 'Heavy, brittle, topples: lifting aid, clamp, safety shoes.',
    },
    measure: [
      {
        id: 'sizes',
        title: 'Sizes',
        phase: 'before',
        instruction:
          'Before it is capped: length and width at the edges of top and bottom, height at the middle of each face.',
        fields: ['lengthTop', 'lengthBottom', 'widthTop', 'widthBottom', 'height', 'netArea', 'plate'],
      },
    ],
    load: {
      instruction:
        'Centred. To half of the expected load at any rate, then steadily: the second half takes 60 to 120 s. Note the first crack if you see one.',
      fields: ['secondHalf', 'firstCrack', 'unbroken'],
      caution: 'Shells fly: cage shut, eyes shielded, nobody near.',
    },
    after: [
      {
        id: 'failure',
        title: 'How it failed',
        phase: 'after',
        instruction: 'Look at all faces. A face shell that came off a grouted prism points at poor bond.',
        fields: ['mode', 'remarks'],
        caution: 'Clear pieces with a hook and gloves: they hang by mortar. Sweep damp.',
      },
    ],
  },
  press: PRESS,
  set: {
    word: 'Masonry by its prisms',
    quantity: 'masonry strength',
    by: ['age'],
    combine: 'mean',
    step: 'unit.strength-step',
    wanted: 'prism.count',
    spread: {
      measure: 'range',
      rows: { any: 'prism.alike' },
      place: 1,
      beyond: 'said',
      bad: 'Look at plumb, caps and grout; cut one open.',
    },
    criteria: CRITERIA.filter(({ by }) => by.includes(ID)).map(({ id }) => id),
    // What the units and their mortar stand for without prisms: said beside, for comparison.
    derives: (_, { asked: of, said, limits }) => {
      const mortar = said?.('mortar');
      const units = of('unitStrength', 'psi');
      const found =
        units && (mortar === 'M' || mortar === 'S' || mortar === 'N')
          ? byUnits(units, mortar, of('unitHeight', 'in'), limits)
          : undefined;
      const words = found
        ? `${withThousands(found.toSignificantDigits(3).toFixed())} psi`
        : 'below its table';
      return {
        values: {},
        said: units ? [['By units and mortar, TMS 602, for comparison', words]] : [],
        lines: [],
        remarks: [],
      };
    },
    derivedBy: ROWS,
  },
  compute,
  example: (system) => ({
    form: PRISM,
    input: { maximumLoad: system === 'US' ? '262,400' : '1167' },
    facts: {
      masonryStrength: system === 'US' ? '1,900 psi' : '13 MPa',
      built: 'grouted',
      courses: '2',
      capped: 'gypsum, CB-3',
      ends: { kind: 'gypsum', batch: 'CB-3', finishedAt: '2031-06-11T06:30:00-04:00', remarks: [] },
    },
  }),
});
