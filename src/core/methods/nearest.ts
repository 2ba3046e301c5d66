import { closest, distance } from 'fastest-levenshtein';

/**
 * The known name that a misspelt one was probably meant to be, as the end of a sentence: ` Did you mean "setup"?`
 * @returns nothing where no known name is near
 */
export function didYouMean(word: string, known: readonly string[]): string {
  if (known.length === 0 || word.length > 60) return '';
  const name = closest(word.toLowerCase(), [...known]);
  return distance(word.toLowerCase(), name.toLowerCase()) <= Math.max(2, Math.floor(name.length / 3))
    ? ` Did you mean "${name}"?`
    : '';
}
