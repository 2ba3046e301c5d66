/**
 * Specific heats, J/(g·K). Source: common handbook values (from memory).
 */
export const SPECIFIC_HEATS = {
  cement: 0.75,
  slag: 0.75,
  'fly-ash': 0.72,
  'silica-fume': 0.75,
  limestone: 0.82,
  sand: 0.75,
  water: 4.18,
  gypsum: 1.09,
} as const;
export type Ingredient = keyof typeof SPECIFIC_HEATS;

/** Grams of what stands in a vial. */
export type Recipe = Partial<Record<Ingredient, number>>;

/** Heat capacity of what stands in a vial, J/K; the vial itself cancels where both are alike. */
export function heatCapacity(recipe: Recipe): number {
  return Object.entries(recipe).reduce(
    (sum, [ingredient, grams]) => sum + grams * SPECIFIC_HEATS[ingredient as Ingredient],
    0,
  );
}

/** What a reference of the same heat capacity weighs: all of one material, or so much sand and water for the rest. */
export interface ReferenceMass {
  readonly water: number;
  readonly sand: number;
  /** Beside a sand that is given, g; undefined where that sand is too much already. */
  readonly besideSand: number | undefined;
}

/**
 * Grams of an inert reference of the same heat capacity: the product of mass and specific heat must match, not the mass.
 * @param capacity of the sample, J/K @param sand grams of sand of a mixed reference
 * Source: ASTM C1679 and C1702 in substance (from memory).
 */
export function referenceFor(capacity: number, sand: number): ReferenceMass {
  const rest = capacity - sand * SPECIFIC_HEATS.sand;
  return {
    water: capacity / SPECIFIC_HEATS.water,
    sand: capacity / SPECIFIC_HEATS.sand,
    besideSand: rest < 0 ? undefined : rest / SPECIFIC_HEATS.water,
  };
}
