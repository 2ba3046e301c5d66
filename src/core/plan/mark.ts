/** How a point is drawn: what it is stands in the first letter of its label. */
export type Mark = 'circle' | 'square' | 'diamond' | 'ring';

const MARKS: Readonly<Record<string, Mark>> = { H: 'circle', E: 'square', S: 'diamond', D: 'ring' };

/** @param short a label without job and sample: `H3` */
export function markOf(short: string): Mark {
  return MARKS[short.charAt(0)] ?? 'circle';
}
