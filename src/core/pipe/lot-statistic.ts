import type { Limits } from '../limits';
import { type Exact, exact, type System } from '../quantity';
import { numbered, type Sheet, standard } from '../working';

/** What the D-loads of a lot come to together. */
export interface LotStatistic {
  readonly mean: Exact;
  /** What the mean has to reach. */
  readonly needed: Exact;
  readonly holds: boolean;
}

const C655 = standard('ASTM C655');

/**
 * Whether the D-loads at the crack of several pipes accept their lot: their mean lies so far above what is ordered as they
 * scatter.
 * @param loads at least two, lbf/ft/ft or N/m/mm @param ordered the D-load that is ordered, in the same
 * @param sheet takes the lines
 * Source: ASTM C655 (from memory): mean ≥ Ls + 1.07 s, with s of n − 1 and no less than 0.07 Ls.
 */
export function lotStatistic(
  loads: readonly Exact[],
  ordered: Exact,
  { limits, system, sheet }: { readonly limits: Limits; readonly system: System; readonly sheet: Sheet },
): LotStatistic {
  const unit = system === 'US' ? 'lbf/ft/ft' : 'N/m/mm';
  const uses = numbered('D', loads);
  const names = Object.keys(uses).join(', ');
  const line = (symbol: string, name: string, formula: string, values: Record<string, Exact>): Exact =>
    sheet.line({ symbol, name, formula, uses: values, unit, source: C655 });
  const mean = line('Dx', 'Mean of the pipes', `mean(${names})`, uses);
  const deviation = line('sd', 'Standard deviation', `std(${names})`, uses);
  const share = limits.number('c655.lot-least', system);
  const least = line('sl', 'Least that it counts as', 'q * Ls / 100', { q: share, Ls: ordered });
  const factor = limits.number('c655.lot-factor', system);
  const needed = line('Da', 'The mean has to reach', 'Ls + k * max(sd, sl)', {
    ...{ Ls: ordered, k: factor, sd: deviation, sl: least },
  });
  return { mean, needed, holds: mean.greaterThanOrEqualTo(needed) };
}

/** Fewer pipes decide nothing. */
export function fewestOfLot(limits: Limits, system: System): number {
  return (limits.of('c655.lot-fewest', system).low ?? exact(2)).toNumber();
}
