import type { LimitId, Limits } from '../../limits';
import type { Exact, System } from '../../quantity';

/** A step of a scale: from which value on, its sign, and what it is called. */
type Step = readonly [from: LimitId, sign: string, words: string];

const GRADES: readonly Step[] = [
  ['rock.grade-0', 'R0', 'extremely weak'],
  ['rock.grade-1', 'R1', 'very weak'],
  ['rock.grade-2', 'R2', 'weak'],
  ['rock.grade-3', 'R3', 'medium strong'],
  ['rock.grade-4', 'R4', 'strong'],
  ['rock.grade-5', 'R5', 'very strong'],
  ['rock.grade-6', 'R6', 'extremely strong'],
];

const CLASSES: readonly Step[] = [
  ['rock.class-0', '', 'very low'],
  ['rock.class-1', '', 'low'],
  ['rock.class-2', '', 'medium'],
  ['rock.class-3', '', 'high'],
  ['rock.class-4', '', 'very high'],
  ['rock.class-5', '', 'extremely high'],
];

const RATINGS: readonly Step[] = [
  ['rock.rating-4', '', '4'],
  ['rock.rating-7', '', '7'],
  ['rock.rating-12', '', '12'],
  ['rock.rating-15', '', '15'],
];

function stepOf(scale: readonly Step[], value: Exact, limits: Limits, system: System): Step | undefined {
  return scale.findLast(([from]) => value.greaterThanOrEqualTo(limits.number(from, system)));
}

/**
 * Grade of a rock by its strength in uniaxial compression, MPa or psi; a boundary belongs to the higher grade.
 * @returns `R4, strong`; undefined below all grades, where it is soil
 * Source: ISRM 1981 (from memory).
 */
export function gradeOf(
  strength: Exact,
  limits: Limits,
  system: System,
): { sign: string; words: string } | undefined {
  const step = stepOf(GRADES, strength, limits, system);
  return step && { sign: step[1], words: step[2] };
}

/** Class of a rock by its index alone, as Australia has it; undefined below all. Source: AS 1726 (from memory). */
export function classOf(index: Exact, limits: Limits, system: System): string | undefined {
  return stepOf(CLASSES, index, limits, system)?.[2];
}

/** Rating points by the index; undefined below 1 MPa, where they are by the strength. Source: 1989 system (from memory). */
export function ratingOf(index: Exact, limits: Limits, system: System): string | undefined {
  return stepOf(RATINGS, index, limits, system)?.[2];
}
