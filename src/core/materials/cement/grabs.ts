import type { Limits } from '../../limits';
import type { Stored } from '../../material/contract';
import { exact } from '../../quantity';

/** How many samples a lot wants, by how it comes. */
export interface Grabs {
  /** Bags out of which one is made up. */
  readonly bags: number;
  /** Samples of several cars or trucks. */
  readonly bulk: number;
}

/**
 * How many samples a lot of so many tons wants; undefined while its tons are not known.
 * Source: ASTM C183 (from memory): a bag for five tons or a part of them; of several cars one for 100 tons, two at the least.
 */
export function grabsOf({ tons }: Stored, limits: Limits): Grabs | undefined {
  const known = Number(tons);
  if (!(known > 0)) return undefined;
  const all = exact(known);
  const bags = all.div(limits.number('cement-sample.bag', 'US')).ceil().toNumber();
  const bulk = all.div(limits.number('cement-sample.bulk', 'US')).ceil().toNumber();
  return { bags, bulk: Math.max(limits.number('cement-sample.bulk-least', 'US').toNumber(), bulk) };
}
