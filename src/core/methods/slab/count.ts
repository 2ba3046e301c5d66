import { type Exact, exact, plainOf, type System } from '../../quantity';
import { setupMeasure } from '../measure-text';

/** So many for the first part of an area, and so many more for each further part begun. Areas in one unit. */
export function countByArea(area: Exact, part: Exact, first: Exact, further: Exact = exact(1)): Exact {
  const more = area.minus(part).div(part).ceil();
  return first.plus(further.times(more.isNegative() ? exact(0) : more));
}

/** An area as it is stored with a sample, in ft² or m², and in words; undefined while it is not known. */
export function areaTold(
  { area }: Readonly<Record<string, unknown>>,
  system: System,
): { readonly area: Exact; readonly text: string } | undefined {
  const unit = system === 'US' ? 'ft2' : 'm2';
  const told = typeof area === 'string' ? setupMeasure(area, 'area', unit) : undefined;
  return told && { area: told, text: plainOf(told, unit) };
}
