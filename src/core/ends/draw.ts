import { Chance } from '../statistics';

/**
 * The specimens of a batch that are looked at more closely: one from the start, one from the middle, one from the end
 * of the run, drawn before anything is poured so that nobody chooses the nice ones.
 * @param count specimens in their order; of fewer than three all are drawn
 */
export function drawn(count: number, seed: number): number[] {
  if (count <= 3) return Array.from({ length: count }, (_, index) => index);
  const chance = Chance.settled(seed);
  const third = count / 3;
  return [0, 1, 2].map((part) => Math.min(count - 1, Math.floor((part + chance.between(0, 1)) * third)));
}
