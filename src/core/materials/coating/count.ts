import type { Limits } from '../../limits';
import type { Stored } from '../../material/registration';
import { areaTold, countByArea } from '../../methods/slab/count';
import type { System } from '../../quantity';

/**
 * How many pulls an area wants: as many as its specification says, else three for its first part and three for each further.
 * Source: three by ASTM D4541, D7234, C1583 (from memory); the part is our choice.
 */
export function pullsWanted(
  area: Stored,
  limits: Limits,
  system: System,
  asked: Stored,
): { readonly count: number; readonly why: string } {
  const own = typeof asked.pulls === 'string' ? Number(asked.pulls) : 0;
  if (own > 0) return { count: own, why: 'by its specification.' };
  const three = limits.number('pull.count', system);
  const told = areaTold(area, system);
  if (!told) return { count: three.toNumber(), why: 'of one area.' };
  const count = countByArea(told.area, limits.number('pull.count-area', system), three, three).toNumber();
  return { count, why: `for ${told.text}.` };
}
