import type { Limits } from '../../limits';
import type { Stored } from '../../material/registration';
import { areaTold, countByArea } from '../../methods/slab/count';
import { exact, type System } from '../../quantity';

/**
 * How many holes a zone wants: three for the first part of its area and one for each further part begun; where it lies on
 * or below grade not fewer than one for each exterior wall and one inside.
 * @param zone as it is stored: area with its unit, walls, slab
 * @returns undefined while its area is not known; why says where the other system would ask for more: 1000 ft² are no 100 m²
 * Source: ASTM F2170 (from memory); one more than the walls is our choice.
 */
export function holesWanted(
  zone: Stored,
  limits: Limits,
  system: System,
): { readonly count: number; readonly why: string } | undefined {
  const byArea = (as: System) => {
    const told = areaTold(zone, as);
    if (!told) return undefined;
    const part = limits.number('slab.count-area', as);
    return { text: told.text, count: countByArea(told.area, part, limits.number('slab.count-first', as)) };
  };
  const own = byArea(system);
  const theirs = byArea(system === 'US' ? 'SI' : 'US');
  if (!own || !theirs) return undefined;
  const walls = zone.slab === 'grade' || zone.slab === 'below' ? Number(zone.walls ?? 0) : 0;
  const count = Math.max(own.count.toNumber(), walls > 0 ? walls + 1 : 0);
  const byWalls = count > own.count.toNumber();
  const other = theirs.count.toNumber();
  const trap =
    other > count
      ? ` Counted in ${system === 'US' ? 'm²' : 'ft²'} it would be ${other}: the two parts are not the same area.`
      : '';
  return {
    count,
    why: `${byWalls ? `one by each of ${walls} exterior walls and one inside; ${own.count} by ${own.text}.` : `for ${own.text}.`}${trap}`,
  };
}

/**
 * How many plastic sheets a zone wants: one for each part of its area begun.
 * @returns undefined while its area is not known
 * Source: ASTM D4263 (from memory).
 */
export function sheetsWanted(
  zone: Stored,
  limits: Limits,
  system: System,
): { readonly count: number; readonly why: string } | undefined {
  const told = areaTold(zone, system);
  if (!told) return undefined;
  const count = countByArea(told.area, limits.number('sheet.count-area', system), exact(1)).toNumber();
  return { count, why: `for ${told.text}.` };
}
