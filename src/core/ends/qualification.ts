import type { Limits } from '../limits';
import { type Exact, exact, largest, meanOf, type System, smallest } from '../quantity';
import { standardDeviation } from '../statistics';

/** What pairs of cylinders say of pads: one of each pair on pads, one ground or capped. */
export interface PadQualification {
  readonly pairs: number;
  readonly meanReference: Exact;
  readonly meanPads: Exact;
  readonly meanDifference: Exact;
  readonly deviation: Exact;
  readonly t: Exact;
  /** What the mean on pads must reach. */
  readonly wanted: Exact;
  readonly qualified: boolean;
  /** False when the pairs do not belong to one level of strength. */
  readonly oneLevel: boolean;
}

/** Student's t, one-sided 95 %, by degrees of freedom. Source: statistical tables. */
const T: readonly (readonly [freedom: number, t: string])[] = [
  [9, '1.833'],
  [10, '1.812'],
  [11, '1.796'],
  [12, '1.782'],
  [13, '1.771'],
  [14, '1.761'],
  [19, '1.729'],
  [29, '1.699'],
  [100, '1.660'],
];

/** The t of the next smaller number of degrees of freedom in the table: never less strict than the true one. */
export function oneSidedT(freedom: number): Exact | undefined {
  return exact(T.findLast(([own]) => own <= freedom)?.[1] ?? Number.NaN);
}

/**
 * Whether pads are qualified by pairs of cylinders.
 * @param pairs reference and pads of each, psi or MPa
 * @returns undefined for fewer pairs than a level needs
 * Source: ASTM C1231/C1231M (from memory): x̄p ≥ 0.98 x̄s + t s / √n.
 */
export function padQualification(
  pairs: readonly { readonly reference: Exact; readonly pads: Exact }[],
  system: System,
  limits: Limits,
): PadQualification | undefined {
  const n = pairs.length;
  if (n < limits.number('pads.pairs', system).toNumber()) return undefined;
  const differences = pairs.map(({ reference, pads }) => pads.minus(reference));
  const [meanReference, meanPads] = [
    meanOf(pairs.map(({ reference }) => reference)),
    meanOf(pairs.map(({ pads }) => pads)),
  ];
  const deviation = standardDeviation(differences) ?? exact(0);
  const t = oneSidedT(n - 1) ?? exact(0);
  const wanted = meanReference
    .times(limits.number('pads.pair-ratio', system))
    .plus(t.times(deviation).div(exact(n).sqrt()));
  const averages = pairs.map(({ reference, pads }) => reference.plus(pads).div(2));
  return {
    pairs: n,
    meanReference,
    meanPads,
    meanDifference: meanOf(differences),
    deviation,
    t,
    wanted,
    qualified: meanPads.greaterThanOrEqualTo(wanted),
    oneLevel: largest(averages)
      .minus(smallest(averages))
      .lessThanOrEqualTo(limits.number('pads.level', system)),
  };
}

/** Pads qualified over a span of strengths: what each level says, the lowest first. */
export interface PadSpan {
  readonly levels: readonly PadQualification[];
  /** Strengths between which the pads are qualified, psi or MPa; equal where there is one level only. */
  readonly from: Exact;
  readonly to: Exact;
}

/**
 * The levels of strength among pairs: apart where two neighbours in strength lie further apart than any two of their own.
 * @returns one group, or two where the pairs do not belong to one level
 */
function levelsOf(
  pairs: readonly { readonly reference: Exact; readonly pads: Exact }[],
  system: System,
  limits: Limits,
): (typeof pairs)[] {
  const average = ({ reference, pads }: (typeof pairs)[number]): Exact => reference.plus(pads).div(2);
  const sorted = pairs.toSorted((a, b) => average(a).comparedTo(average(b)));
  const [first, last] = [sorted[0], sorted.at(-1)];
  if (
    !first ||
    !last ||
    average(last).minus(average(first)).lessThanOrEqualTo(limits.number('pads.level', system))
  )
    return [sorted];
  let [at, widest] = [1, exact(-1)];
  for (let place = 1; place < sorted.length; place += 1) {
    const [below, above] = [sorted[place - 1], sorted[place]];
    if (!below || !above) continue;
    const gap = average(above).minus(average(below));
    if (gap.greaterThan(widest)) [at, widest] = [place, gap];
  }
  return [sorted.slice(0, at), sorted.slice(at)];
}

/**
 * Whether pads are qualified over the strengths of the pairs: at the lowest level and at the highest one.
 * @returns the span, or in words why not
 * Source: ASTM C1231/C1231M (from memory): ten pairs at the highest and ten at the lowest level claimed.
 */
export function padSpan(
  pairs: readonly { readonly reference: Exact; readonly pads: Exact }[],
  system: System,
  limits: Limits,
): { readonly ok: true; readonly span: PadSpan } | { readonly ok: false; readonly why: string } {
  const least = limits.number('pads.pairs', system);
  const unit = system === 'US' ? 'psi' : 'MPa';
  const levels: PadQualification[] = [];
  for (const own of levelsOf(pairs, system, limits)) {
    const found = padQualification(own, system, limits);
    if (!found) return { ok: false, why: `${own.length} pairs: at least ${least} are needed at a level.` };
    if (!found.oneLevel)
      return { ok: false, why: 'These pairs lie too far apart to be one level of strength, or two.' };
    if (!found.qualified)
      return {
        ok: false,
        why: `Not qualified: mean ${found.meanPads.toFixed(1)} on pads, ${found.wanted.toFixed(1)} ${unit} wanted.`,
      };
    levels.push(found);
  }
  const [low, high] = [levels[0], levels.at(-1)];
  if (!low || !high) return { ok: false, why: `No pairs: at least ${least} are needed at a level.` };
  return { ok: true, span: { levels, from: low.meanReference, to: high.meanReference } };
}
