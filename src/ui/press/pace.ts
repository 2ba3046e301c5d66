import type { PressView } from '@/core/press';

/** Seconds before the band counts in which it is told. */
const NEAR_S = 3;
/** The tone of a rate in the middle of the band, Hz; a rate twice as fast sounds an octave higher. */
const MIDDLE = 660;
/** No further than two octaves: beyond that a tone is no longer told from another. */
const OCTAVES = 2;

/** True in the last seconds before the band begins to count. */
export function bandIsNear({ phase, toBand }: PressView): boolean {
  return phase === 'first half' && toBand !== null && toBand <= NEAR_S;
}

/**
 * The tone that says how far the rate is off its band: higher when too fast, lower when too slow.
 * @param band rate of load, in the unit of the view's rate
 * @returns Hz; null where the rate is right or does not count
 */
export function pacePitch(view: PressView, band: { low: number; high: number }): number | null {
  if (view.rate === null || !view.offBand) return null;
  const middle = (band.low + band.high) / 2;
  const octaves = view.rate > 0 ? Math.log2(view.rate / middle) : -OCTAVES;
  return Math.round(MIDDLE * 2 ** Math.max(-OCTAVES, Math.min(OCTAVES, octaves)));
}
