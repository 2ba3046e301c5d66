import { ArrayMaxSize, ArrayMinSize, ArrayUnique, IsArray, IsIn, IsUUID } from 'class-validator';
import { desc, eq, inArray } from 'drizzle-orm';
import { formText } from '@/core/materials/forms';
import { findMethod, METHODS } from '@/core/methods/registry';
import { batches, batchMembers, samples, specimens } from '@/db/schema';
import { batchLabel } from '../batches';
import { refuseOffBench } from '../bench-work';
import { Conflict, NotFound } from '../errors';
import { defineUseCase, STAFF } from '../use-case';
import { startRun } from './runs';

export class MakeBatchInput {
  /** Made by the device: pressed twice it is one batch. */
  @IsUUID() id: string;
  /** The method that makes them ready. */
  @IsIn(
    METHODS.filter(({ runOn }) => runOn === 'batch').map(({ id }) => id),
    { message: 'What is done with them: choose one.' },
  )
  kind: string;
  @IsArray()
  @ArrayMinSize(1, { message: 'Choose at least one specimen.' })
  @ArrayMaxSize(60, { message: 'At most 60 in one batch.' })
  @ArrayUnique()
  @IsUUID(undefined, { each: true })
  specimenIds: string[];
}

/** Specimens that are made ready together, in this order; their run sheet is opened with it. */
export const makeBatch = defineUseCase({
  name: 'make batch',
  roles: STAFF,
  Input: MakeBatchInput,
  async act(context, input) {
    const { tx, actor, now } = context;
    refuseOffBench(actor, input.kind);
    const [there] = await tx.select().from(batches).where(eq(batches.id, input.id));
    if (!there) {
      const rows = await tx
        .select({
          id: specimens.id,
          label: specimens.label,
          form: specimens.form,
          testedAt: specimens.testedAt,
          jobId: samples.jobId,
        })
        .from(specimens)
        .innerJoin(samples, eq(samples.id, specimens.sampleId))
        .where(inArray(specimens.id, input.specimenIds));
      if (rows.length !== input.specimenIds.length) throw new NotFound('One of these specimens');
      const method = findMethod(input.kind);
      const pieces = method?.pieces ?? false;
      const unfit = rows.find(({ testedAt }) => (testedAt !== null) !== pieces);
      if (unfit)
        throw new Conflict(
          pieces
            ? `${unfit.label} is not broken yet: there are no pieces of it.`
            : `${unfit.label} is broken already.`,
        );
      const other = method?.forms && rows.find(({ form }) => !method.forms?.includes(form));
      if (other)
        throw new Conflict(
          `${other.label}, ${formText(other.form)}, is nothing for ${method.title.toLowerCase()}.`,
        );
      if (new Set(rows.map(({ jobId }) => jobId)).size > 1)
        throw new Conflict(
          'One batch holds specimens of one job: its system of units and its rules are one.',
        );
      const [last] = await tx
        .select({ number: batches.number })
        .from(batches)
        .where(eq(batches.kind, input.kind))
        .orderBy(desc(batches.number))
        .limit(1);
      const number = (last?.number ?? 0) + 1;
      await tx.insert(batches).values({
        id: input.id,
        number,
        kind: input.kind,
        seed: number * 7919,
        madeAt: now,
        by: actor.id,
      });
      await tx
        .insert(batchMembers)
        .values(input.specimenIds.map((specimenId, place) => ({ batchId: input.id, specimenId, place })));
    }
    const [batch] = await tx.select().from(batches).where(eq(batches.id, input.id));
    const { runId } = await startRun.act(context, { method: input.kind, batchId: input.id });
    return { runId, label: batch ? batchLabel(batch) : '' };
  },
});
