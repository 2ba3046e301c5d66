import type { HeatMapping, HeatRecord } from '../calorimetry/record';
import type { RecordMapping, TemperatureRecord } from '../temperature/types';

/** What a record that is kept with a run came to, told apart by `kind`, and how its file is written. */
export type KeptRecord = TemperatureRecord | HeatRecord;
export type KeptMapping = RecordMapping | HeatMapping;
