import { type Exact, exact } from '../quantity';

/** Two numbers that stand beside one another. */
export type NumberPair = readonly [first: Exact, second: Exact];

/**
 * Reads rows of two numbers as they are pasted: with tabs, spaces, semicolons or commas between, thousands marked or
 * not, a header above them or none.
 * @returns the pairs, and the rows that hold no two numbers
 */
export function readNumberPairs(text: string): {
  readonly pairs: readonly NumberPair[];
  readonly bad: readonly string[];
} {
  const pairs: NumberPair[] = [];
  const bad: string[] = [];
  for (const [index, line] of text.split(/\r?\n/u).entries()) {
    if (line.trim() === '') continue;
    const numbers = line.split(/[;\t ]+|,(?!\d{3}(?:\D|$))/u).flatMap((cell) => {
      const plain = cell.trim().replaceAll(',', '');
      return /^\d+(\.\d+)?$/u.test(plain) ? [exact(plain)] : [];
    });
    const [first, second] = numbers;
    if (first && second) pairs.push([first, second]);
    else if (index > 0 || numbers.length > 0) bad.push(line);
  }
  return { pairs, bad };
}
