import { standard } from '../../working';
import type { Method } from '../contract';
import { exampleInput } from '../example';
import { fieldsOf } from '../fields';
import { limitsOf } from '../setup';
import { compute } from './compute';
import { SiteFactorInput } from './input';

/** The factor between strength and index that a site finds for its own rock. */
export const siteFactor: Method<SiteFactorInput> = {
  id: 'site-factor',
  title: 'Factor K of the site',
  designations: [standard('ASTM D5731')],
  runOn: 'lot',
  again: 'freely',
  begin: 'Factor K from pairs',
  yields: [
    { quantity: 'site factor', symbol: 'K' },
    { quantity: 'half interval', symbol: 'dK' },
    { quantity: 'scatter', symbol: 's' },
    { quantity: 'pairs', symbol: 'n' },
    { quantity: 'sum of squares', symbol: 'Sxx' },
    { quantity: 'least index', symbol: 'xl' },
    { quantity: 'greatest index', symbol: 'xg' },
  ],
  Input: SiteFactorInput,
  steps: [
    {
      id: 'rock',
      title: 'Which rock',
      phase: 'before',
      instruction: 'One rock, one range of weathering, one moisture: a factor of another says nothing here.',
      fields: ['weathering', 'moisture'],
    },
    {
      id: 'pairs',
      title: 'Pairs',
      phase: 'test',
      instruction:
        'Strength of a core that broke intact, with the mean index of three or more pieces cut directly beside it. At least five pairs, ten are wanted.',
      fields: ['pairs', 'madeAt', 'remarks'],
      caution: 'A wrong factor is a wrong founding level: the engineer of record decides on it.',
    },
  ],
  performedAt: 'madeAt',
  plan: (system, setup) => [
    { label: 'Pairs', text: limitsOf(setup).of('site-factor.fewest', system).text },
    { label: 'Wanted', text: limitsOf(setup).of('site-factor.wanted', system).text },
  ],
  compute,
  example: (system) => ({
    input: { ...exampleInput(fieldsOf(SiteFactorInput), system), system },
    setup: { zone: 'America/New_York' },
  }),
};
