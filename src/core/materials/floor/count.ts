import type { Limits } from '../../limits';
import type { Stored } from '../../material/registration';
import { setupMeasure } from '../../methods/measure-text';
import { areaTold, countByArea } from '../../methods/slab/count';
import { exact, plainOf, type System } from '../../quantity';
import { shareOut } from './share';

/** By which part of an area points are counted, and how many the first part wants. */
const COUNTED = {
  holes: (limits: Limits, system: System) =>
    [limits.number('slab.count-area', system), limits.number('slab.count-first', system)] as const,
  sheets: (limits: Limits, system: System) => [limits.number('sheet.count-area', system), exact(1)] as const,
};

/**
 * How many points a zone wants. Holes and dishes: three for the first part of the area and one for each further part
 * begun; on or below grade not fewer than one for each exterior wall and one inside. Sheets: one for each part begun.
 * @param zones that are counted together, as they are stored: area with its unit, walls, slab; one is counted alone
 * @param place which of them it is
 * @returns undefined while an area is not known; why says where the other system would ask for more: 1000 ft² are no 100 m²
 * Source: ASTM F2170, F1869 and, for sheets, D4263 (from memory); counting by level, one in each zone at the least and
 *   one more than the walls are our choice.
 */
export function pointsWanted(
  what: keyof typeof COUNTED,
  zones: readonly Stored[],
  place: number,
  limits: Limits,
  system: System,
): { readonly count: number; readonly why: string } | undefined {
  const byArea = (as: System) => {
    const areas = zones.flatMap((zone) => areaTold(zone, as)?.area ?? []);
    if (areas.length < zones.length) return undefined;
    const area = areas.reduce((sum, each) => sum.plus(each), exact(0));
    const [part, first] = COUNTED[what](limits, as);
    return { areas, area, count: countByArea(area, part, first).toNumber() };
  };
  const own = byArea(system);
  const theirs = byArea(system === 'US' ? 'SI' : 'US');
  if (!own || !theirs) return undefined;
  const walls = zones.map((zone) => (what === 'holes' ? wallsOf(zone) : 0));
  const allWalls = walls.reduce((sum, each) => sum + each, 0);
  const count = Math.max(own.count, allWalls > 0 ? allWalls + 1 : 0);
  const shares = shareOut(
    count,
    own.areas.map((area, at) => ({ area, least: walls[at] ?? 0 })),
  );
  const all = shares.reduce((sum, each) => sum + each, 0);
  const area = plainOf(own.area, system === 'US' ? 'ft2' : 'm2');
  const counted =
    theirs.count > all
      ? ` Counted in ${system === 'US' ? 'm²' : 'ft²'} it would be ${theirs.count}: the two parts are not the same area.`
      : '';
  return {
    count: shares[place] ?? 0,
    why: `${whyOf(zones.length, all, own.count, allWalls, area)}${counted}`,
  };
}

/**
 * How many sheets a wall or a ceiling wants: by its area as a slab does, and one for each part of its height.
 * @returns undefined while its area is not known
 * Source: ASTM D4263: one for each 10 ft [3 m] of rise, the lowest within 12 in [0.3 m] of the floor (from memory).
 */
export function sheetsOnWall(
  zone: Stored,
  limits: Limits,
  system: System,
): { readonly count: number; readonly why: string } | undefined {
  const byArea = pointsWanted('sheets', [zone], 0, limits, system);
  const unit = system === 'US' ? 'ft' : 'm';
  const rise = typeof zone.rise === 'string' ? setupMeasure(zone.rise, 'length', unit) : undefined;
  if (!byArea || !rise) return byArea;
  const byRise = rise.div(limits.number('sheet.rise', system)).ceil().toNumber();
  return byRise > byArea.count
    ? { count: byRise, why: `for ${plainOf(rise, unit)} of height, the lowest near the floor.` }
    : byArea;
}

/** Why so many: of one zone by itself, or as the share of a level. */
function whyOf(zones: number, all: number, byArea: number, walls: number, area: string): string {
  const byWalls = all > byArea && walls > 0;
  if (zones === 1)
    return byWalls
      ? `one by each of ${walls} exterior walls and one inside; ${byArea} by ${area}.`
      : `for ${area}.`;
  const of = byWalls
    ? `${all} for the level, by its ${walls} exterior walls; ${byArea} by ${area}`
    : `${all} for the ${area} of the level`;
  return `of ${of}, shared out by area, none without.`;
}

/** The exterior walls that want a point beside them. */
function wallsOf({ slab, walls }: Stored): number {
  return slab === 'grade' || slab === 'below' ? Number(walls ?? 0) : 0;
}
