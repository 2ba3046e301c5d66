import { createHash } from 'node:crypto';
import { IsOptional, IsString, IsUUID, Matches, MaxLength } from 'class-validator';
import { eq } from 'drizzle-orm';
import { attachments, runs } from '@/db/schema';
import { NotFound } from '../errors';
import { defineUseCase, refuseFields, STAFF } from '../use-case';

export const LARGEST = 6 * 1024 * 1024;

/** What the first bytes of a picture say it is; the name a browser gives is not trusted. */
export function pictureType(bytes: Buffer): string | undefined {
  if (bytes.subarray(0, 3).equals(Buffer.from([0xff, 0xd8, 0xff]))) return 'image/jpeg';
  if (bytes.subarray(0, 8).equals(Buffer.from([0x89, 0x50, 0x4e, 0x47, 0x0d, 0x0a, 0x1a, 0x0a])))
    return 'image/png';
  if (
    bytes.subarray(0, 4).toString('latin1') === 'RIFF' &&
    bytes.subarray(8, 12).toString('latin1') === 'WEBP'
  ) {
    return 'image/webp';
  }
  return undefined;
}

export class AttachInput {
  @IsUUID() id: string;
  @IsUUID() runId: string;
  @IsString() @MaxLength(200) name: string;
  /** Base64 of the file. */
  @IsString() @MaxLength(Math.ceil(LARGEST / 3) * 4 + 4, { message: 'Picture: at most 6 MB.' }) data: string;
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
    const bytes = Buffer.from(input.data, 'base64');
    const mime = pictureType(bytes);
    if (!mime) return refuseFields({ data: 'Only JPEG, PNG and WebP pictures can be kept with a run.' });
    await tx.insert(attachments).values({
      id: input.id,
      runId: run.id,
      name: input.name,
      mime,
      sha256: createHash('sha256').update(bytes).digest('hex'),
      bytes,
      place: input.place ?? null,
      by: actor.id,
      at: now,
    });
    return { attachmentId: input.id };
  },
});
