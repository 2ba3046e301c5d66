import { worthOf } from '../temperature';

/** A concrete as the comparison of curing places takes it. */
export interface Gaining {
  /** Strength that it goes towards at 20 °C. */
  readonly limit: number;
  /** Rate constant at 20 °C, 1/day. */
  readonly k20: number;
  /** Days at 20 °C before it gains anything. */
  readonly start: number;
  /** K */
  readonly q: number;
}

const REFERENCE = 20;
/** Share of its strength limit that a degree above 20 °C costs; our choice, to show the direction and no more. */
const LOST_PER_DEGREE = 0.008;

/**
 * Strength after a time at one temperature: warm curing leads early and lags later.
 * @returns in the unit of the limit; nought before it gains
 * Source: hyperbolic gain with an Arrhenius rate as ASTM C1074 (from memory); what warmth costs later is our choice. It shows
 * a direction and is no prediction of any concrete.
 */
export function strengthCuredAt({ limit, k20, start, q }: Gaining, celsius: number, days: number): number {
  const faster = worthOf({ kind: 'equivalent-age', q, reference: REFERENCE }, celsius);
  const since = k20 * faster * (days - start / faster);
  return since <= 0 ? 0 : (limit * (1 - LOST_PER_DEGREE * (celsius - REFERENCE)) * since) / (1 + since);
}

/**
 * The age at which the cooler one has caught up with the warmer one, days.
 * @returns null where it does not within a year
 */
export function crossover(concrete: Gaining, cool: number, warm: number): number | null {
  const ahead = (days: number): number =>
    strengthCuredAt(concrete, warm, days) - strengthCuredAt(concrete, cool, days);
  for (let day = 0.5; day < 365; day += 0.5) {
    if (ahead(day) <= 0 || ahead(day + 0.5) > 0) continue;
    let [low, high] = [day, day + 0.5];
    for (let step = 0; step < 40; step += 1) {
      const middle = (low + high) / 2;
      if (ahead(middle) > 0) low = middle;
      else high = middle;
    }
    return high;
  }
  return null;
}
