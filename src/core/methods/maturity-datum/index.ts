import { standard } from '../../working';
import type { Method } from '../contract';
import { exampleInput } from '../example';
import { fieldsOf } from '../fields';
import { limitRows } from '../limit-rows';
import { compute, DATUM, Q } from './compute';
import { MaturityDatumInput } from './input';

/** Datum temperature and activation energy of a cement by mortar cubes. Order of work: ASTM C1074, appendix (from memory). */
export const maturityDatum: Method<MaturityDatumInput> = {
  id: 'maturity-datum',
  title: 'Maturity: what the cement makes of warmth',
  designations: [standard('ASTM C1074')],
  runOn: 'lot',
  again: 'freely',
  begin: 'Datum and activation energy',
  yields: [
    { quantity: DATUM, symbol: 'T0', named: true },
    { quantity: Q, symbol: 'Q' },
    { quantity: 'activation energy, kJ/mol', symbol: 'Ea' },
  ],
  Input: MaturityDatumInput,
  steps: [
    {
      id: 'cubes',
      title: 'Cubes at three temperatures',
      phase: 'test',
      instruction:
        'Mortar of the paste of the concrete, fine aggregate for all of it. Three baths: the lowest, the highest and a middle temperature of the job. Break three cubes at about twice the final set, then each time at double the age.',
      fields: ['cement', 'machine', 'cubes', 'madeAt', 'remarks'],
      caution:
        'Fresh mortar burns skin and eyes. Guard of the press closed. Warm baths: electricity and water apart, behind a residual current device.',
    },
  ],
  performedAt: 'madeAt',
  plan: (system, setup) => {
    return limitRows(['maturity.ages', 'maturity.rise', 'maturity.datum', 'maturity.q'], system, setup);
  },
  compute,
  example: (system) => ({
    input: { ...exampleInput(fieldsOf(MaturityDatumInput), system), system },
    setup: {
      zone: 'America/New_York',
      lot: { label: 'EXAMPLE' },
      equipment: [{ number: 'PRESS-1', kind: 'compression machine', verifiedOn: '2031-01-20' }],
    },
  }),
};
