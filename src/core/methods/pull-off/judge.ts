/** What leans a result one way, and why. */
export interface Lean {
  readonly bound: 'at least' | 'at most';
  readonly why: string;
}

/** What a pull's number is worth. */
export interface Worth {
  readonly bound?: 'at least' | 'at most';
  readonly provisional?: string;
}

/**
 * What the number of a pull says: as it is; at least so much where it did not break, parted in the glue or was pulled too
 * slowly; at most so much where it was pulled too fast or tore beyond the dolly; nothing where it leans both ways.
 * @param replaced a break in the glue is another's to replace: a core's
 * Source: ASTM D4541, D7234, C1583 (from memory); how rate and flap are taken is our choice.
 */
export function worthOf(leans: readonly Lean[], replaced: boolean): Worth {
  if (replaced) return { provisional: 'it parted in the glue: another one in its place' };
  const ways = new Set(leans.map(({ bound }) => bound));
  if (ways.size > 1)
    return { provisional: `${leans.map(({ why }) => why).join(', and ')}: another one in its place` };
  const [bound] = ways;
  return bound ? { bound } : {};
}
