import { zxcvbn, zxcvbnOptions } from '@zxcvbn-ts/core';
import { adjacencyGraphs, dictionary } from '@zxcvbn-ts/language-common';
import { DEMO_PASSWORD } from '@/core/identity/demo-password';

zxcvbnOptions.setOptions({ dictionary: { ...dictionary }, graphs: adjacencyGraphs });

/** Of 0 to 4: at least "safely unguessable" with moderate protection, as its authors call 3. */
const LEAST_SCORE = 3;
/** Longer ones are cut for judging only: what is guessable in the first hundred stays guessable. */
const JUDGED = 100;

/**
 * What is wrong with a password somebody chose, in one sentence; null when nothing is.
 * @param about words that anybody would try first: name, e-mail address
 */
export function passwordProblem(password: string, about: readonly string[] = []): string | null {
  if (password.length < 10) return 'Password: at least 10 characters.';
  if (password.length > 128) return 'Password: at most 128 characters.';
  if (password === DEMO_PASSWORD) return 'Password: this one is printed with the demo; choose another.';
  const known = about.map((each) => each.toLowerCase());
  const words = known.flatMap((each) => each.split(/[\s@.]+/u)).filter((word) => word.length > 2);
  const rest = words.reduce((left, word) => left.replaceAll(word, ''), password.toLowerCase());
  if (rest.length < 6) return 'Password: too easy to guess, with your own name in it.';
  const { score } = zxcvbn(password.slice(0, JUDGED), [...known, ...words, 'bricole']);
  return score < LEAST_SCORE
    ? 'Password: too easy to guess. Take a few words that do not belong together.'
    : null;
}
