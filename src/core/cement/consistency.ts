/** A paste that was tried: water in percent of the cement, mm that the plunger went in. */
export interface Tried {
  readonly water: number;
  readonly depth: number;
}

/**
 * The water to try next, percent of the cement.
 * @param tried pastes that count, in any order @param aim depth that is aimed at, mm @param slope mm for a percent of water
 * @returns undefined before the first; between two about the aim where there are two, else by the slope from the nearest one
 * Source: common practice, no source; never a result: a paste at that water has to show it.
 */
export function nextWater(tried: readonly Tried[], aim: number, slope: number): number | undefined {
  const near = tried.toSorted((a, b) => Math.abs(a.depth - aim) - Math.abs(b.depth - aim));
  const [one] = near;
  if (!one) return undefined;
  // One on the other side, as near as there is. Two on one side tell no slope to go on by: they may lie at the end of the ring.
  const side = Math.sign(one.depth - aim);
  const two = near.slice(1).find(({ depth }) => Math.sign(depth - aim) === -side);
  const own = two ? (two.depth - one.depth) / (two.water - one.water) : slope;
  // More water that goes in less far is no slope: somebody read wrongly.
  return one.water + (aim - one.depth) / (own > 0 && Number.isFinite(own) ? own : slope);
}
