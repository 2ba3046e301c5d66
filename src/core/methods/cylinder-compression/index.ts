import { sizesOf } from '../../moulds';
import { standard } from '../../working';
import { EndsTold, MembersTold } from '../batch-facts';
import { CONCRETE_STRENGTH, pressed } from '../press';
import { compute } from './compute';
import { CylinderCompressionInput } from './input';
import { DIAMETER_LOT, DIAMETERS_READ } from './lot-diameter';
import { PRESS } from './press';
import { STEPS } from './steps';

export * from './fracture-path';
export { CylinderCompressionInput } from './input';

/** Compressive strength of concrete cylinders. */
export const cylinderCompression = pressed<CylinderCompressionInput>({
  id: 'cylinder-compression',
  title: 'Cylinder compression',
  designations: [standard('ASTM C39/C39M')],
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
  press: PRESS,
  set: {
    word: 'Cylinders',
    quantity: 'compressive strength',
    by: ['age', 'cure'],
    combine: 'strength test',
    step: 'cylinder.strength-step',
    certified: ['sampling', 'moulding'],
  },
  compute,
  example: (system) => ({ form: system === 'US' ? '4x8' : '100x200' }),
});
