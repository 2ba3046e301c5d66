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

/** Reads rows of reference and pads, one pair a row; rows that hold no two numbers are given back. */
export function readPairs(text: string): {
  readonly pairs: readonly { readonly reference: Exact; readonly pads: Exact }[];
  readonly bad: readonly string[];
} {
  const pairs: { reference: Exact; pads: Exact }[] = [];
  const bad: string[] = [];
  for (const [index, line] of text.split(/\r?\n/u).entries()) {
    if (line.trim() === '') continue;
    const numbers = line.split(/[;\t ]+|,(?!\d{3}(?:\D|$))/u).flatMap((cell) => {
      const plain = cell.trim().replaceAll(',', '');
      return /^\d+(\.\d+)?$/u.test(plain) ? [exact(plain)] : [];
    });
    const [reference, pads] = numbers;
    if (reference && pads) pairs.push({ reference, pads });
    else if (index > 0 || numbers.length > 0) bad.push(line);
  }
  return { pairs, bad };
}
