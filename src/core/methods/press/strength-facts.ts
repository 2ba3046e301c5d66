import { asked, type FactSources, ofSpecimen, specified } from '../facts';

/** What is asked of a specimen of the concrete itself: by the specification it was placed to. */
export const CONCRETE_STRENGTH: FactSources = {
  specifiedStrength: specified('specifiedStrength'),
  designatedAgeHours: asked('ageHours', 'whole'),
};

/** What is asked of a specimen of something else on the same job, grout or mortar: what was said of it. */
export const OWN_STRENGTH: FactSources = {
  specifiedStrength: ofSpecimen('specifiedStrength', { dimension: 'stress' }),
};

/** How a specimen was kept. */
export const CURE: FactSources = { cure: ofSpecimen('cure', { options: ['standard', 'field'] }) };
