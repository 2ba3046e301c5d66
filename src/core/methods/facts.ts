import { type Dimension, type Exact, exact, readInstant } from '../quantity';
import { isPossible, rangeWords, setupMeasure } from './measure-text';
import { didYouMean } from './nearest';
import { RATIO_RANGE, SPECIFIED, type SpecifiedName } from './specified';
import { validated } from './validated';

/** What a fact is, so that one given from outside can be held against it. */
export type FactKind =
  | { readonly dimension: Dimension; readonly among?: SpecifiedName }
  | { readonly options: readonly string[] }
  /** Several things said together: a class that says what each is. */
  | (new () => object)
  | 'text'
  | 'texts'
  | 'flag'
  | 'ratio'
  /** Points of a curve, `x/y` with blanks between. */
  | 'pairs'
  /** A whole number. */
  | 'whole'
  /** A number without a unit: a pH. */
  | 'number'
  | 'instant';

/**
 * Something a method needs to know and does not read itself: it says whose it is and what to take of it, and one function
 * of the server gathers it.
 */
export interface FactSource {
  /**
   * Whose: what is specified, the lot, the same sample, the specimen itself, what it was cut from, the other specimens of
   * its sample, the batch it was made ready in, everything made to the same specification, or of a test of a lot the
   * specimens of all its samples.
   */
  readonly of:
    | 'asked'
    | 'lot'
    | 'sample'
    | 'specimen'
    | 'parent'
    | 'companions'
    | 'batch'
    | 'specification'
    | 'samples';
  /**
   * A field of what is asked, of the lot, the sample or the specimen; a quantity of a result; `input.shape`, a reading;
   * `picture.pairs`, what it draws, as text;
   * what a batch tells of its specimens, by name, or its `members`.
   */
  readonly take: string;
  /** Of companions: only those that are to be of the same age, and only those of a role. Without `by`, their labels. */
  readonly alike?: true;
  /** Of companions: only those that are tested at this age, h. A test of a sample is told of all its specimens. */
  readonly aged?: number;
  readonly role?: string;
  /** Of a batch's members: the readings that are told of each, whatever test of theirs they were read in. */
  readonly reads?: readonly string[];
  /** The methods whose tests (of a specimen: its other ones) say it, the first that has it counts; absent where it is stored with whom it is of. */
  readonly by?: readonly string[];
  /** Of several: the newest, an attempt before this one (of a specimen: all of them), that on the sample before, or the newest few. */
  readonly which?: 'newest' | 'earlier' | 'before' | 'several';
  readonly is: FactKind;
  /** A result as it was computed, before it was rounded, and without its unit. */
  readonly unrounded?: true;
  /** Only what is waited for rests on it: a test is not computed anew where it changes. */
  readonly waitsOnly?: true;
}

export type FactSources = Readonly<Record<string, FactSource>>;
export type Fact = string | boolean | readonly string[] | object;
export type Facts = Readonly<Record<string, Fact>>;

interface Known {
  readonly facts?: Facts | undefined;
}

/** A fact as text; undefined where it is not known. */
export function factText(setup: Known, name: string): string | undefined {
  const fact = setup.facts?.[name];
  return typeof fact === 'string' ? fact : undefined;
}

/** A fact that is one of a few words; undefined where it is none of them. */
export function factOption<T extends string>(
  setup: Known,
  name: string,
  options: readonly T[],
): T | undefined {
  const fact = factText(setup, name);
  return options.find((option) => option === fact);
}

/** A measured fact in a unit; undefined where it is not known. */
export function factMeasure(
  setup: Known,
  name: string,
  dimension: Dimension,
  unit?: Parameters<typeof setupMeasure>[2],
): ReturnType<typeof setupMeasure> {
  return setupMeasure(factText(setup, name), dimension, unit);
}

const NUMBER = /^\d{1,6}(?:\.\d{1,6})?$/u;

/** A fact that is a number without a unit; undefined where it is not known. */
export function factNumber(setup: Known, name: string): Exact | undefined {
  const text = factText(setup, name);
  return text !== undefined && NUMBER.test(text) ? exact(text) : undefined;
}

/** True where a fact is known to be so. */
export function factFlag(setup: Known, name: string): boolean {
  return setup.facts?.[name] === true;
}

/** A fact that is several texts; none where it is not known. */
export function factTexts(setup: Known, name: string): readonly string[] {
  const fact = setup.facts?.[name];
  return Array.isArray(fact) ? (fact as readonly string[]) : [];
}

