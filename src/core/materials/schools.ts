import type { LimitAbout, SourcedLimit } from '../acceptance/criterion';
import { isLimitId, type LimitId, type Limits } from '../limits';
import type { Exact, System } from '../quantity';
import { standard } from '../working';

/** The schools whose products are held to a class, or to what their producer declares, by the product. */
const SCHOOL_OF = {
  'en771-3': 'en',
  'en771-1': 'en',
  is2185: 'is',
  is1077: 'is',
  a165: 'csa',
} as const;

/** `en`: gross area, normalised; `is`: gross area; `csa`: net area, as ASTM tests it. */
export type School = (typeof SCHOOL_OF)[keyof typeof SCHOOL_OF];

/** The school of a product; undefined for one of ASTM. */
export function schoolOf(product: unknown): School | undefined {
  return typeof product === 'string' && Object.hasOwn(SCHOOL_OF, product)
    ? SCHOOL_OF[product as keyof typeof SCHOOL_OF]
    : undefined;
}

/** A class, or a strength that is declared, as a field of what is asked. */
export const DECLARED = {
  label: 'Class, or strength declared',
  dimension: 'stress',
  unit: { US: 'psi', SI: 'MPa' },
  step: { US: '10', SI: '0.1' },
  possible: { US: ['100', '30000'], SI: ['0.7', '200'] },
  help: 'Only of EN, IS and CSA products: in MPa it is the number of the class.',
  example: '',
} as const;

/** What is missing of a product that is held to its class. */
export function declaredProblem({
  product,
  declared,
}: Readonly<Record<string, unknown>>): Readonly<Record<string, string>> {
  return schoolOf(product) && !declared
    ? { declared: 'This product is held to its class, or to what its producer declares: type that strength.' }
    : {};
}

/** The document that a product is from. */
const DOCUMENT = {
  'en771-3': standard('EN 771-3'),
  'en771-1': standard('EN 771-1'),
  is2185: standard('IS 2185-1'),
  is1077: standard('IS 1077'),
  a165: standard('CSA A165.1'),
} as const satisfies Record<keyof typeof SCHOOL_OF, unknown>;

/** What is asked of the mean where a strength is declared; or of each, the share of it that `school.each` names. */
export function ofDeclared(declared: Exact, which: 'mean' | 'each', limits: Limits, system: System): Exact {
  return which === 'mean' ? declared : declared.times(limits.number('school.each', system)).div(100);
}

/**
 * What a product of a school is held to: its class, or the strength that is declared of it; or the share of that which
 * each unit has to reach.
 * Source: EN 771, IS 2185-1 and IS 1077, CSA A165.1 (from memory).
 */
export function ofSchool(
  school: School,
  which: 'mean' | 'each' = 'mean',
): (about: LimitAbout) => SourcedLimit | undefined {
  return ({ asked, said, limits, system }) => {
    const declared = asked('declared', system === 'US' ? 'psi' : 'MPa');
    const product = said('product');
    if (!declared || schoolOf(product) !== school) return undefined;
    return {
      value: ofDeclared(declared, which, limits, system),
      source: DOCUMENT[product as keyof typeof DOCUMENT],
    };
  };
}

/** The row that says how many units, or bricks, of a product are broken. */
export function strengthCount(of: 'unit' | 'brick', product: unknown): LimitId {
  const own = `${of}.${String(product)}.count`;
  return isLimitId(own) ? own : `${of}.role-count`;
}
