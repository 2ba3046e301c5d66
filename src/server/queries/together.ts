import { and, asc, eq, inArray } from 'drizzle-orm';
import type { Material, RoleProposal } from '@/core/material/contract';
import { findMethod } from '@/core/methods/registry';
import type { Queryable } from '@/db/client';
import { batches, batchMembers, type jobs, runs } from '@/db/schema';
import { batchLabel, toldOfEach } from '../batches';
import type { SpecimenView } from './dossier';

type Specimen = Pick<SpecimenView, 'id' | 'label' | 'role' | 'form' | 'parentId' | 'testedAt' | 'discarded'>;

/** True for what was cut into pieces: they go on, it does not. */
export function isCut(
  { id }: Pick<SpecimenView, 'id'>,
  all: readonly Pick<SpecimenView, 'parentId'>[],
): boolean {
  return all.some(({ parentId }) => parentId === id);
}

/** What specimens of a sample are weighed, soaked, dried or capped in together: by method, with the batches there are. */
export async function togetherOf(db: Queryable, material: Material, own: readonly Specimen[]) {
  const methods = material.together ?? [];
  if (methods.length === 0 || own.length === 0) return [];
  const rows = await db
    .select({ batch: batches, runId: runs.id, state: runs.state, specimenId: batchMembers.specimenId })
    .from(batchMembers)
    .innerJoin(batches, eq(batches.id, batchMembers.batchId))
    .innerJoin(runs, eq(runs.batchId, batches.id))
    .where(
      and(
        inArray(
          batchMembers.specimenId,
          own.map(({ id }) => id),
        ),
        inArray(
          batches.kind,
          methods.map(({ method }) => method),
        ),
      ),
    )
    .orderBy(asc(batches.madeAt), asc(batchMembers.place));
  const there = own.filter((each) => each.discarded === null && !isCut(each, own));
  return methods.flatMap(({ method: id, roles }) => {
    const method = findMethod(id);
    if (!method?.batch) return [];
    const { begin } = method.batch;
    const made = rows.filter(({ batch }) => batch.kind === id);
    const done = new Set(made.map(({ specimenId }) => specimenId));
    return [
      {
        id,
        title: method.title,
        begin,
        batches: [...new Map(made.map((row) => [row.batch.id, row])).values()].map(
          ({ batch, runId, state }) => ({
            runId,
            label: batchLabel(batch),
            state,
            members: made.filter((row) => row.batch.id === batch.id).length,
          }),
        ),
        choices: there
          .filter(({ testedAt }) => (testedAt !== null) === (method.pieces ?? false))
          .filter(({ form }) => method.forms?.includes(form) ?? true)
          .map(({ id: specimenId, label, role }) => ({
            id: specimenId,
            label,
            usual: !done.has(specimenId) && (roles?.includes(role ?? '') ?? true),
          })),
      },
    ];
  });
}

/** Roles that would suit the specimens of a sample better, where their material has a say in it. */
export async function roleProposal(
  db: Queryable,
  material: Material,
  own: readonly Specimen[],
  { system }: Pick<typeof jobs.$inferSelect, 'system'>,
): Promise<RoleProposal | null> {
  if (!material.proposesRoles || own.some(({ testedAt }) => testedAt !== null)) return null;
  const there = own.filter(({ discarded }) => discarded === null);
  const told = await toldOfEach(db, material.roleFacts ?? {}, there, system);
  return material.proposesRoles(
    there.map(({ id, label, role }) => ({ label, role, facts: told.get(id) ?? {} })),
  );
}
