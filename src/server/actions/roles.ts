import { IsObject, IsUUID } from 'class-validator';
import { and, eq, inArray } from 'drizzle-orm';
import { runs, specimenEvents, specimens } from '@/db/schema';
import { Conflict } from '../errors';
import { BENCH, defineUseCase, refuseFields } from '../use-case';
import { materialOfSample, sampleAndJob } from './samples';

export class AssignRolesInput {
  @IsUUID() sampleId: string;
  /** Role by the label of the specimen; those that are not named keep theirs. */
  @IsObject() roles: Record<string, string>;
}

/** What the specimens of a sample are for, changed while nothing was tested of those concerned. */
export const assignRoles = defineUseCase({
  name: 'assign roles',
  roles: BENCH,
  Input: AssignRolesInput,
  async act({ tx, actor, now }, input) {
    const { sample } = await sampleAndJob(tx, input.sampleId);
    const roles = (await materialOfSample(tx, sample)).material.roles ?? [];
    const own = await tx.select().from(specimens).where(eq(specimens.sampleId, sample.id)).for('update');
    const wrong: Record<string, string> = {};
    for (const [label, role] of Object.entries(input.roles)) {
      if (!own.some((each) => each.label === label)) wrong[label] = 'This sample has no such specimen.';
      else if (!roles.some(({ id }) => id === role)) wrong[label] = 'What it is for: choose one.';
    }
    if (Object.keys(wrong).length > 0) refuseFields(wrong);
    const changed = own.filter(
      ({ label, role }) => input.roles[label] !== undefined && input.roles[label] !== role,
    );
    if (changed.length === 0) return { changed: 0 };
    const ids = changed.map(({ id }) => id);
    const [begun] = await tx
      .select({ label: specimens.label })
      .from(runs)
      .innerJoin(specimens, eq(specimens.id, runs.specimenId))
      .where(and(inArray(runs.specimenId, ids)))
      .limit(1);
    if (begun) throw new Conflict(`${begun.label} is being tested already: it keeps what it is for.`);
    for (const { id, label } of changed) {
      const role = input.roles[label] ?? '';
      await tx.update(specimens).set({ role }).where(eq(specimens.id, id));
      await tx.insert(specimenEvents).values({
        specimenId: id,
        kind: 'note',
        at: now,
        personId: actor.id,
        note: `Now for ${(roles.find((each) => each.id === role)?.text ?? role).toLowerCase()}.`,
      });
    }
    return { changed: changed.length };
  },
});
