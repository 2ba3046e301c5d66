import type { Exact } from '../quantity';

/** Values by the symbols that a line calls them: `x1`, `x2` and so on. */
export function numbered(letter: string, values: readonly Exact[]): Readonly<Record<string, Exact>> {
  return Object.fromEntries(values.map((value, index) => [`${letter}${index + 1}`, value]));
}
