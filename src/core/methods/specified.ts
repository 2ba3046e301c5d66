import type { Dimension, UnitId } from '../quantity';

interface Specified {
  readonly dimension: Dimension;
  /** The usual unit, and what can be asked for in it, ends included. */
  readonly US: readonly [unit: UnitId, low: number, high: number];
  readonly SI: readonly [unit: UnitId, low: number, high: number];
}

/** What may be specified of a concrete and what can be asked for at all, wherever it is typed. Our choice. */
export const SPECIFIED = {
  specifiedStrength: { dimension: 'stress', US: ['psi', 500, 20_000], SI: ['MPa', 3, 140] },
  flexuralStrength: { dimension: 'stress', US: ['psi', 200, 1500], SI: ['MPa', 1.5, 10] },
  slump: { dimension: 'length', US: ['in', 0.5, 12], SI: ['mm', 10, 300] },
  slumpFlow: { dimension: 'length', US: ['in', 15, 40], SI: ['mm', 400, 1000] },
  temperatureMaximum: { dimension: 'temperature', US: ['degF', 40, 120], SI: ['degC', 4, 50] },
  aggregate: { dimension: 'length', US: ['in', 0.25, 6], SI: ['mm', 6, 150] },
  air: { dimension: 'percent', US: ['percent', 0.5, 15], SI: ['percent', 0.5, 15] },
  aggregateFactor: { dimension: 'percent', US: ['percent', 0, 3], SI: ['percent', 0, 3] },
  density: { dimension: 'density', US: ['lb/ft3', 60, 250], SI: ['kg/m3', 1000, 4000] },
  cementitious: { dimension: 'density', US: ['lb/yd3', 200, 1500], SI: ['kg/m3', 120, 900] },
  water: { dimension: 'density', US: ['lb/yd3', 100, 600], SI: ['kg/m3', 60, 360] },
} as const satisfies Record<string, Specified>;

export type SpecifiedName = keyof typeof SPECIFIED;

/** Water-cementitious ratios that a concrete can have, whatever went wrong with it. Our choice. */
export const RATIO_RANGE = [0.15, 1.5] as const;
