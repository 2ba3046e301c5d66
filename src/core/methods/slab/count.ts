import { type Exact, exact } from '../../quantity';

/** So many for the first part of an area, and so many more for each further part begun. Areas in one unit. */
export function countByArea(area: Exact, part: Exact, first: Exact, further: Exact = exact(1)): Exact {
  const more = area.minus(part).div(part).ceil();
  return first.plus(further.times(more.isNegative() ? exact(0) : more));
}
