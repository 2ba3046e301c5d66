import { isWithin, type Limits } from '../../limits';
import { type Exact, exact, measureIn, parseMeasure, type System } from '../../quantity';
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
 * @param limits what a relative density and a moisture can be
 * @returns the materials, and the lines that could not be read
 */
export function readMaterials(
  text: string | undefined,
  system: System,
  limits: Limits,
): { materials: Material[]; bad: string[] } {
  const materials: Material[] = [];
  const bad: string[] = [];
  const unit = system === 'US' ? 'lb' : 'kg';
  const densities = limits.of('density.relative-density', system);
  const moistures = limits.of('density.moisture-most', system);
  for (const [index, line] of linesOf(text).entries()) {
    // A header stands first and holds no number.
    if (index === 0 && !/\d/u.test(line)) continue;
    const [name = '', massText = '', density = '', moisture = '', absorption = ''] = line
      .split(/[,;\t]/u)
      .map((cell) => cell.trim());
    const typed = parseMeasure(massText, 'mass', unit);
    const mass = typed.ok ? measureIn(typed.measure, unit).value : undefined;
    const wet = moisture !== '' || absorption !== '';
    const numbers = wet ? [density, moisture, absorption] : [density];
    if (!mass?.greaterThan(0) || numbers.some((each) => !NUMBER.test(each))) {
      bad.push(line);
      continue;
    }
    const impossible =
      !isWithin(exact(density), densities) ||
      (wet && [moisture, absorption].some((each) => !isWithin(exact(each), moistures)));
    if (impossible) {
      bad.push(`${line} (cannot be)`);
      continue;
    }
    const { dry, free } = wet
      ? freeMoisture(mass, exact(moisture), exact(absorption))
      : { dry: mass, free: exact(0) };
    const saturated = wet ? dry.times(exact(1).plus(exact(absorption).div(100))) : mass;
    materials.push({ name, mass: saturated, relativeDensity: exact(density), freeWater: free });
  }
  return { materials, bad };
}
