import { and, desc, eq } from 'drizzle-orm';
import { RECORD_KINDS } from '@/core/records/kinds';
import type { Queryable } from '@/db/client';
import { keptRecords } from '@/db/schema';
import { NotFound } from '../errors';
import { unpack } from '../packed';
import { runPlace } from '../run-place';
import { staffOnly } from '../scope';
import type { Actor } from '../use-case';
import type { LogFile } from './load-log';

export const RECORD_FORMS = ['original', 'cleaned.csv'] as const;

/** The newest record for a reading of a run: the file as it came, or its rows with what was left out and why. */
export async function recordFile(
  db: Queryable,
  actor: Actor,
  { runId, field, form }: { runId: string; field: string; form: (typeof RECORD_FORMS)[number] },
): Promise<LogFile> {
  staffOnly(actor);
  const [kept] = await db
    .select()
    .from(keptRecords)
    .where(and(eq(keptRecords.runId, runId), eq(keptRecords.field, field)))
    .orderBy(desc(keptRecords.seq))
    .limit(1);
  if (!kept) throw new NotFound('This record');
  const file = await unpack(kept.bytes);
  if (form === 'original') return { name: kept.name, type: 'application/octet-stream', body: file };
  const { job } = await runPlace(db, runId);
  return {
    name: form,
    type: 'text/csv; charset=utf-8',
    body: RECORD_KINDS[kept.record.kind].csv(file.toString('utf8'), kept.mapping, job.zone),
  };
}
