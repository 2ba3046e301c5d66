import { IsNotEmpty, IsOptional, IsString, IsUUID, Matches, MaxLength } from 'class-validator';
import { desc, eq } from 'drizzle-orm';
import { DateTime } from 'luxon';
import { lotReportNumber, reportNumber } from '@/core/identity/labels';
import { MATERIALS } from '@/core/materials/registry';
import { SOURCE_DECISIONS } from '@/core/uniformity';
import { followUps, jobs, lots, people, reportOutcomes, reports } from '@/db/schema';
import { Conflict, NotFound } from '../errors';
import { composeReport, contentMark, reportOf } from '../reports/content';
import { reportPdf } from '../reports/pdf';
import { picturesOf } from '../reports/pictures';
import { signingOf } from '../signing';
import { BENCH, defineUseCase, refuseFields, SIGNERS, type Transaction } from '../use-case';
import { lockJob } from './jobs';
import { sampleAndJob } from './samples';

export class PrepareReportInput {
  /** A report is of one sample, or of a whole lot. */
  @IsOptional() @IsUUID() sampleId?: string;
  @IsOptional() @IsUUID() lotId?: string;
  /** Asked when a signed report of the same is to be replaced. */
  @IsOptional() @IsString() @MaxLength(500, { message: 'Reason: at most 500 characters.' }) reason?: string;
}

/** A draft report of a sample or a lot: the first, or the next revision of one that is signed. */
export const prepareReport = defineUseCase({
  name: 'prepare report',
  roles: BENCH,
  Input: PrepareReportInput,
  async act({ tx, actor, now }, input) {
    const { of, jobId, numbered } = await subjectOf(tx, input);
    const job = await lockJob(tx, jobId);
    const [newest] = await tx
      .select()
      .from(reports)
      .where(of.sampleId ? eq(reports.sampleId, of.sampleId) : eq(reports.lotId, of.lotId ?? ''))
      .orderBy(desc(reports.revision))
      .limit(1);
    if (newest?.state === 'draft') return { reportId: newest.id };
    const reason = input.reason?.trim() ?? '';
    if (newest && reason === '') {
      refuseFields({ reason: 'Say what is new or changed since the signed report.' });
    }
    const [made] = await tx
      .insert(reports)
      .values({
        jobId: job.id,
        ...of,
        number: newest?.number ?? numbered(job.number),
        revision: newest ? newest.revision + 1 : 0,
        preparedAt: now,
        preparedBy: actor.id,
        replacesId: newest?.id ?? null,
        replaceReason: newest ? reason : null,
      })
      .returning({ id: reports.id });
    return { reportId: made?.id ?? '' };
  },
});

/** What a report is to be of, and how it is numbered. */
async function subjectOf(tx: Transaction, { sampleId, lotId }: PrepareReportInput) {
  if (sampleId && !lotId) {
    const { sample, job } = await sampleAndJob(tx, sampleId);
    return {
      of: { sampleId: sample.id, lotId: null },
      jobId: job.id,
      numbered: (number: string) => reportNumber(number, sample.number),
    };
  }
  const [lot] = lotId && !sampleId ? await tx.select().from(lots).where(eq(lots.id, lotId)) : [];
  if (!lot) throw new NotFound('What this report is of');
  return {
    of: { sampleId: null, lotId: lot.id },
    jobId: lot.jobId,
    numbered: (number: string) => lotReportNumber(number, lot.number),
  };
}

export class SignReportInput {
  @IsUUID() reportId: string;
  /** The mark of the content that the signer was shown. */
  @Matches(/^[0-9a-f]{64}$/, { message: 'Open the report and read it before you sign it.' }) seen: string;
}

/**
 * Signs a report: its content is composed a last time, held against what the signer was shown, frozen with its PDF,
 * and what it rests on is locked.
 * Refused while a recorded reason is not accepted.
 */
export const signReport = defineUseCase({
  name: 'sign report',
  roles: SIGNERS,
  Input: SignReportInput,
  async act({ tx, actor, now }, input) {
    const [report] = await tx.select().from(reports).where(eq(reports.id, input.reportId)).for('update');
    if (!report) throw new NotFound('This report');
    if (report.state === 'signed') throw new Conflict('This report is signed already.');
    const composed = await composeReport(tx, actor, reportOf(report));
    if (composed.hindrances.length > 0) {
      throw new Conflict('This report cannot be signed yet.', { hindrances: composed.hindrances });
    }
    const mark = contentMark(composed.content);
    if (mark !== input.seen) {
      throw new Conflict(
        'What this report says has changed since it was shown to you. It is shown anew: read it again, then sign.',
        { changed: true },
      );
    }
    const { why, reader } = await signingOf(tx, {
      ...{ reportId: report.id, mark, signer: actor.id },
      runIds: composed.rests.map(({ runId }) => runId),
    });
    if (why) throw new Conflict(why);
    const [person] = await tx.select().from(people).where(eq(people.id, actor.id));
    const [job] = await tx.select({ zone: jobs.zone }).from(jobs).where(eq(jobs.id, report.jobId));
    const told = (at: Date): string =>
      DateTime.fromJSDate(at, { zone: job?.zone ?? 'UTC' }).toFormat("d LLL yyyy HH:mm 'UTC'ZZ");
    const replaces = report.replacesId
      ? (await tx.select().from(reports).where(eq(reports.id, report.replacesId)))[0]
      : undefined;
    const pdf = await reportPdf(
      {
        number: report.number,
        revision: report.revision,
        signature: {
          name: actor.name,
          title: person?.title ?? '',
          at: told(now),
        },
        reader: reader ? { name: reader.name, at: told(reader.at) } : null,
        replaces: replaces
          ? { number: replaces.number, revision: replaces.revision, reason: report.replaceReason ?? '' }
          : null,
      },
      composed.content,
      await picturesOf(tx, composed.content),
    );
    await tx.insert(reportOutcomes).values(composed.rests.map((rest) => ({ ...rest, reportId: report.id })));
    await tx
      .update(reports)
      .set({
        state: 'signed',
        signedAt: now,
        signedBy: actor.id,
        content: composed.content,
        contentSha256: mark,
        pdf,
      })
      .where(eq(reports.id, report.id));
    return { reportId: report.id };
  },
});

export class RecordFollowUpInput {
  @IsUUID() sampleId: string;
  @IsString() stepId: string;
  @IsNotEmpty({ message: 'Say what was done and found.' })
  @IsString()
  @MaxLength(2000, { message: 'At most 2,000 characters.' })
  note: string;
}

/** One step of the follow-up of a low test, done; or a decision on a result of a source. */
export const recordFollowUp = defineUseCase({
  name: 'record follow-up',
  roles: BENCH,
  Input: RecordFollowUpInput,
  async act({ tx, actor, now }, input) {
    await sampleAndJob(tx, input.sampleId);
    const steps = [
      ...MATERIALS.flatMap(({ series = [] }) => series).flatMap(({ lowSteps }) => lowSteps),
      ...SOURCE_DECISIONS,
    ];
    if (!steps.some(({ id }) => id === input.stepId)) throw new NotFound('This step');
    await tx.insert(followUps).values({ ...input, by: actor.id, at: now });
    return { sampleId: input.sampleId };
  },
});
