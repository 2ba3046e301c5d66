import { DateTime } from 'luxon';
import type { Limits } from '../limits';
import { type Exact, exact, meanOf, type System } from '../quantity';
import { standardDeviation } from '../statistics';

/** What cylinders capped with a material say of it against companions that were ground or capped with neat cement. */
export interface CompoundQualification {
  readonly meanCapped: Exact;
  readonly meanReference: Exact;
  readonly deviationCapped: Exact;
  readonly deviationReference: Exact;
  /** What mean and deviation are held against. */
  readonly wantedMean: Exact;
  readonly mostDeviation: Exact;
  readonly meanGood: boolean;
  readonly deviationGood: boolean;
  readonly qualified: boolean;
  /** Highest strength the material may be used for, psi or MPa. */
  readonly usableTo: Exact;
}

/**
 * Whether a capping material is qualified above the strength that needs none.
 * @param reference strengths of the cylinders ground or capped with neat cement, psi or MPa
 * @param capped strengths of their companions capped with the material
 * @returns undefined for fewer of either kind than the method asks for
 * Source: ASTM C617/C617M (from memory): 15 of each; mean at least 98 %, standard deviation at most 1.57 times that of
 * the reference; usable up to 20 % above the strength so tested.
 */
export function compoundQualification(
  reference: readonly Exact[],
  capped: readonly Exact[],
  system: System,
  limits: Limits,
): CompoundQualification | undefined {
  const least = limits.number('caps.pair-count', system).toNumber();
  if (reference.length < least || capped.length < least) return undefined;
  const [meanReference, meanCapped] = [meanOf(reference), meanOf(capped)];
  const [deviationReference, deviationCapped] = [
    standardDeviation(reference) ?? exact(0),
    standardDeviation(capped) ?? exact(0),
  ];
  const wantedMean = meanReference.times(limits.number('caps.pair-mean', system));
  const mostDeviation = deviationReference.times(limits.number('caps.pair-deviation', system));
  const meanGood = meanCapped.greaterThanOrEqualTo(wantedMean);
  const deviationGood = deviationCapped.lessThanOrEqualTo(mostDeviation);
  return {
    meanCapped,
    meanReference,
    deviationCapped,
    deviationReference,
    wantedMean,
    mostDeviation,
    meanGood,
    deviationGood,
    qualified: meanGood && deviationGood,
    usableTo: meanReference.times(limits.number('caps.pair-beyond', system)),
  };
}

/** What is on file of a qualified material. */
export interface QualifiedCompound {
  readonly usableTo: Exact;
  /** Calendar date. */
  readonly qualifiedOn: string;
}

/**
 * Whether a strength may be tested under caps of a material.
 * @param day calendar date of the capping
 * @returns `not asked` up to the strength that needs no qualification
 */
export function compoundFit(
  strength: Exact,
  on: QualifiedCompound | undefined,
  day: string | undefined,
  system: System,
  limits: Limits,
): 'not asked' | 'qualified' | 'none' | 'too weak' | 'too old' {
  if (strength.lessThanOrEqualTo(limits.number('caps.thick-switch', system))) return 'not asked';
  if (!on) return 'none';
  const months = limits.number('caps.pair-months', system).toNumber();
  const until = DateTime.fromISO(on.qualifiedOn).plus({ months }).toISODate();
  if (day && until && day > until) return 'too old';
  return strength.lessThanOrEqualTo(on.usableTo) ? 'qualified' : 'too weak';
}
