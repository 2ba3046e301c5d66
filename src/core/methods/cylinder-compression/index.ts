import type { System } from '../../quantity';
import { standard } from '../../working';
import type { Method } from '../contract';
import { exampleInput } from '../example';
import { fieldsOf } from '../fields';
import { isCylinderSize, type RunSetup } from '../setup';
import { compute } from './compute';
import { CylinderCompressionInput } from './input';
import { plan } from './plan';
import { PRESS } from './press';
import { STEPS } from './steps';

export { isLargeCylinder } from './facts';
export * from './fracture-path';
export { CylinderCompressionInput } from './input';

/** Compressive strength of concrete cylinders. */
export const cylinderCompression: Method<CylinderCompressionInput> = {
  id: 'cylinder-compression',
  title: 'Cylinder compression',
  designations: [standard('ASTM C39/C39M')],
  runOn: 'specimen',
  takes: isCylinderSize,
  yields: [
    { quantity: 'compressive strength', symbol: 'f' },
    { quantity: 'density', symbol: 'rho' },
  ],
  Input: CylinderCompressionInput,
  steps: STEPS,
  performedAt: 'testedAt',
  limitPrefixes: ['cylinder.', 'age.', 'factor.', 'expected.', 'machine.', 'press.', 'log.', 'equipment.'],
  press: PRESS,
  mainResult: 'compressive strength',
  plan,
  compute,
  example: (system: System) => ({
    input: {
      ...exampleInput(fieldsOf(CylinderCompressionInput), system),
      system,
    },
    setup: exampleSetup(system),
  }),
};

function exampleSetup(system: System): RunSetup {
  const us = system === 'US';
  return {
    zone: 'America/New_York',
    specimen: {
      label: 'EXAMPLE-A',
      castAt: '2031-05-14T09:30:00-04:00',
      ageHours: 672,
      nominalSize: us ? '4x8' : '100x200',
      cure: 'standard',
      specifiedStrength: us ? '4,250 psi' : '29 MPa',
    },
    equipment: [
      {
        number: 'PRESS-1',
        kind: 'compression machine',
        verifiedOn: '2031-01-20',
        verifiedFrom: us ? '10,000 lbf' : '45 kN',
        verifiedTo: us ? '240,000 lbf' : '1,050 kN',
      },
      { number: 'CALLIPER-1', kind: 'calliper', verifiedOn: '2031-01-20' },
    ],
  };
}
