import { uniformFloat64 } from 'pure-rand/distribution/uniformFloat64';
import { xoroshiro128plus } from 'pure-rand/generator/xoroshiro128plus';

const PASSED_OVER = 32;

/** A seeded source of numbers: the same seed tells the same story. */
export class Chance {
  private readonly generator;
  constructor(seed: number) {
    this.generator = xoroshiro128plus(seed);
  }

  /** One whose first numbers are passed over: seeds near one another begin alike, and a draw must not. */
  static settled(seed: number): Chance {
    const chance = new Chance(seed);
    for (let passed = 0; passed < PASSED_OVER; passed += 1) chance.between(0, 1);
    return chance;
  }

  /** Between two ends, evenly. */
  between(low: number, high: number): number {
    return low + (high - low) * uniformFloat64(this.generator);
  }

  /** A normal deviate, by Box and Muller. */
  normal(mean: number, deviation: number): number {
    const radius = Math.sqrt(-2 * Math.log(1 - uniformFloat64(this.generator)));
    return mean + deviation * radius * Math.cos(2 * Math.PI * uniformFloat64(this.generator));
  }

  /** One of several, evenly. */
  pick<T>(choices: readonly [T, ...T[]]): T {
    return choices[Math.floor(this.between(0, choices.length))] ?? choices[0];
  }
}
