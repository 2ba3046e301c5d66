import { Chance } from '../statistics';

/** A break of a beam across its face in tension: places of both edges and the middle, of the span, from the left support. */
export interface BeamBreak {
  readonly edges: readonly [upper: number, middle: number, lower: number];
}

/** How often a beam breaks between the loads, and a little outside of them; the rest is too far out. */
const INSIDE = 0.8;
const NEAR = 0.95;
const ALLOWED = 0.05;

/**
 * Where a simulated beam breaks: mostly between its two loads, with the load in the middle near it.
 * @param seed of its label: the same beam breaks in the same place
 * Source: our choice of how often.
 */
export function simulatedBreak(seed: number, loading: 'third' | 'centre'): BeamBreak {
  const chance = Chance.settled(seed + 3);
  const drawn = chance.between(0, 1);
  const side = chance.pick(['left', 'right']);
  const middle =
    loading === 'centre'
      ? 0.5 + chance.normal(0, 0.025)
      : drawn < INSIDE
        ? chance.between(0.36, 0.64)
        : drawn < NEAR
          ? 1 / 3 - chance.between(0.005, ALLOWED - 0.003)
          : 1 / 3 - chance.between(ALLOWED + 0.006, 0.09);
  const slant = chance.normal(0, 0.012);
  const place = (share: number): number => (side === 'left' ? share : 1 - share);
  return {
    edges: [place(middle - slant), place(middle + chance.normal(0, 0.004)), place(middle + slant)],
  };
}
