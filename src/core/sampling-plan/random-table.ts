import { exact } from '../quantity';

/**
 * Random numbers out of a table, as typed, pasted or from a file.
 * @returns numbers from 0 up to 1 in their order, as text; or what is wrong
 */
export function randomNumbers(text: string): { numbers: string[] } | { problem: string } {
  const words = text
    .replace(/^\uFEFF/u, '')
    // A decimal comma: only where nothing else can be meant.
    .replace(/\b0,(?=\d)/gu, '0.')
    .split(/[\s,;]+/u)
    .filter((word) => word !== '' && !/^[a-z_]+$/iu.test(word));
  const bad = words.find(
    (word) => !/^(?:0?\.\d+|0|1?0*\.\d+)$/u.test(word) || exact(word).greaterThanOrEqualTo(1),
  );
  if (bad !== undefined) return { problem: `${bad} is no random number: they lie from 0 up to 1, as 0.371.` };
  if (words.length === 0) return { problem: 'No number found: they lie from 0 up to 1, as 0.371.' };
  return { numbers: words.map((word) => (word.startsWith('.') ? `0${word}` : word)) };
}
