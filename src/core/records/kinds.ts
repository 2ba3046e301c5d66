import {
  calorimeterCsv,
  channelName,
  guessHeat,
  heatCsv,
  POWER_UNIT_IDS,
  POWER_UNITS,
  readHeat,
} from '../calorimetry';
import { loggerCsv } from '../logger';
import { analyseRecord, cleanedRecordCsv, guessRecord, readRecord, sensorName } from '../temperature';
import type { KeptMapping, KeptRecord } from './kept-record';

/** What a file says of itself; what it leaves open is asked. */
export interface GuessedRecord {
  readonly mapping: KeptMapping;
  readonly asks: readonly ('order' | 'unit')[];
}

/** What a file came to, and rows of it that could not be read. */
export interface ReadRecord {
  readonly record: KeptRecord;
  readonly unread: number;
  readonly examples: readonly string[];
}

/** A row of a recorder that was read out over its line. */
export interface LoggedRow {
  readonly clock: string;
  readonly names: readonly string[];
  readonly temp?: readonly (number | null)[];
  readonly power?: readonly (number | null)[];
}

/** What differs between records of one kind and of another: all else about keeping them is the same. */
export interface RecordKind {
  /** What its columns hold, and how one of them is called. */
  readonly values: string;
  readonly column: string;
  /** Units that a file can be written in, with their labels. */
  readonly units: readonly (readonly [unit: string, label: string])[];
  /** What is said where nothing says which of them it is. */
  readonly askUnit: string;
  /** The kind of equipment that can be read out over a line. */
  readonly recorder: string;
  nameOf(heading: string | undefined): string;
  guess(text: string): GuessedRecord | null;
  read(text: string, mapping: KeptMapping, zone: string, onProgress?: (share: number) => void): ReadRecord;
  /** All rows, with what was left out. */
  csv(text: string, mapping: KeptMapping, zone: string): string;
  /** What was read out over a line, as a file; undefined where it is of another kind. */
  fileOf(rows: readonly LoggedRow[]): string | undefined;
}

type Of<T extends KeptMapping['unit']> = Extract<KeptMapping, { unit: T }>;

export const RECORD_KINDS: Readonly<Record<KeptRecord['kind'], RecordKind>> = {
  temperature: {
    values: 'temperatures',
    column: 'Sensor',
    units: [
      ['degC', '°C'],
      ['degF', '°F'],
    ],
    askUnit: 'Nothing in the file says whether these are °C or °F: choose.',
    recorder: 'logger',
    nameOf: sensorName,
    guess: guessRecord,
    read(text, mapping, zone, onProgress) {
      const raw = readRecord(text, mapping as Of<'degC'>, zone, onProgress);
      return {
        record: analyseRecord(raw, mapping.names),
        unread: raw.unread,
        examples: raw.examples,
      };
    },
    csv: (text, mapping, zone) =>
      cleanedRecordCsv(readRecord(text, mapping as Of<'degC'>, zone), mapping.names),
    fileOf: (rows) => {
      const own = rows.flatMap(({ temp, ...rest }) => (temp ? [{ ...rest, temp }] : []));
      return own.length === 0 ? undefined : loggerCsv(own);
    },
  },
  heat: {
    values: 'power',
    column: 'Cell',
    units: POWER_UNIT_IDS.map((id) => [id, POWER_UNITS[id].label]),
    askUnit: 'Nothing in the file says in what its power is written: choose.',
    recorder: 'calorimeter',
    nameOf: channelName,
    guess: guessHeat,
    read: (text, mapping, zone, onProgress) => readHeat(text, mapping as Of<'mW'>, zone, onProgress),
    csv: (text, mapping, zone) => heatCsv(text, mapping as Of<'mW'>, zone),
    fileOf: (rows) => {
      const own = rows.flatMap(({ power, ...rest }) => (power ? [{ ...rest, power }] : []));
      return own.length === 0 ? undefined : calorimeterCsv(own);
    },
  },
};
