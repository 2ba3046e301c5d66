import type { LimitAbout } from '../../acceptance/criterion';
import { isLimitId, isWithin, type LimitId, type Limits } from '../../limits';
import { type Exact, roundTo } from '../../quantity';
import { type Grade, isPaving } from './products';

/** What a rule of a specification lets pass instead of saturation or absorption. */
export const ALTERNATES = {
  cold: 'Absorption alternate: each took up no more than 8.0 % cold',
  weathering: 'Low weathering: the index of the place is below 50',
  freezing: 'Freezing alternate: by another report it passed freezing and thawing',
} as const;
export type Alternate = keyof typeof ALTERNATES;

/** The rows that an alternate makes fall away. Source: ASTM C216, C62 (from memory). */
export const WAIVES: Readonly<Record<Alternate, readonly string[]>> = {
  cold: ['sat', 'sat-each'],
  weathering: ['boil', 'boil-each', 'sat', 'sat-each'],
  freezing: ['boil', 'boil-each', 'sat', 'sat-each'],
};

/** True where each of the bricks took up so little cold that saturation says nothing. @param greatest percent, unrounded */
export function coldAllows(greatest: Exact | undefined, limits: Limits): boolean {
  if (!greatest) return false;
  const step = limits.number('brick.percent-step', 'US');
  return isWithin(roundTo(greatest, step, 'half-even'), limits.of('brick.cold-alternate', 'US'));
}

/** True where the index of the place is so low that frost does little. */
export function weatherAllows(index: Exact | undefined, limits: Limits): boolean {
  return index !== undefined && isWithin(index, limits.of('brick.weathering', 'US'));
}

/** The alternates that a specification uses and the results allow. */
export function alternatesOf(about: LimitAbout): Alternate[] {
  const { asked, said, found, limits } = about;
  if (isPaving(said('product'))) return [];
  return [
    ...(said('coldAlternate') === 'yes' && coldAllows(found('greatest cold absorption'), limits)
      ? (['cold'] as const)
      : []),
    ...(weatherAllows(asked('weatheringIndex', 'one'), limits) ? (['weathering'] as const) : []),
  ];
}

/** The row of a grade: `mean`, `boil-each`; undefined where the grade has none. */
export function gradeRow(grade: Grade | undefined, ending: string): LimitId | undefined {
  const id = `brick.${grade}.${ending}`;
  return isLimitId(id) ? id : undefined;
}
