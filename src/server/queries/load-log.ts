import { desc, eq } from 'drizzle-orm';
import { limitsOf, usableInput } from '@/core/methods';
import { FORCE_UNIT, logBand } from '@/core/methods/press';
import { findMethod } from '@/core/methods/registry';
import { analyseLog, chosenPart, cleanedCsv, readLoadLog, testsIn } from '@/core/signals';
import type { Queryable } from '@/db/client';
import { loadLogs } from '@/db/schema';
import { NotFound } from '../errors';
import { unpack } from '../packed';
import { currentReadings, inputOf } from '../readings';
import { runPlace } from '../run-place';
import { runSetup } from '../run-setup';
import { staffOnly } from '../scope';
import type { Actor } from '../use-case';

export const LOG_FORMS = ['original', 'analysis.json', 'cleaned.csv'] as const;
export type LogForm = (typeof LOG_FORMS)[number];

/** A file to be sent: its name, its kind, what is in it. */
export interface LogFile {
  readonly name: string;
  readonly type: string;
  readonly body: string | Buffer;
}

/**
 * The newest load log of a run: the file byte for byte as it came, its analysis with the version of the algorithm, or
 * the log as it was judged.
 */
export async function logFile(db: Queryable, actor: Actor, runId: string, form: LogForm): Promise<LogFile> {
  staffOnly(actor);
  const [kept] = await db
    .select()
    .from(loadLogs)
    .where(eq(loadLogs.runId, runId))
    .orderBy(desc(loadLogs.at))
    .limit(1);
  if (!kept) throw new NotFound('This load log');
  if (form === 'analysis.json') {
    const { name, sha256, mapping, analysis, at } = kept;
    const body = JSON.stringify({ file: name, sha256, keptAt: at.toISOString(), mapping, analysis }, null, 2);
    return { name: form, type: 'application/json; charset=utf-8', body };
  }
  const file = await unpack(kept.bytes);
  if (form === 'original') return { name: kept.name, type: 'application/octet-stream', body: file };
  const place = await runPlace(db, runId);
  const { system } = place.job;
  const method = findMethod(place.run.method);
  const current = await currentReadings(db, runId);
  const typed = method ? inputOf(method, system, current) : {};
  const setup = await runSetup(db, place, typed, kept.at, { by: actor.id, current });
  const test = method?.press?.test(usableInput(method, typed).input, setup);
  if (!test) throw new NotFound('The specimen’s size');
  const log = readLoadLog(file.toString('utf8'), kept.mapping, FORCE_UNIT[system]);
  const own = chosenPart(log, testsIn(log.seconds, log.load), kept.mapping.part) ?? log;
  const request = { seconds: own.seconds, load: own.load, ...logBand(test, system, limitsOf(setup)) };
  return { name: form, type: 'text/csv; charset=utf-8', body: cleanedCsv(request, analyseLog(request)) };
}
