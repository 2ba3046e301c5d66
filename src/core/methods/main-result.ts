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
  return (
    of(mainQuantity(method)) ??
    method.yields.flatMap(({ instead, quantity }) => (instead ? (of(quantity) ?? []) : []))[0]
  );
}

/** True where what it gave counts in no group: it is of something else than what a group is made of. */
export function standsApart(
  { yields }: Pick<Method, 'yields'>,
  main: Pick<Result, 'quantity'> | undefined,
): boolean {
  return yields.some(({ apart, quantity }) => apart && quantity === main?.quantity);
}
