import { IsOptional, IsString, IsUUID, Matches, MaxLength } from 'class-validator';
import { eq } from 'drizzle-orm';
import { attachments, runs } from '@/db/schema';
import { NotFound } from '../errors';
import { LONGEST_PICTURE, pictureOf } from '../pictures';
import { defineUseCase, refuseFields, STAFF } from '../use-case';

export class AttachInput {
  @IsUUID() id: string;
  @IsUUID() runId: string;
  @IsString() @MaxLength(200) name: string;
  /** Base64 of the file. */
  @IsString() @MaxLength(LONGEST_PICTURE, { message: 'Picture: at most 6 MB.' }) data: string;
  /** Where it was taken, `lat, long` in degrees: only when the person wants it kept. */
  @IsOptional()
  @Matches(/^-?\d{1,2}(?:\.\d+)?, -?\d{1,3}(?:\.\d+)?$/u, { message: 'Place: degrees north and east.' })
  place?: string;
}

/** A photograph kept with a run: the break, the label, the ticket. */
export const attach = defineUseCase({
  name: 'attach photograph',
  roles: STAFF,
  Input: AttachInput,
  async act({ tx, actor, now }, input) {
    const [before] = await tx
      .select({ id: attachments.id })
      .from(attachments)
      .where(eq(attachments.id, input.id));
    if (before) return { attachmentId: before.id };
    const [run] = await tx.select({ id: runs.id }).from(runs).where(eq(runs.id, input.runId));
    if (!run) throw new NotFound('This run');
    const picture = pictureOf(input.data);
    if (!picture) return refuseFields({ data: 'Only JPEG, PNG and WebP pictures can be kept with a run.' });
    await tx.insert(attachments).values({
      id: input.id,
      runId: run.id,
      name: input.name,
      ...picture,
      place: input.place ?? null,
      by: actor.id,
      at: now,
    });
    return { attachmentId: input.id };
  },
});
