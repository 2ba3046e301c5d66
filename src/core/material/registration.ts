import type { Limits } from '../limits';
import type { RunInput } from '../methods/fields';
import type { System } from '../quantity';

/** What is stored of a specification, a lot or a sample, by the names of its fields. */
export type Stored = Readonly<Record<string, unknown>>;

/** What is known when specimens are registered; moments in ms since the epoch. */
export interface RegisterAbout {
  readonly form: string;
  readonly system: System;
  readonly limits: Limits;
  readonly sampledAt: number;
  /** What is known of its sample. */
  readonly sample: Stored;
  /** When the sample's own specimens were made, where they are. */
  readonly madeAt: number | undefined;
}

/** What is kept of each specimen that is registered. */
export interface Registered {
  readonly since: number;
  /** When it came to it; absent: now. */
  readonly at?: number;
  readonly about: Stored;
  readonly ageHours?: number;
  readonly opensAt?: number;
  readonly closesAt?: number;
}

/** A way that specimens come to a sample with names of their own: cores are drilled, cubes brought along, pieces taken. */
export interface Registration {
  readonly id: string;
  /** On its button, over its form and beside it. */
  readonly begin: string;
  readonly title: string;
  readonly intro: string;
  readonly done: string;
  /** How many: what it says beside it, what stands there at first, and the most at once. */
  readonly countHelp: string;
  readonly usual: number;
  readonly most: number;
  /** What the place is called that is kept with each of them. */
  readonly place: string;
  /** The forms they can have; the first is the usual one. None: they do not come to such a sample. */
  forms(sample: Stored, system: System, asked: Stored): readonly string[];
  /** What is told of all of them; absent where their number is all. */
  readonly Input?: new () => RunInput;
  /** What stands on the form of this before anything is typed. */
  readonly initial?: Readonly<Record<string, string>>;
  /** What happens to them, in the history of each. */
  readonly event: 'drilled' | 'sawn' | 'moulded' | 'received' | 'marked';
  /** Registered at the bench only. */
  readonly bench?: true;
  /** Only where the sample's own specimens are made. */
  readonly afterMade?: true;
  /**
   * Cut out of specimens of the sample that have a role: what becomes of each of them, with the letter that stands after
   * the label of what it was cut from. Their number is then the number of those that are cut.
   */
  readonly cut?: {
    readonly from: string;
    readonly into: readonly { readonly role: string; readonly letter: string }[];
  };
  /** What each is for, where their form is for several tests, by how many the sample has before it. */
  role?(before: number, asked: Stored, limits: Limits): string;
  /** What is kept of each, or what is wrong by field. */
  register(
    told: Stored,
    about: RegisterAbout,
  ):
    | { readonly ok: true; readonly value: Registered }
    | { readonly ok: false; readonly errors: Readonly<Record<string, string>> };
}
