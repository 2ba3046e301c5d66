import { type Exact, exact } from '../quantity';

/**
 * Load on a pipe of a D-load.
 * @param strength lbf/ft/ft or N/m/mm @param diameter ft or mm, as designated, never as measured; of an ellipse or an arch its
 *   inside span, the horizontal opening @param length of the test by its joint, ft or m
 * @returns lbf or N
 * Source: ASTM C76/C76M, the definition of the D-load (from memory).
 */
export function loadOf(strength: Exact, diameter: Exact, length: Exact): Exact {
  return strength.times(diameter).times(length);
}

/** Classes of reinforced round pipe, D-load at the crack and at the most, lbf/ft/ft. Source: ASTM C76 tables (from memory). */
export const C76: Readonly<Record<string, readonly [crack: Exact, most: Exact]>> = {
  I: [exact(800), exact(1200)],
  II: [exact(1000), exact(1500)],
  III: [exact(1350), exact(2000)],
  IV: [exact(2000), exact(3000)],
  V: [exact(3000), exact(3750)],
};
