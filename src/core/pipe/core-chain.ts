/** A pipe of a group that was cored: its mark, and whether each of its cores, in order, came to what is asked. */
export interface CoredPipe {
  readonly mark: string;
  readonly cores: readonly boolean[];
}

/** How a group stands by its cores, and what comes next. */
export type CoreChain =
  | { readonly state: 'accepted' }
  | { readonly state: 'recore'; readonly mark: string }
  | { readonly state: 'two more'; readonly mark: string; readonly owed: number }
  | { readonly state: 'accepted without'; readonly mark: string }
  | { readonly state: 'each or reject'; readonly mark: string };

/**
 * What the cores of a group of pipes come to: the first, else a recore of the same pipe; where that fails too this pipe is
 * rejected and others are drawn, which all have to pass.
 * @param pipes in the order that they were drawn @param others how many others are drawn
 * @returns undefined while none was cored
 * Source: ASTM C76/C76M (from memory).
 */
export function coreChain(pipes: readonly CoredPipe[], others: number): CoreChain | undefined {
  const [first, ...more] = pipes.filter(({ cores }) => cores.length > 0);
  if (!first) return undefined;
  const { mark } = first;
  if (first.cores.slice(0, 2).includes(true)) return { state: 'accepted' };
  if (first.cores.length === 1) return { state: 'recore', mark };
  if (more.some(({ cores }) => cores[0] === false)) return { state: 'each or reject', mark };
  const owed = Math.max(0, others - more.length);
  return owed > 0 ? { state: 'two more', mark, owed } : { state: 'accepted without', mark };
}
