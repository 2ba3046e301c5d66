import { type Exact, exact, type System, type UnitId, unitLabel, withThousands } from '../quantity';
import { type Source, sourceText } from '../working';
import {
  isLimitId,
  LIMIT_IDS,
  type LimitEntry,
  type LimitId,
  type LimitStatus,
  type LimitValue,
  type Sense,
  shippedLimit,
} from './register';
import type { Profile } from './schools';

/** What a laboratory has confirmed or changed of one entry. */
export interface LimitChange {
  readonly status: 'confirmed' | 'set by the laboratory' | 'set by the project';
  readonly edition?: string;
  readonly US?: LimitValue;
  readonly SI?: LimitValue;
  readonly both?: LimitValue;
}
export type LimitChanges = Partial<Record<LimitId, LimitChange>>;

/** A limit in force in one system, ready to be held against. */
export interface Limit {
  readonly id: LimitId;
  readonly title: string;
  readonly low?: Exact;
  readonly high?: Exact;
  readonly unit: UnitId;
  readonly text: string;
  readonly source: Source;
  readonly edition: string;
  readonly status: LimitStatus;
}

/** The register in force: what ships, overlaid by what the laboratory confirmed or changed, at one revision. */
export class Limits {
  constructor(
    readonly changes: LimitChanges = {},
    /** Revision of the register; 0 is the register as it ships. Kept with every run. */
    readonly revision: number = 0,
    /** The school the project follows: its rows stand in place of the ones of the same name. */
    readonly profile: Profile = 'astm',
  ) {}

  /** Rows that were asked for before: a sheet asks for the same ones over and over. */
  private readonly asked = { US: new Map<LimitId, Limit>(), SI: new Map<LimitId, Limit>() };

  /** The rows that were asked for, by the names they were asked by. */
  get read(): LimitId[] {
    return [...new Set([...this.asked.US.keys(), ...this.asked.SI.keys()])];
  }

  /** The name of the row in force: the school's own where it has one. */
  private rowOf(id: LimitId): LimitId {
    const own = `${this.profile}/${id}`;
    return isLimitId(own) ? own : id;
  }

  /** The entry in force. */
  entry(id: LimitId): LimitEntry {
    const shipped = shippedLimit(id);
    const change = this.changes[id];
    if (!change) return shipped;
    const { edition, ...rest } = change;
    return { ...shipped, ...rest, edition: edition ?? shipped.edition };
  }

  /** The limit in force for one system. @throws RangeError when the entry has no value in that system */
  of(asked: LimitId, system: System): Limit {
    const rows = this.asked[system];
    const before = rows.get(asked);
    if (before) return before;
    const limit = this.make(asked, system);
    rows.set(asked, limit);
    return limit;
  }

  private make(asked: LimitId, system: System): Limit {
    const id = this.rowOf(asked);
    const entry = this.entry(id);
    const value = entry.both ?? entry[system];
    if (!value) throw new RangeError(`limit ${id} has no value in ${system}`);
    return {
      id,
      title: entry.title,
      ...(value.low === undefined ? {} : { low: exact(value.low) }),
      ...(value.high === undefined ? {} : { high: exact(value.high) }),
      unit: value.unit,
      text: limitText(value, entry.sense),
      source: entry.source,
      edition: entry.edition,
      status: entry.status,
    };
  }

  /** The single number of a limit that has one: its maximum, else its minimum. */
  number(id: LimitId, system: System): Exact {
    const limit = this.of(id, system);
    const value = limit.high ?? limit.low;
    if (value === undefined) throw new RangeError(`limit ${id} has no number`);
    return value;
  }

  /** Every entry in force with its identifier, in the register's order. */
  all(): { id: LimitId; entry: LimitEntry }[] {
    return LIMIT_IDS.map((id) => ({ id, entry: this.entry(id) }));
  }
}

/** A limit's value in words: `28 to 42 psi/s`, `not more than 2 %`, `± 0.5 h`, `0.98`. */
export function limitText(value: LimitValue, sense?: Sense): string {
  const unit = unitLabel(value.unit);
  const show = (text: string): string => `${withThousands(text)}${unit ? ` ${unit}` : ''}`;
  const { low, high } = value;
  if (low !== undefined && high !== undefined)
    return low === high ? show(high) : `${withThousands(low)} to ${show(high)}`;
  if (high === undefined) return `not less than ${show(low ?? '0')}`;
  if (sense) return sense === 'equal' ? show(high) : `± ${show(high)}`;
  return `not more than ${show(high)}`;
}

/** What an entry says in one system, in words; empty where it has no value there. */
export function entryText(entry: LimitEntry, system: System): string {
  const value = entry.both ?? entry[system];
  return value ? limitText(value, entry.sense) : '';
}

/** True when a value is inside the limit, ends included. */
export function isWithin(value: Exact, limit: Limit): boolean {
  return (
    (limit.low === undefined || value.greaterThanOrEqualTo(limit.low)) &&
    (limit.high === undefined || value.lessThanOrEqualTo(limit.high))
  );
}

/** The limit as a finding cites it. */
export function cite(limit: Limit): { id: string; text: string; source: string; status: string } {
  return { id: limit.id, text: limit.text, source: sourceText(limit.source), status: limit.status };
}
