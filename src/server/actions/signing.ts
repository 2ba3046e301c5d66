import { IsIn, IsNotEmpty, IsString, IsUUID, Matches, MaxLength } from 'class-validator';
import { eq } from 'drizzle-orm';
import { OWN_TESTS } from '@/core/signing/rule';
import { reportReadings, reports, settings } from '@/db/schema';
import { Conflict, NotFound } from '../errors';
import { composeReport, contentMark, reportOf } from '../reports/content';
import { SETTING } from '../settings';
import { defineUseCase, MANAGERS, SIGNERS } from '../use-case';

export class ReadReportInput {
  @IsUUID() reportId: string;
  /** The mark of the content that the reader was shown. */
  @Matches(/^[0-9a-f]{64}$/, { message: 'Open the report and read it before you say so.' }) seen: string;
}

/** A reviewer says that they have read a draft and agree with it, as it was shown to them: another one may sign it then. */
export const readReport = defineUseCase({
  name: 'read report',
  roles: SIGNERS,
  Input: ReadReportInput,
  async act({ tx, actor, now }, input) {
    const [report] = await tx.select().from(reports).where(eq(reports.id, input.reportId)).for('update');
    if (!report) throw new NotFound('This report');
    if (report.state === 'signed') throw new Conflict('This report is signed already.');
    const { content } = await composeReport(tx, actor, reportOf(report));
    const mark = contentMark(content);
    if (mark !== input.seen)
      throw new Conflict('What this report says has changed since it was shown to you. Read it again.', {
        changed: true,
      });
    await tx.insert(reportReadings).values({ reportId: report.id, mark, by: actor.id, at: now });
    return { reportId: report.id };
  },
});

export class DecideOwnTestsInput {
  @IsIn(
    OWN_TESTS.map(({ value }) => value),
    { message: 'Choose one of the three.' },
  )
  value: (typeof OWN_TESTS)[number]['value'];

  @IsNotEmpty({ message: 'Say who decided it, and why.' })
  @IsString()
  @MaxLength(500, { message: 'At most 500 characters.' })
  note: string;
}

/** Whether who made a test may sign the report of it: a decision of the laboratory, kept with who made it and why. */
export const decideOwnTests = defineUseCase({
  name: 'decide who may sign own tests',
  roles: MANAGERS,
  Input: DecideOwnTestsInput,
  async act({ tx, actor, now }, { value, note }) {
    await tx
      .insert(settings)
      .values({ key: SETTING.ownTests, value, note: note.trim(), by: actor.id, at: now });
    return {};
  },
});
