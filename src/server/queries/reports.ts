import { and, desc, eq, ilike, sql } from 'drizzle-orm';
import { DateTime } from 'luxon';
import { readInstant } from '@/core/quantity';
import type { ReportContent } from '@/core/report';
import type { Database, Queryable } from '@/db/client';
import { amendments, jobs, lots, people, reports, samples } from '@/db/schema';
import { isId } from '../http';
import { composeReport, contentMark, reportOf } from '../reports/content';
import { reportPdf } from '../reports/pdf';
import { picturesOf } from '../reports/pictures';
import { likeWords, present, readableJobs } from '../scope';
import { reviewersOf, signingOf } from '../signing';
import type { Actor } from '../use-case';

function visible(db: Queryable, actor: Actor) {
  return and(readableJobs(db, actor), actor.role === 'client' ? eq(reports.state, 'signed') : undefined);
}

/** Reports read at once. */
const REPORTS_SHOWN = 60;

/**
 * Reports a person may read, newest first, a page at a time. Each page begins where the one before ended, so that the
 * thousandth costs what the first does.
 * @param before where the page before ended, as `next` said it
 * @param words a part of the report's number, when one is looked for
 */
export async function reportList(
  db: Queryable,
  actor: Actor,
  { before, words = '' }: { before?: string | undefined; words?: string | undefined } = {},
) {
  const [at = '', id = ''] = (before ?? '').split('_');
  const read = readInstant(at);
  const from =
    read.ok && isId(id)
      ? sql`(${reports.preparedAt}, ${reports.id}) < (${at}::timestamptz, ${id}::uuid)`
      : undefined;
  const found = await db
    .select({
      id: reports.id,
      number: reports.number,
      revision: reports.revision,
      state: reports.state,
      job: jobs.name,
      sampleId: reports.sampleId,
      sampleNumber: samples.number,
      lotTitle: lots.title,
      preparedAt: reports.preparedAt,
      signedAt: reports.signedAt,
      signedBy: people.name,
      replaceReason: reports.replaceReason,
    })
    .from(reports)
    .innerJoin(jobs, eq(jobs.id, reports.jobId))
    .leftJoin(samples, eq(samples.id, reports.sampleId))
    .leftJoin(lots, eq(lots.id, reports.lotId))
    .leftJoin(people, eq(people.id, reports.signedBy))
    .where(and(visible(db, actor), from, words.trim() ? ilike(reports.number, likeWords(words)) : undefined))
    .orderBy(desc(reports.preparedAt), desc(reports.id))
    .limit(REPORTS_SHOWN + 1);
  const rows = found.slice(0, REPORTS_SHOWN);
  const last = rows.at(-1);
  return {
    rows,
    next: found.length > REPORTS_SHOWN && last ? `${last.preparedAt.toISOString()}_${last.id}` : null,
  };
}

/** One report: signed as it was frozen, a draft as it stands now with what hinders signing it. */
export async function reportDetail(db: Queryable, actor: Actor, reportId: string) {
  const [found] = await db
    .select({
      id: reports.id,
      number: reports.number,
      revision: reports.revision,
      state: reports.state,
      sampleId: reports.sampleId,
      lotId: reports.lotId,
      content: reports.content,
      preparedAt: reports.preparedAt,
      signedAt: reports.signedAt,
      signedBy: people.name,
      signedTitle: people.title,
      replacesId: reports.replacesId,
      replaceReason: reports.replaceReason,
      zone: jobs.zone,
    })
    .from(reports)
    .innerJoin(jobs, eq(jobs.id, reports.jobId))
    .leftJoin(people, eq(people.id, reports.signedBy))
    .where(and(eq(reports.id, reportId), visible(db, actor)));
  const report = present(found, 'This report');
  const composed =
    report.state === 'signed'
      ? { content: report.content as ReportContent, hindrances: [] as readonly string[], rests: [] }
      : await composeReport(db, actor, reportOf(report));
  const mark = contentMark(composed.content);
  const [replacedBy] = await db
    .select({ id: reports.id, revision: reports.revision, state: reports.state })
    .from(reports)
    .where(
      and(
        eq(reports.replacesId, report.id),
        actor.role === 'client' ? eq(reports.state, 'signed') : undefined,
      ),
    );
  const opened = await db
    .select({
      id: amendments.id,
      code: amendments.code,
      reason: amendments.reason,
      at: amendments.at,
      byName: people.name,
    })
    .from(amendments)
    .innerJoin(people, eq(people.id, amendments.by))
    .where(eq(amendments.reportId, report.id))
    .orderBy(desc(amendments.at));
  return {
    ...report,
    content: composed.content,
    /** Sent back by who signs: it says what they read. */
    seen: mark,
    hindrances: composed.hindrances,
    signing:
      report.state === 'signed' || actor.role === 'client'
        ? null
        : await signingShown(db, {
            ...{ reportId, mark, signer: actor.id },
            runIds: composed.rests.map(({ runId }) => runId),
          }),
    replacedBy: replacedBy ?? null,
    amendments: actor.role === 'client' ? [] : opened,
  };
}

/** How a draft stands with who reads it now: whether it is theirs to sign, and who has read it as it is. */
async function signingShown(db: Queryable, about: Parameters<typeof signingOf>[1]) {
  const { rule, makers, readers, why } = await signingOf(db, about);
  const { mark, signer } = about;
  return {
    why: why ?? null,
    /** A reviewer made tests of it: to be signed by them it wants to be read by another. */
    asksReader: rule === 'second' && (await reviewersOf(db, makers)).some((id) => id !== signer),
    readers: readers.map(({ name, at, mark: own, by }) => ({
      ...{ name, at, asItIs: own === mark, self: by === signer },
    })),
  };
}

/** The PDF of a report: the file as signed, or the draft made now. */
export async function reportFile(
  db: Database,
  actor: Actor,
  reportId: string,
): Promise<{ name: string; bytes: Buffer }> {
  const detail = await reportDetail(db, actor, reportId);
  const name = `${detail.number}-rev${detail.revision}${detail.state === 'draft' ? '-draft' : ''}.pdf`;
  if (detail.state === 'signed') {
    const [row] = await db.select({ pdf: reports.pdf }).from(reports).where(eq(reports.id, reportId));
    if (row?.pdf) return { name, bytes: row.pdf };
  }
  const signature =
    detail.signedAt && detail.signedBy
      ? {
          name: detail.signedBy,
          title: detail.signedTitle ?? '',
          at: DateTime.fromJSDate(detail.signedAt, { zone: detail.zone }).toFormat(
            "d LLL yyyy HH:mm 'UTC'ZZ",
          ),
        }
      : null;
  const bytes = await reportPdf(
    { number: detail.number, revision: detail.revision, signature, replaces: null },
    detail.content,
    await picturesOf(db, detail.content),
  );
  return { name, bytes };
}
