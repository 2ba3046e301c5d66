import type { RecordTrouble, StampedMapping } from '../signals/stamped-rows';

/** Version of the algorithm, kept with every record that it was read by. */
export const RECORD_VERSION = 1;

/** Which columns of a file are time and temperatures, and in what they are written. */
export interface RecordMapping extends StampedMapping {
  readonly unit: 'degC' | 'degF';
}

export const FAULTS = ['no number', 'code', 'beyond what can be', 'spike', 'stuck'] as const;
export type Fault = (typeof FAULTS)[number];

/** A reading that is left out, with why: hours from the first row, °C as it was written. */
export interface Removed {
  readonly at: number;
  readonly was: number | null;
  readonly why: Fault;
}

/** A temperature over time: hours from the first row of its record, °C. Both of one length, hours increasing. */
export interface Series {
  readonly hours: readonly number[];
  readonly celsius: readonly number[];
  /** Places after which nothing was recorded for more than an hour. */
  readonly gaps: readonly number[];
}

/** A temperature and when it was, in hours of its record. */
export interface Moment {
  readonly at: number;
  readonly celsius: number;
}

/** What one sensor of a record says. */
export interface Channel extends Series {
  readonly name: string;
  /** Rows of the file in which it has a reading that counts. */
  readonly rows: number;
  readonly removed: number;
  /** The first of what was removed, whole kinds counted. */
  readonly faults: readonly Removed[];
  /** Of all rows that count, whatever was averaged afterwards. */
  readonly highest: Moment;
  readonly lowest: Moment;
  /** The fastest change between two rows an hour apart or nearer, °C an hour, and when. */
  readonly fastest: { readonly at: number; readonly rate: number } | null;
  /** The longest step between two rows in the first two days and later, hours. */
  readonly longestEarly: number;
  readonly longestLate: number;
  /** Resolution it is written to, °C. */
  readonly resolution: number;
}

/** What a record of temperatures came to. */
export interface TemperatureRecord {
  readonly kind: 'temperature';
  readonly version: number;
  readonly rows: number;
  /** Instant of its first row, RFC 3339; null where its rows only count from their beginning. */
  readonly start: string | null;
  /** Hours from its first row to its last. */
  readonly length: number;
  /** Rows a sensor was averaged over, hours; null where every row stands. */
  readonly averaged: number | null;
  readonly troubles: readonly RecordTrouble[];
  readonly channels: readonly Channel[];
}
