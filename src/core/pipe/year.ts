import { Exact, exact } from '../quantity';
import { type Retests, retestsOf, type TestedPipe } from './retests';

/** The rules that ask for tests in a calendar year; what is not asked for is left out. */
export interface YearRules {
  readonly tests: Exact;
  /** Percent of the pipes made. */
  readonly share?: Exact | undefined;
  /** One for so many pipes. */
  readonly each?: Exact | undefined;
}

/**
 * Tests that each rule owes of a calendar year, parts of a pipe rounded up; 0 of a rule that is not asked. The strictest decides.
 * @param made pipes made so far
 * Source: common practice, no source; the share and the number are the customer's or the certificate's.
 */
export function owedByRule({ tests, share, each }: YearRules, made: Exact): Record<'a' | 'b' | 'c', Exact> {
  return {
    a: tests,
    b: share ? made.times(share).div(100).ceil() : exact(0),
    c: each?.greaterThan(0) ? made.div(each).ceil() : exact(0),
  };
}

/** Tests that a calendar year owes of one size and class: the strictest of `owedByRule`. */
export function owedInYear(rules: YearRules, made: Exact): Exact {
  const { a, b, c } = owedByRule(rules, made);
  return Exact.max(a, b, c);
}

/** A pipe that was tested, with the day and whether it went to its crack and its end. */
export interface TestOfYear extends TestedPipe {
  readonly day: string;
  readonly whole: boolean;
}

/** How a year stands. */
export interface YearStanding {
  /** Tests that count: to the crack and the end, in the year, none of a retest, with an answer. */
  readonly counted: readonly TestOfYear[];
  readonly left: number;
  readonly retests: Retests;
}

/**
 * What is tested and still to be tested of a year.
 * @param owed as `owedInYear` @param each pipes for each that failed
 */
export function yearStanding(
  tests: readonly TestOfYear[],
  year: number,
  owed: Exact,
  each: number,
): YearStanding {
  const own = tests.filter(({ day }) => day.startsWith(`${year}-`));
  const counted = own.filter(
    ({ whole, standing, retestOf }) => whole && !retestOf && (standing === 'meets' || standing === 'fails'),
  );
  return {
    counted,
    left: Exact.max(0, owed.minus(exact(counted.length))).toNumber(),
    retests: retestsOf(own, each),
  };
}
