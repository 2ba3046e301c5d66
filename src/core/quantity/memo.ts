/**
 * A pure function whose answers are kept for the same key; forgotten all at once when there are too many, which is
 * cheaper than keeping track of what is old.
 * @param most answers kept
 */
export function remembered<A extends readonly unknown[], V>(
  most: number,
  keyOf: (...args: A) => string,
  make: (...args: A) => V,
): (...args: A) => V {
  const kept = new Map<string, V>();
  return (...args) => {
    const key = keyOf(...args);
    const known = kept.get(key);
    if (known !== undefined) return known;
    if (kept.size >= most) kept.clear();
    const value = make(...args);
    kept.set(key, value);
    return value;
  };
}
