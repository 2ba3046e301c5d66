import type { System } from '../../quantity';
import { standard } from '../../working';
import type { Method } from '../contract';
import { exampleInput } from '../example';
import { fieldsOf } from '../fields';
import { examplePress } from '../press';
import { NOMINAL_SIZES } from '../setup';
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
  forms: NOMINAL_SIZES,
  yields: [
    { quantity: 'compressive strength', symbol: 'f' },
    { quantity: 'density', symbol: 'rho' },
  ],
  Input: CylinderCompressionInput,
  steps: STEPS,
  performedAt: 'testedAt',
  press: PRESS,
  set: {
    word: 'Cylinders',
    quantity: 'compressive strength',
    by: ['age', 'cure'],
    combine: 'strength test',
    step: 'cylinder.strength-step',
    certified: ['sampling', 'moulding'],
  },
  plan,
  compute,
  example: (system: System) => ({
    input: {
      ...exampleInput(fieldsOf(CylinderCompressionInput), system),
      system,
    },
    setup: examplePress(system, system === 'US' ? '4x8' : '100x200'),
  }),
};