/** A fact that is several things said together, as the class that it was declared with; undefined where it is not known. */
export function factOf<T extends object>(setup: Known, name: string, _is: new () => T): T | undefined {
  const fact = setup.facts?.[name];
  return typeof fact === 'object' && !Array.isArray(fact) ? (fact as T) : undefined;
}

/** A fact that is known of the specimen itself. */
export function ofSpecimen(take: string, is: FactKind): FactSource {
  return { of: 'specimen', take, is };
}

/** A fact that is asked for by the specification. */
export function asked(take: string, is: FactKind): FactSource {
  return { of: 'asked', take, is };
}

/** What is asked of a concrete, where it can be asked for at all. */
export function specified(name: SpecifiedName): FactSource {
  return asked(name, { dimension: SPECIFIED[name].dimension, among: name });
}

/** A result that another test of the same sample came to. @param by methods, the first that has it counts */
export function resultOn(take: string, by: readonly string[], is: FactKind): FactSource {
  return { of: 'sample', take, by, is };
}

/** A result, or a reading, of the attempts before this one on the same sample. */
export function earlier(take: string, by: readonly string[], is: FactKind): FactSource {
  return { of: 'sample', take, by, which: 'earlier', is };
}

/** A result that the same test came to on the sample before, of the same lot. */
export function resultBefore(take: string, by: readonly string[], is: FactKind): FactSource {
  return { of: 'sample', take, by, which: 'before', is };
}

/** What is wrong with facts given from outside, by name; empty when nothing is. */
export function factProblems(sources: FactSources, facts: unknown): Record<string, string> {
  if (facts === undefined) return {};
  if (typeof facts !== 'object' || facts === null || Array.isArray(facts))
    return { '': 'an object of facts is expected.' };
  const found: Record<string, string> = {};
  for (const [name, fact] of Object.entries(facts)) {
    const source = sources[name];
    const problem = source
      ? factProblem(source.is, fact)
      : `this method asks for no such fact.${didYouMean(name, Object.keys(sources))}`;
    if (problem) found[name] = problem;
  }
  return found;
}

const LONGEST = 200;
const MOST = 50;
const MOST_PAIRS = 4000;
const PAIRS = /^(?:\d{1,6}(?:\.\d{1,4})?\/\d{1,6}(?:\.\d{1,4})?(?: |$)){1,200}$/u;

function factProblem(is: FactKind, fact: unknown): string | null {
  if (is === 'flag') return typeof fact === 'boolean' ? null : 'true or false is expected.';
  if (is === 'texts') {
    const good = Array.isArray(fact) && fact.length <= MOST && fact.every((each) => isText(each));
    return good ? null : 'a list of texts is expected.';
  }
  if (typeof is === 'function') {
    const checked = validated(is, fact, { strict: true });
    return checked.ok
      ? null
      : Object.entries(checked.errors)
          .map(([name, problem]) => `${name}: ${problem}`)
          .join(' ');
  }
  if (is === 'pairs') {
    const good = typeof fact === 'string' && fact.length <= MOST_PAIRS && PAIRS.test(fact);
    return good ? null : 'points x/y with blanks between are expected.';
  }
  if (!isText(fact)) return 'a text is expected.';
  if (is === 'text') return null;
  if (is === 'number') return NUMBER.test(fact) ? null : 'a plain number is expected.';
  if (is === 'whole') return /^\d{1,6}$/u.test(fact) ? null : 'a whole number is expected.';
  if (is === 'instant') {
    const read = readInstant(fact);
    return read.ok ? null : read.problem;
  }
  if (is === 'ratio') {
    const value = /^\d{0,2}\.?\d{1,6}$/u.test(fact) ? Number(fact) : Number.NaN;
    const [low, high] = RATIO_RANGE;
    return value >= low && value <= high ? null : `a plain number between ${low} and ${high} is expected.`;
  }
  if ('options' in is)
    return is.options.includes(fact) ? null : `one of ${is.options.join(', ')} is expected.`;
  const { dimension, among } = is;
  if (setupMeasure(fact, dimension) !== undefined && (!among || isPossible(fact, among))) return null;
  return `a ${dimension} with its unit is expected${among ? `, between ${rangeWords(among)}` : ''}.`;
}

function isText(fact: unknown): fact is string {
  return typeof fact === 'string' && fact.length <= LONGEST;
}
