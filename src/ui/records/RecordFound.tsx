import type { System } from '@/core/quantity';
import type { KeptRecord } from '@/core/records/kept-record';
import { PowerFound } from './PowerFound';
import { TemperaturesFound } from './TemperaturesFound';

/** What a record says by itself, before anything is made of it. */
export function RecordFound({ record, system, zone }: { record: KeptRecord; system: System; zone: string }) {
  return record.kind === 'heat' ? (
    <PowerFound record={record} zone={zone} />
  ) : (
    <TemperaturesFound record={record} system={system} zone={zone} />
  );
}
