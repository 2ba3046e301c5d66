/** How a pipe stands: `again` was loaded too fast and would pass, `open` is not decided yet. */
export type PipeStanding = 'meets' | 'fails' | 'again' | 'open';

/** A pipe that was tested: its mark, how it stands, and the mark of the failed one that it is tested for. */
export interface TestedPipe {
  readonly mark: string;
  readonly standing: PipeStanding;
  readonly retestOf?: string;
}

/** What pipes that failed ask for. */
export interface Retests {
  /** Pipes that failed and were none of a retest. */
  readonly failed: readonly string[];
  /** Others that are still to be tested for them. */
  readonly owed: number;
  /** A pipe of a retest that failed too, by its mark. */
  readonly lost: string | null;
}

/**
 * What is still to be tested after pipes failed: so many others for each, of which every one has to pass.
 * @param each how many for each
 * Source: ASTM C76/C76M (from memory).
 */
export function retestsOf(tested: readonly TestedPipe[], each: number): Retests {
  const failed = tested.filter(({ standing, retestOf }) => standing === 'fails' && !retestOf);
  const retested = tested.filter(({ retestOf }) => retestOf !== undefined);
  const owed = failed.reduce((sum, { mark }) => {
    const passed = retested.filter(({ retestOf, standing }) => retestOf === mark && standing === 'meets');
    return sum + Math.max(0, each - passed.length);
  }, 0);
  const lost = retested.find(({ standing }) => standing === 'fails')?.mark ?? null;
  return { failed: failed.map(({ mark }) => mark), owed: lost ? 0 : owed, lost };
}
