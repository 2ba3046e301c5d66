/** Rows by a key, each group in the order the rows came. */
export function groupBy<T, K>(rows: Iterable<T>, keyOf: (row: T) => K): Map<K, T[]> {
  const found = new Map<K, T[]>();
  for (const row of rows) {
    const key = keyOf(row);
    const own = found.get(key);
    if (own) own.push(row);
    else found.set(key, [row]);
  }
  return found;
}
