import type { Limits } from '../limits';
import type { System } from '../quantity';

/** A probe with the leaf gauge: where along the barrel, in or mm, and whether it goes in as deep as it has to. */
export interface Probe {
  readonly at: number;
  readonly enters: boolean;
}

/** What probes along a crack say. */
export type CrackSays =
  | { readonly says: 'it is the crack'; readonly from: number; readonly to: number }
  | { readonly says: 'it is not' }
  /** Where to probe next before it can be said. */
  | { readonly says: 'probe on'; readonly at: readonly number[] };

/** Runs of probes that enter, in order along the barrel, broken by one that does not and by what `apart` says of two. */
function runsOf(probes: readonly Probe[], apart: (from: number, to: number) => boolean): number[][] {
  const runs: number[][] = [[]];
  for (const { at, enters } of probes) {
    const run = runs.at(-1) ?? [];
    const last = run.at(-1);
    if (!enters) runs.push([]);
    else if (last !== undefined && apart(last, at)) runs.push([at]);
    else run.push(at);
  }
  return runs.filter(({ length }) => length > 0);
}

const NOISE = 1e-9;
const longOf = (run: readonly number[]): number => (run.at(-1) ?? 0) - (run[0] ?? 0);

/**
 * Whether what is seen is the crack that ends the test: the gauge enters, probe by probe, over a foot.
 * @param probes in any order, in in or mm as the system
 * @param whole nothing of the crack is to be seen beyond the outer probes
 * @returns where the run lies; or that it is none; or where to probe on, because a gap is too wide or the crack goes on
 * Source: ASTM C497 (from memory): 0.01 in wide over a foot, probed at close intervals; that 3 in is close is its newer
 *   wording, and what is undecided between is our choice.
 */
export function crackOf(probes: readonly Probe[], limits: Limits, system: System, whole = true): CrackSays {
  const gap = limits.number('teb.probe-gap', system).toNumber();
  const long = limits.number('teb.probe-run', system).toNumber();
  const sorted = probes.toSorted((a, b) => a.at - b.at);
  const wide = (from: number, to: number): boolean => to - from > gap + NOISE;
  const found = runsOf(sorted, wide).find((run) => longOf(run) >= long - NOISE);
  if (found) return { says: 'it is the crack', from: found[0] ?? 0, to: found.at(-1) ?? 0 };
  const loose = runsOf(sorted, () => false);
  const between = loose
    .filter((run) => longOf(run) >= long - NOISE)
    .flatMap((run) =>
      run.slice(1).flatMap((to, place) => {
        const from = run[place] ?? to;
        return wide(from, to) ? [(from + to) / 2] : [];
      }),
    );
  if (between.length > 0) return { says: 'probe on', at: between };
  const [first, last] = [sorted[0], sorted.at(-1)];
  const beyond = whole
    ? []
    : [...(first?.enters ? [first.at - gap] : []), ...(last?.enters ? [last.at + gap] : [])];
  return beyond.length > 0 ? { says: 'probe on', at: beyond } : { says: 'it is not' };
}
