/** What leans a result one way, and why. */
export interface Lean {
  readonly bound: 'at least' | 'at most';
  readonly why: string;
}

/** What a number is worth. */
export interface Worth {
  readonly bound?: 'at least' | 'at most';
  readonly provisional?: string;
}

/**
 * What a number says: as it is; at least or at most so much where everything leans one way; nothing where it leans both ways,
 * or where another test has to stand in its place.
 * @param replaced why another has to
 * Source: our choice.
 */
export function worthOf(leans: readonly Lean[], replaced?: string): Worth {
  if (replaced) return { provisional: `${replaced}: another one in its place` };
  const ways = new Set(leans.map(({ bound }) => bound));
  if (ways.size > 1)
    return { provisional: `${leans.map(({ why }) => why).join(', and ')}: another one in its place` };
  const [bound] = ways;
  return bound ? { bound } : {};
}
