import { type Exact, exact } from '../../quantity';
import { readMeasure } from '../fields';
import { wholeRows } from '../rows-field';
import type { MaterialRow } from './rows';

/** One material of a batch: its mass as it counts for the absolute volume, and its relative density. */
export interface Material {
  readonly name: string;
  /** Mass in lb or kg; for wet aggregate the saturated surface-dry mass. */
  readonly mass: Exact;
  readonly relativeDensity: Exact;
  /** Free water that came with it, below zero when the aggregate takes up water. */
  readonly freeWater: Exact;
}

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
 * The materials of a batch as they count.
 * @returns the materials, and the names of those whose moisture came without absorption, or the other way round
 */
export function batchMaterials(rows: readonly MaterialRow[] | undefined): {
  materials: Material[];
  bad: string[];
} {
  const materials: Material[] = [];
  const bad: string[] = [];
  for (const row of wholeRows(rows)) {
    const [mass, relativeDensity, moisture, absorption] = (
      ['mass', 'density', 'moisture', 'absorption'] as const
    ).map((column) => readMeasure(row, column)?.value);
    if (!mass || !relativeDensity) continue;
    const name = row.name ?? '';
    if (!moisture !== !absorption) bad.push(name);
    else if (!moisture || !absorption) materials.push({ name, mass, relativeDensity, freeWater: exact(0) });
    else {
      const { dry, free } = freeMoisture(mass, moisture, absorption);
      const saturated = dry.times(exact(1).plus(absorption.div(100)));
      materials.push({ name, mass: saturated, relativeDensity, freeWater: free });
    }
  }
  return { materials, bad };
}
