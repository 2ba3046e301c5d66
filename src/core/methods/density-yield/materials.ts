import { type Exact, exact, parseMeasure, type System } from '../../quantity';
import { linesOf } from '../rows';

/** One material of a batch: its mass as it counts for the absolute volume, and its relative density. */
export interface Material {
  readonly name: string;
  /** Mass in lb or kg; for wet aggregate the saturated surface-dry mass. */
  readonly mass: Exact;
  readonly relativeDensity: Exact;
  /** Free water that came with it, below zero when the aggregate takes up water. */
  readonly freeWater: Exact;
}

const NUMBER = /^\d*\.?\d+$/u;

/**
 * Free moisture of an aggregate.
 * @param wet mass as batched
 * @param moisture and absorption, percent of the dry mass
 * @returns dry mass and free water in the unit of the mass
 * Source: ASTM C94/C94M, ACI 211 practice (from memory): dry = wet / (1 + MC), free = dry (MC − abs).
 */
export function freeMoisture(wet: Exact, moisture: Exact, absorption: Exact): { dry: Exact; free: Exact } {
  const dry = wet.div(exact(1).plus(moisture.div(100)));
  return { dry, free: dry.times(moisture.minus(absorption)).div(100) };
}

/**
 * Reads the list of a batch's materials: name, mass (with its unit if it is the other system's), relative density,
 * moisture and absorption in percent. Commas, semicolons or tabs between; a header row is passed over.
 * @returns the materials, and the lines that could not be read
 */
export function readMaterials(
  text: string | undefined,
  system: System,
): { materials: Material[]; bad: string[] } {
  const materials: Material[] = [];
  const bad: string[] = [];
  for (const line of linesOf(text)) {
    if (/relative|density|moisture/iu.test(line)) continue;
    const [name = '', massText = '', density = '', moisture = '', absorption = ''] = line
      .split(/[,;\t]/u)
      .map((cell) => cell.trim());
    const mass = parseMeasure(massText, 'mass', system === 'US' ? 'lb' : 'kg');
    const wet = moisture !== '' || absorption !== '';
    const numbers = wet ? [density, moisture, absorption] : [density];
    if (!mass.ok || numbers.some((each) => !NUMBER.test(each)) || !exact(density || 0).greaterThan(0)) {
      bad.push(line);
      continue;
    }
    const { dry, free } = wet
      ? freeMoisture(mass.measure.value, exact(moisture), exact(absorption))
      : { dry: mass.measure.value, free: exact(0) };
    const saturated = wet ? dry.times(exact(1).plus(exact(absorption).div(100))) : mass.measure.value;
    materials.push({ name, mass: saturated, relativeDensity: exact(density), freeWater: free });
  }
  return { materials, bad };
}
