import { FULL } from '../../materials/masonry/forms';
import { standard } from '../../working';
import type { Method } from '../contract';
import { exampleInput } from '../example';
import { asked } from '../facts';
import { fieldsOf } from '../fields';
import { limitRows } from '../limit-rows';
import { loadOn } from '../masonry-press/rates';
import { limitsOf } from '../setup';
import { specifiedSizes } from '../unit-absorption/compute';
import { required, usualShare } from '../unit-compression/area';
import { compute, loadText, waits } from './compute';
import { UnitSawingInput } from './input';

/** What is sawn of a masonry unit before it is broken or soaked. */
export const unitSawing: Method<UnitSawingInput> = {
  id: 'unit-sawing',
  title: 'Sawing of a unit',
  designations: [standard('ASTM C140/C140M')],
  runOn: 'specimen',
  forms: [FULL],
  spends: false,
  again: 'freely',
  facts: {
    product: asked('product', 'text'),
    declared: asked('declared', { dimension: 'stress' }),
    leastMean: asked('leastMean', { dimension: 'stress' }),
    width: asked('width', { dimension: 'length' }),
    height: asked('height', { dimension: 'length' }),
    length: asked('length', { dimension: 'length' }),
    conditionedFrom: { of: 'batch', take: 'conditionedFrom', by: ['unit-conditioning'], is: 'instant' },
  },
  yields: [
    { quantity: 'coupon height', symbol: 'Hc' },
    { quantity: 'coupon length', symbol: 'Lc' },
  ],
  Input: UnitSawingInput,
  steps: [
    {
      id: 'look',
      title: 'Does it have to be sawn?',
      phase: 'before',
      instruction:
        'Projections longer than thick come off. Webs that lie lower: the face shells come down to them, by no more than a third of the height. What the machine does not break is sawn to closed cells, else to a coupon of a face shell. A piece for absorption has at least a fifth of the received mass.',
      fields: ['shell', 'projection', 'thick', 'recess', 'machine', 'closed'],
    },
    {
      id: 'saw',
      title: 'Saw it',
      phase: 'test',
      instruction:
        'Square, its height as the unit stands. A coupon is twice as high and four times as long as it is thick.',
      fields: ['sawn', 'saw', 'couponThickness', 'couponHeight', 'couponLength'],
      caution:
        'Diamond blade guarded, the unit clamped; eyes, ears, hands clear. Dust carries silica: water on the blade or extraction, and a fitted mask, as the local rules have it.',
    },
    {
      id: 'mark',
      title: 'Mark it again',
      phase: 'after',
      instruction: 'On a face that does not bear. Sawn wet it goes back to the room, or before the fan.',
      fields: ['marked', 'sawnAt', 'remarks'],
    },
  ],
  performedAt: 'sawnAt',
  plan: (system, setup) => {
    const limits = limitsOf(setup);
    const { width, length } = specifiedSizes(setup, system);
    const area = width && length && width.times(length).times(usualShare(width, system, limits));
    const load = area && loadOn(area, required(setup, 'mean', system, limits), system);
    return [
      ...(load
        ? [
            {
              label: 'Required load of a whole unit',
              text: loadText(load, system),
              note: 'on the usual share of solid for its width',
            },
          ]
        : []),
      ...limitRows(['unit.coupon-thick', 'unit.cut-share'], system, setup),
    ];
  },
  compute,
  waits,
  example: (system) => ({
    input: { ...exampleInput(fieldsOf(UnitSawingInput), system), system, marked: true },
    setup: {
      zone: 'America/New_York',
      specimen: { label: 'EXAMPLE-U1', form: FULL },
      facts: {
        product: 'c90',
        width: system === 'US' ? '7.625 in' : '194 mm',
        height: system === 'US' ? '7.625 in' : '194 mm',
        length: system === 'US' ? '15.625 in' : '397 mm',
      },
    },
  }),
};
