import { newId } from '../ids';

/** An attempt as it begins: its name, what it is made from, and when. */
export interface Start {
  readonly id: string;
  readonly seed: number;
  readonly startedAt: number;
}

const LARGEST_SEED = 2_000_000_000;

/** @param seed plays a given one, for showing the same to several people */
export function begin(seed?: number): Start {
  return {
    id: newId(),
    seed: seed ?? 1 + Math.floor(Math.random() * LARGEST_SEED),
    startedAt: Math.floor(Date.now() / 1000) * 1000,
  };
}
