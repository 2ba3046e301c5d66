import { type Verdict, verdictWith } from '../../acceptance/criterion';
import type { Limits } from '../../limits';
import { isLowClass } from '../../materials/brick/is-class';
import type { System } from '../../quantity';
import { factMeasure, factText } from '../facts';
import type { RunSetup } from '../setup';

/** How much of the face turned white, by IS 3495-3, least first. Source: IS 3495-3 (from memory). */
export const EXTENTS = {
  nil: 'Nil',
  slight: 'Slight: no more than 10 % of the face',
  moderate: 'Moderate: up to 50 %, no flaking',
  heavy: 'Heavy: more than 50 %, no flaking',
  serious: 'Serious: powdering or flaking',
} as const;
export type Extent = keyof typeof EXTENTS;

const ORDER = Object.keys(EXTENTS) as Extent[];

/** True where the extent is asked for. */
export function asksExtent(setup: RunSetup): boolean {
  return factText(setup, 'product') === 'is1077';
}

/**
 * What the extent means for a brick of IS 1077.
 * @returns none where its class is not known or the brick is of another specification
 * Source: IS 1077 (from memory): no more than moderate up to class 12.5, slight for those above.
 */
export function extentVerdicts(extent: Extent, setup: RunSetup, limits: Limits, system: System): Verdict[] {
  const declared = factMeasure(setup, 'declared', 'stress', 'MPa');
  if (!asksExtent(setup) || !declared) return [];
  const most: Extent = isLowClass(declared, limits, system) ? 'moderate' : 'slight';
  return [
    verdictWith({
      criterion: 'Efflorescence',
      limit: `no more than ${most}`,
      state: ORDER.indexOf(extent) <= ORDER.indexOf(most) ? 'meets' : 'does not meet',
      sentence: `Efflorescence ${extent}; no more than ${most} is asked for.`,
    }),
  ];
}
