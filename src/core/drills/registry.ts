import { airPressureDrill } from './air-pressure';
import { airVolumetricDrill } from './air-volumetric';
import { curingDrill } from './curing';
import { densityDrill } from './density';
import { pointLoadDrill } from './point-load';
import { samplingDrill } from './sampling';
import { slumpDrill } from './slump';
import { beamDrill, cylinderDrill } from './specimens';
import { temperatureDrill } from './temperature';
import type { Drill } from './types';

/** Every drill, in the order of the work. What is looked for: usual practice of examinations, no source. */
export const DRILLS: readonly Drill[] = [
  samplingDrill,
  temperatureDrill,
  slumpDrill,
  densityDrill,
  airPressureDrill,
  airVolumetricDrill,
  cylinderDrill,
  beamDrill,
  curingDrill,
  pointLoadDrill,
];

/** A drill by its id; undefined when there is none. */
export function findDrill(id: string): Drill | undefined {
  return DRILLS.find((drill) => drill.id === id);
}
