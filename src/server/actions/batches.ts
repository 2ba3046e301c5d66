import { ArrayMaxSize, ArrayMinSize, IsArray, IsString, IsUUID, MaxLength } from 'class-validator';
import { and, eq, inArray } from 'drizzle-orm';
import { readBatches } from '@/core/interchange';
import { plantBatches } from '@/db/schema';
import { Conflict } from '../errors';
import { defineUseCase, refuseFields, STAFF } from '../use-case';
import { lockPlacement } from './field';

export class ImportBatchesInput {
  @IsUUID() lotId: string;
  @IsString() @MaxLength(2_000_000, { message: 'The file is too large: split it.' }) csv: string;
  /** The tickets chosen in the preview. */
  @IsArray()
  @ArrayMinSize(1, { message: 'Choose at least one ticket.' })
  @ArrayMaxSize(500, { message: 'At most 500 tickets at once.' })
  @IsString({ each: true })
  tickets: string[];
}

/**
 * Tickets out of a file of the plant, all chosen ones or none. A ticket that is there already is never overwritten.
 * When its truck comes, or a sample is taken of it, what the file says is read in.
 */
export const importBatches = defineUseCase({
  name: 'import batch tickets',
  roles: STAFF,
  Input: ImportBatchesInput,
  async act({ tx, actor, now }, input) {
    const { placement, job } = await lockPlacement(tx, input.lotId);
    const file = readBatches(input.csv, job.system, job.zone);
    const wanted = new Set(input.tickets);
    const chosen = file.batches.filter(({ ticket }) => wanted.has(ticket));
    if (chosen.length !== wanted.size) {
      refuseFields({
        csv: 'The file is not as it was in the preview: a chosen ticket is not in it, or not readable.',
      });
    }
    const there = await tx
      .select({ ticket: plantBatches.ticket })
      .from(plantBatches)
      .where(and(eq(plantBatches.lotId, placement.id), inArray(plantBatches.ticket, [...wanted])));
    if (there.length > 0) {
      throw new Conflict(
        `${there.map(({ ticket }) => ticket).join(', ')}: imported already. Nothing was imported.`,
      );
    }
    await tx.insert(plantBatches).values(
      chosen.map((batch) => ({
        lotId: placement.id,
        ticket: batch.ticket,
        batch,
        by: actor.id,
        at: now,
      })),
    );
    return { imported: chosen.length };
  },
});
