import type { Method, Outcome, Result } from './contract';

/** The quantity shown in lists and taken into series. */
export function mainQuantity({ yields }: Pick<Method, 'yields'>): string {
  return yields[0].quantity;
}

/** The result shown in lists and taken into series, where there is one. */
export function mainOf(
  method: Pick<Method, 'yields'>,
  { results }: Pick<Outcome, 'results'>,
): Result | undefined {
  const of = (wanted: string | undefined): Result | undefined =>
    results.find(({ quantity }) => quantity === wanted);
  return of(mainQuantity(method)) ?? of(method.yields.find(({ instead }) => instead)?.quantity);
}
