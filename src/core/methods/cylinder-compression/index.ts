import { sizesOf } from '../../moulds';
import type { System } from '../../quantity';
import { standard } from '../../working';
import { EndsTold, MembersTold } from '../batch-facts';
import type { Method } from '../contract';
import { exampleInput } from '../example';
import { fieldsOf } from '../fields';
import { CONCRETE_STRENGTH, examplePress } from '../press';
import { compute } from './compute';
import { CylinderCompressionInput } from './input';
import { DIAMETER_LOT, DIAMETERS_READ } from './lot-diameter';
import { plan } from './plan';
import { PRESS } from './press';
import { STEPS } from './steps';

export * from './fracture-path';
export { CylinderCompressionInput } from './input';

/** Compressive strength of concrete cylinders. */
export const cylinderCompression: Method<CylinderCompressionInput> = {
  id: 'cylinder-compression',
  title: 'Cylinder compression',
  designations: [standard('ASTM C39/C39M')],
  runOn: 'specimen',
  forms: sizesOf('cylinder'),
  facts: {
    ...CONCRETE_STRENGTH,
    ends: { of: 'batch', by: ['capping', 'end-grinding'], take: 'ends', is: EndsTold },
    lot: {
      of: 'batch',
      by: [DIAMETER_LOT],
      take: 'members',
      reads: DIAMETERS_READ,
      is: MembersTold,
    },
  },
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
