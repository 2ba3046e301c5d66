/** A curve as a picture of a method has it, `hour/value` with a `-` where nothing was recorded; a gap breaks the line. */
export function pointsOf(text: unknown): { x: number; y: number }[] {
  if (typeof text !== 'string' || text === '') return [];
  return text.split(' ').map((pair) => {
    if (pair === '-') return { x: Number.NaN, y: Number.NaN };
    const [x = '', y = ''] = pair.split('/');
    return { x: Number(x), y: Number(y) };
  });
}
