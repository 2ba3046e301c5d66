import { asked, type FactSources, resultBefore, resultOn, specified } from './facts';
import { EXPOSURES } from './kinds';

const METERS = ['air-pressure', 'air-volumetric'] as const;
const PERCENT = { dimension: 'percent' } as const;

/** What a density asks of the meters: the air that the same sample showed. */
export const MEASURED_AIR = resultOn('air content', METERS, PERCENT);

/** What the slump of the same sample came to. */
export const MEASURED_SLUMP = resultOn('slump', ['slump'], { dimension: 'length' });

/** What an air test asks of the specification, of the rest of its sample, and of the load before. */
export const AIR_FACTS = {
  air: specified('air'),
  exposure: asked('exposure', { options: EXPOSURES }),
  airReduced: asked('airReduced', 'flag'),
  aggregate: specified('aggregate'),
  aggregateFactor: specified('aggregateFactor'),
  specifiedStrength: specified('specifiedStrength'),
  measuredSlump: MEASURED_SLUMP,
  otherAir: MEASURED_AIR,
  gravimetricAir: resultOn('gravimetric air', ['density-yield'], PERCENT),
  previousAir: resultBefore('air content', METERS, PERCENT),
} as const satisfies FactSources;
