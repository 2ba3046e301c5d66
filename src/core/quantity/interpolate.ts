import { type Exact, exact } from './exact';

/**
 * Straight-line interpolation in a table.
 * @param x where
 * @param table rows of [x, y] in rising x, at least one
 * @returns y at x; at the ends of the table the end row's y (a table is never extended)
 * @throws RangeError when the table is empty
 */
export function interpolate(x: Exact, table: readonly (readonly [Exact, Exact])[]): Exact {
  const [first] = table;
  const last = table.at(-1);
  if (!first || !last) throw new RangeError('interpolate needs at least one row');
  if (x.lessThanOrEqualTo(first[0])) return first[1];
  if (x.greaterThanOrEqualTo(last[0])) return last[1];
  const above = table.findIndex(([at]) => at.greaterThanOrEqualTo(x));
  const [x0, y0] = table[above - 1] ?? first;
  const [x1, y1] = table[above] ?? last;
  return y0.plus(y1.minus(y0).times(x.minus(x0)).div(exact(x1).minus(x0)));
}
