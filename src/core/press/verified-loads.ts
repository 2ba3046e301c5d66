import { cite, type Limits } from '../limits';
import { type Exact, exact } from '../quantity';

/** A machine at one load of its verification. */
export interface VerifiedLoad {
  readonly indicated: Exact;
  readonly applied: Exact;
  /** Indicated less applied, and that in percent of the applied load. */
  readonly error: Exact;
  readonly percent: Exact;
  readonly within: boolean;
}

/** What the loads of a verification prove. */
export interface VerifiedLoads {
  /** By the applied load, the lowest first. */
  readonly loads: readonly VerifiedLoad[];
  /** Ends of the range that is proved; absent when it is proved at too few loads. */
  readonly from?: Exact;
  readonly to?: Exact;
  /** How many loads lie in it. */
  readonly proved: number;
  /** The permitted error, `±1.0 %`, and where it comes from. */
  readonly permitted: { readonly text: string; readonly source: string };
}

/**
 * The range of load that a machine is verified for: the longest run of neighbouring loads at which its error is within
 * the permitted one. A load outside cuts the range, whatever lies beyond it.
 * @param pairs indicated and applied load of each, lbf or kN
 * @param smallest change of load that can be read, lbf or kN, where it is known: the range opens at no less than a
 * hundred times that
 * Source: ASTM E4 (from memory): E = indicated − applied, in percent of the applied, at most 1.0 %; five loads or more.
 */
export function verifiedLoads(
  pairs: readonly (readonly [indicated: Exact, applied: Exact])[],
  limits: Limits,
  smallest?: Exact,
): VerifiedLoads {
  const most = limits.number('machine.error', 'US');
  const least = limits.number('machine.loads', 'US').toNumber();
  const lowest = smallest?.times(limits.number('machine.lowest-steps', 'US')) ?? exact(0);
  const loads = pairs
    .filter(([, applied]) => applied.greaterThan(0))
    .map(([indicated, applied]): VerifiedLoad => {
      const error = indicated.minus(applied);
      const percent = error.div(applied).times(100);
      return { indicated, applied, error, percent, within: percent.abs().lessThanOrEqualTo(most) };
    })
    .toSorted((a, b) => a.applied.comparedTo(b.applied));
  let best: readonly VerifiedLoad[] = [];
  let run: VerifiedLoad[] = [];
  for (const load of loads) {
    run = load.within && load.indicated.greaterThanOrEqualTo(lowest) ? [...run, load] : [];
    if (run.length >= best.length) best = run;
  }
  // A machine may read a load a little lower than the one before: the ends are the least and the most it showed.
  const shown = best.map(({ indicated }) => indicated).toSorted((a, b) => a.comparedTo(b));
  const [first, last] = [shown[0], shown.at(-1)];
  return {
    loads,
    proved: best.length,
    permitted: { text: `±${most.toFixed(1)} %`, source: cite(limits.of('machine.error', 'US')).source },
    ...(first && last && best.length >= least ? { from: first, to: last } : {}),
  };
}
