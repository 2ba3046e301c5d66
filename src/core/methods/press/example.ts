import type { System } from '../../quantity';
import type { Facts } from '../facts';
import type { RunSetup } from '../setup';

/** The setup of an example: an invented specimen of a form, a press and a calliper in date. @param own facts instead of the usual */
export function examplePress(system: System, form: string, own?: Facts): RunSetup {
  const us = system === 'US';
  return {
    zone: 'America/New_York',
    specimen: {
      label: 'EXAMPLE-A',
      since: '2031-05-14T09:30:00-04:00',
      ageHours: 672,
      form,
    },
    facts: own ?? { cure: 'standard', specifiedStrength: us ? '4,250 psi' : '29 MPa' },
    equipment: [
      {
        number: 'PRESS-1',
        kind: 'compression machine',
        verifiedOn: '2031-01-20',
        verifiedFrom: us ? '2,000 lbf' : '9 kN',
        verifiedTo: us ? '290,000 lbf' : '1,290 kN',
      },
      { number: 'CALLIPER-1', kind: 'calliper', verifiedOn: '2031-01-20' },
    ],
  };
}
