import { median } from '../../statistics/median';
import type { BendAnalysis, BendRecord } from './types';

/** Our choices: samples for the zero, shares of the peak, noises. */
const ZERO_SAMPLES = 20;
const ZERO_SHARE = 0.05;
const ZERO_SPREAD = 0.01;
const SPIKE_NOISES = 6;
const SPIKE_SHARE = 0.02;
/** Makes a median of distances from the median comparable with a standard deviation of normal noise. */
const NORMAL = 1.4826;

/** Place of the largest value. */
export function largestAt(values: Float64Array): number {
  let place = 0;
  for (let index = 1; index < values.length; index += 1)
    if ((values[index] ?? 0) > (values[place] ?? 0)) place = index;
  return place;
}

/**
 * Noise of the force: robust scale of the differences of samples that follow one another, up to the peak.
 * @returns N; of an evenly taken few thousand of them, it is a scale and no result
 */
export function noiseOf(force: Float64Array, peakIndex: number): number {
  const step = Math.max(1, Math.floor(peakIndex / 4000));
  const differences: number[] = [];
  for (let index = 1; index <= peakIndex; index += step)
    differences.push((force[index] ?? 0) - (force[index - 1] ?? 0));
  if (differences.length < 3) return 0;
  const middle = median(differences);
  return (NORMAL * median(differences.map((each) => Math.abs(each - middle)))) / Math.SQRT2;
}

export interface Cleaned extends BendRecord {
  readonly noise: number;
  readonly spikes: BendAnalysis['spikes'];
  /** It begins with no force on it. */
  readonly atZero: boolean;
}

/**
 * A record turned to positive, zeroed, and without rows that jumped by themselves. A fall over several rows is none.
 * Source: our choice.
 */
export function cleaned({ displacement, force: raw }: BendRecord): Cleaned {
  let [least, most] = [0, 0];
  for (const value of raw) {
    if (value < least) least = value;
    if (value > most) most = value;
  }
  const sign = -least > most ? -1 : 1;
  const force = raw.map((value) => sign * value);
  const first = [...force.subarray(0, ZERO_SAMPLES)];
  const zero = median(first);
  const top = Math.max(most, -least);
  const spread = Math.max(...first) - Math.min(...first);
  const zeroed =
    first.length === ZERO_SAMPLES && Math.abs(zero) < ZERO_SHARE * top && spread < ZERO_SPREAD * top;
  if (zeroed) for (let index = 0; index < force.length; index += 1) force[index] = (force[index] ?? 0) - zero;
  const noise = noiseOf(force, largestAt(force));
  const spikes: { index: number; was: number; now: number }[] = [];
  const limit = Math.max(SPIKE_NOISES * noise, SPIKE_SHARE * top);
  for (let index = 2; index < force.length - 2; index += 1) {
    const value = force[index] ?? 0;
    const [before, after] = [force[index - 1] ?? 0, force[index + 1] ?? 0];
    if (Math.abs(value - before) <= limit || Math.abs(value - after) <= limit) continue;
    if (value > before !== value > after || Math.abs(before - after) > limit) continue;
    const now = median([force[index - 2] ?? 0, before, value, after, force[index + 2] ?? 0]);
    if (Math.abs(value - now) <= limit) continue;
    spikes.push({ index, was: value, now });
    force[index] = now;
  }
  return {
    displacement,
    force,
    noise: noiseOf(force, largestAt(force)),
    spikes,
    atZero: zeroed || Math.abs(force[0] ?? 0) < ZERO_SHARE * top,
  };
}
