import type { Limits } from '../limits';
import { type MouldSize, mouldOf } from '../moulds';
import { type Exact, exact, type System } from '../quantity';

/** What is to be made of a sample. */
export interface SamplePlan {
  readonly system: System;
  readonly specimens: readonly { readonly size: MouldSize; readonly count: number }[];
  readonly slump: boolean;
  /** Volume of the bowl of the air test, ft³ or L; the density measure may be the same bowl. */
  readonly airBowl?: Exact;
  readonly densityMeasure?: Exact;
}

export interface SampleSize {
  /** ft³ or L, unrounded. */
  readonly needed: Exact;
  /** What to take, rounded up. */
  readonly take: Exact;
  /** True when the least sample for strength specimens governs. */
  readonly leastGoverns: boolean;
  readonly barrows: number;
}

/** Volume of a slump cone: ft³ in inch-pound, L in SI (the EN and IS cone has the same 200, 100 and 300 mm). */
function coneVolume(system: System): Exact {
  // π H / 12 (D² + D d + d²): 12 in × 8 in × 4 in, and 300 × 200 × 100 mm.
  const pi = exact('3.14159265358979');
  return system === 'US' ? pi.times(12).times(112).div(12).div(1728) : pi.times(3).times(7).div(12);
}

/**
 * How much concrete to take.
 * Source: ASTM C172/C172M least sample; EN 12350-1 one and a half times (from memory). A quarter to spare is our choice.
 */
export function sampleSize(plan: SamplePlan, limits: Limits): SampleSize {
  const { system } = plan;
  const moulds = plan.specimens.reduce(
    (sum, { size, count }) => sum.plus(exact(mouldOf(size).volume).times(count)),
    exact(0),
  );
  const needed = moulds
    .plus(plan.slump ? coneVolume(system) : 0)
    .plus(plan.airBowl ?? 0)
    .plus(plan.densityMeasure ?? 0);
  const spare = needed.times(limits.number('sampling.spare', system));
  const least = plan.specimens.length > 0 ? limits.number('sampling.smallest', system) : exact(0);
  const step = limits.number('sampling.size-step', system);
  const take = (spare.greaterThan(least) ? spare : least).div(step).ceil().times(step);
  return {
    needed,
    take,
    leastGoverns: least.greaterThanOrEqualTo(spare),
    barrows: take.div(limits.number('sampling.barrow', system)).ceil().toNumber(),
  };
}
