import type { LimitId } from '../limits';
import type { Profile } from '../limits/schools';
import type { FollowUpStep } from './low-strength';

/** What is asked for, as it is stored. */
type Stored = Readonly<Record<string, unknown>>;

/** Tests that follow one another, sample by sample, and are judged together. Data of a material. */
export interface SeriesRule {
  readonly id: string;
  /** What its tests are called, and one of them: `Strength tests`, `Strength test`. */
  readonly title: string;
  readonly test: string;
  /** The method whose sets they are, and of which cure. */
  readonly method: string;
  readonly cure: 'standard' | 'field';
  /** The fields of what is asked that say the strength and the age in hours at which it counts. */
  readonly asked: string;
  readonly age: string;
  /** How what is asked is written: `f′c`. */
  readonly symbol: string;
  /** What its results are reported to. */
  readonly step: LimitId;
  /** Limits that its tests and criteria hang on, or the beginnings of their names. */
  readonly heldTo: readonly string[];
  /** What is done after a test below what a single one may be, and what a mean in a row that is too low asks for. */
  readonly lowSteps: readonly FollowUpStep[];
  readonly lowMean: string;
  /** What is laid beside its own tests: sets of the same sample, age and cure. */
  readonly beside?: {
    readonly method: string;
    /** How their strength is written. */
    readonly symbol: string;
    /** Pairs from which a curve is made, and how often its square root is the usual one. */
    readonly pairs: LimitId;
    readonly usual: LimitId;
  };
  /** True where the laboratory is told how well it repeats itself, by the classes for cylinders. */
  readonly within?: true;
  /** Only where it is asked for so. */
  readonly when?: (asked: Stored) => boolean;
  /** What it is held against, by the school of the job. */
  criteria(profile: Profile): readonly string[];
}

/** The series that a specification makes, by what is asked for. */
export function seriesAsked(rules: readonly SeriesRule[] | undefined, asked: Stored): readonly SeriesRule[] {
  return (rules ?? []).filter(
    ({ asked: name, when }) => typeof asked[name] === 'string' && (when?.(asked) ?? true),
  );
}

/** The series that a set stands in: of its method, cured so, at the age that is asked for; undefined where it is in none. */
export function seriesOf(
  rules: readonly SeriesRule[],
  asked: Stored,
  set: { readonly method: string; readonly cure: string | null; readonly ageHours: number | null },
): SeriesRule | undefined {
  return rules.find(
    ({ method, cure, age }) =>
      method === set.method && cure === set.cure && set.ageHours !== null && asked[age] === set.ageHours,
  );
}
