import { ABSORPTION, UNIT_FORMS } from '../../materials/masonry/forms';
import { standard } from '../../working';
import type { Method } from '../contract';
import { exampleInput } from '../example';
import { asked, type FactSource } from '../facts';
import { fieldsOf } from '../fields';
import { compute } from './compute';
import { UnitAbsorptionInput } from './input';
import { SET } from './set';

/** A mass that a batch of the unit says. */
function mass(take: string, by: string): FactSource {
  return { of: 'batch', take, by: [by], is: { dimension: 'mass' } };
}

/** Absorption, density and net area of a masonry unit. */
export const unitAbsorption: Method<UnitAbsorptionInput> = {
  id: 'unit-absorption',
  title: 'Absorption and net area of a unit',
  designations: [standard('ASTM C140/C140M')],
  runOn: 'specimen',
  forms: UNIT_FORMS,
  role: ABSORPTION,
  facts: {
    receivedMass: mass('receivedMass', 'unit-receiving'),
    immersed: mass('immersed', 'unit-soak'),
    saturated: mass('saturated', 'unit-soak'),
    dryMass: mass('dryMass', 'oven-drying'),
    product: asked('product', 'text'),
    width: asked('width', { dimension: 'length' }),
    height: asked('height', { dimension: 'length' }),
    length: asked('length', { dimension: 'length' }),
    joint: asked('joint', { dimension: 'length' }),
  },
  awaits: {
    lane: 'tank',
    facts: {
      immersed: 'its mass under water',
      saturated: 'its saturated mass',
      dryMass: 'its oven-dry mass',
    },
  },
  columns: [
    { heading: 'W', of: ['=W'] },
    { heading: 'H', of: ['=H'] },
    { heading: 'L', of: ['=L'] },
    { heading: 'Net area', of: ['=An'] },
    { heading: 'Density', of: ['=D'] },
  ],
  yields: [
    { quantity: 'absorption', symbol: 'A' },
    { quantity: 'absorption by mass', symbol: 'Am' },
    { quantity: 'density', symbol: 'D' },
    { quantity: 'net volume', symbol: 'Vn' },
    { quantity: 'net area', symbol: 'An' },
    { quantity: 'share solid', symbol: 's' },
    { quantity: 'equivalent thickness', symbol: 'Te' },
    { quantity: 'moisture content', symbol: 'M' },
    { quantity: 'face shell', symbol: 'tf' },
    { quantity: 'least web', symbol: 'tw' },
    { quantity: 'normalised web area', symbol: 'Anw' },
    { quantity: 'equivalent web thickness', symbol: 'tq' },
    { quantity: 'greatest variation', symbol: 'v' },
    { quantity: 'greatest variation in plan', symbol: 'vp' },
  ],
  Input: UnitAbsorptionInput,
  steps: [
    {
      id: 'sizes',
      title: 'Overall',
      phase: 'before',
      instruction: 'Each side twice: width and height at mid-length, length at mid-height.',
      fields: [
        'calliper',
        'piece',
        'cutMass',
        'width1',
        'width2',
        'height1',
        'height2',
        'length1',
        'length2',
      ],
      caution: 'Units weigh 20 to 60 lb: turn them with two hands on a bench, gloves on.',
    },
    {
      id: 'thin',
      title: 'Shells and webs',
      phase: 'test',
      instruction: 'Where they are thinnest; of webs the lowest height too. Solid units have none.',
      fields: ['shell1', 'shell2', 'webs', 'measuredAt'],
    },
    {
      id: 'remarks',
      title: 'What was odd',
      phase: 'after',
      instruction: 'Its masses come by themselves from the scale, the tank and the oven.',
      fields: ['remarks'],
    },
  ],
  performedAt: 'measuredAt',
  set: SET,
  plan: () => [],
  compute,
  example: (system) => ({
    input: { ...exampleInput(fieldsOf(UnitAbsorptionInput), system), system },
    setup: {
      zone: 'America/New_York',
      specimen: { label: 'EXAMPLE-A', form: 'unit-full' },
      facts:
        system === 'US'
          ? {
              receivedMass: '32.91 lb',
              immersed: '17.06 lb',
              saturated: '34.32 lb',
              dryMass: '31.70 lb',
              width: '7.625 in',
              height: '7.625 in',
              length: '15.625 in',
              joint: '0.375 in',
            }
          : {
              receivedMass: '14.930 kg',
              immersed: '7.740 kg',
              saturated: '15.565 kg',
              dryMass: '14.380 kg',
              width: '194 mm',
              height: '194 mm',
              length: '397 mm',
              joint: '10 mm',
            },
      equipment: [{ number: 'CALLIPER-1', kind: 'calliper', verifiedOn: '2031-02-03' }],
    },
  }),
};
