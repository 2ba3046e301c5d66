import { IsString, IsUUID, MaxLength } from 'class-validator';
import { desc, eq } from 'drizzle-orm';
import { certificates, equipmentVerifications } from '@/db/schema';
import { Conflict } from '../errors';
import { LONGEST_PICTURE, paperOf } from '../pictures';
import { BENCH, defineUseCase, refuseFields } from '../use-case';

export class KeepCertificateInput {
  @IsUUID() id: string;
  @IsUUID() equipmentId: string;
  @IsString() @MaxLength(200) name: string;
  /** Base64 of the file. */
  @IsString() @MaxLength(LONGEST_PICTURE, { message: 'Certificate: at most 6 MB.' }) data: string;
}

/** The certificate of the last verification of a piece of equipment, kept as it came: one original, copies in the reports. */
export const keepCertificate = defineUseCase({
  name: 'keep certificate',
  roles: BENCH,
  Input: KeepCertificateInput,
  async act({ tx, actor, now }, input) {
    const [before] = await tx
      .select({ id: certificates.id })
      .from(certificates)
      .where(eq(certificates.id, input.id));
    if (before) return { certificateId: before.id };
    const [last] = await tx
      .select({ id: equipmentVerifications.id })
      .from(equipmentVerifications)
      .where(eq(equipmentVerifications.equipmentId, input.equipmentId))
      .orderBy(desc(equipmentVerifications.verifiedOn), desc(equipmentVerifications.at))
      .limit(1);
    if (!last) throw new Conflict('Record its verification first: the certificate belongs to it.');
    const paper = paperOf(input.data);
    if (!paper) return refuseFields({ data: 'Only a PDF or a JPEG, PNG or WebP picture can be kept.' });
    await tx.insert(certificates).values({
      id: input.id,
      verificationId: last.id,
      name: input.name,
      ...paper,
      by: actor.id,
      at: now,
    });
    return { certificateId: input.id };
  },
});
