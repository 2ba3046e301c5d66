import type { Lane } from './wait';

/** What waits for the same thing in the same time: specimens of one sample that are broken together, a box, a tank. */
export interface DaySet {
  readonly key: string;
  readonly lane: Lane;
  readonly what: string;
  readonly ageHours: number | null;
  /** What its specimens are, where they wait for their age: their size, and that they are cured in the field. */
  readonly about: string;
  /** Where it is: the lot, or the tank or room; what is asked of it, and where one goes on with it. */
  readonly place: string;
  readonly detail: string;
  readonly href: string;
  readonly zone: string | null;
  /** Instants, ms since the epoch. */
  readonly opensAt: number;
  readonly bestAt: number | null;
  readonly closesAt: number | null;
  /** When the last of it was done, or ends by itself; null while some wait. */
  readonly doneAt: number | null;
  readonly provisional: string | null;
  /** Its specimens, where it is about some. */
  readonly specimens: readonly {
    readonly id: string;
    readonly label: string;
    readonly doneAt: number | null;
  }[];
}

/** What waits on site, by when it must be done; instants in ms since the epoch. */
export interface SiteWait {
  readonly key: string;
  readonly sampleId: string;
  readonly label: string;
  readonly lot: string;
  readonly zone: string;
  readonly what: string;
  readonly opensAt: number;
  readonly closesAt: number;
  readonly provisional: string | null;
}

/** When a set ends, ms since the epoch: what stays open until it is done ends last. */
export function endOf({ closesAt, doneAt }: Pick<DaySet, 'closesAt' | 'doneAt'>): number {
  return closesAt ?? doneAt ?? Number.MAX_SAFE_INTEGER;
}
