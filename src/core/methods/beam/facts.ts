import { asked, type FactSources, specified } from '../facts';
import { CONCRETE_STRENGTH } from '../press';

/** What a beam is told: what is asked of its concrete, and the cylinders of its sample at the same age. */
export const BEAM_FACTS: FactSources = {
  ...CONCRETE_STRENGTH,
  flexuralStrength: specified('flexuralStrength'),
  flexuralLoading: asked('flexuralLoading', { options: ['third', 'centre'] }),
  openingStrength: asked('openingStrength', { dimension: 'stress' }),
  cylinders: {
    of: 'companions',
    take: 'compressive strength',
    by: ['cylinder-compression'],
    alike: true,
    is: 'texts',
    unrounded: true,
  },
};
