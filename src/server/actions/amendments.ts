import { IsNotEmpty, IsString, IsUUID, MaxLength } from 'class-validator';
import { and, eq } from 'drizzle-orm';
import { amendments, reports } from '@/db/schema';
import { NotFound } from '../errors';
import { defineUseCase, refuseFields, SIGNERS } from '../use-case';

export class OpenAmendmentInput {
  @IsUUID() reportId: string;
  @IsString() code: string;
  @IsNotEmpty({ message: 'Say why the signed report is to be changed.' })
  @IsString()
  @MaxLength(500, { message: 'Reason: at most 500 characters.' })
  reason: string;
}

export const AMENDMENT_CODES = [
  'copying error',
  'unit',
  'wrong specimen',
  'recalculation',
  'equipment look-back',
  'client data',
  'other',
] as const;

/** Opens an amendment: from now on what the signed report rests on may be added to, each time with its reason. */
export const openAmendment = defineUseCase({
  name: 'open amendment',
  roles: SIGNERS,
  Input: OpenAmendmentInput,
  async act({ tx, actor, now }, input) {
    const code = AMENDMENT_CODES.find((each) => each === input.code);
    if (!code) refuseFields({ code: 'Kind of change: choose one.' });
    const [report] = await tx
      .select({ id: reports.id })
      .from(reports)
      .where(and(eq(reports.id, input.reportId), eq(reports.state, 'signed')));
    if (!report) throw new NotFound('This signed report');
    const [made] = await tx
      .insert(amendments)
      .values({
        reportId: input.reportId,
        code: code ?? 'other',
        reason: input.reason,
        by: actor.id,
        at: now,
      })
      .returning({ id: amendments.id });
    return { amendmentId: made?.id ?? '' };
  },
});
