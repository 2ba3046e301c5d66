import { and, isNull } from 'drizzle-orm';
import { findMethod } from '@/core/methods/registry';
import type { Queryable } from '@/db/client';
import { waits } from '@/db/schema';
import type { RunView, SpecimenView } from '../queries/dossier';
import { anyOf } from '../scope';
import { when } from './when';

/** What tests that were made where the lot lies leave to be done there, with what it is of. */
export async function owedBy(
  db: Queryable,
  runs: readonly RunView[],
  dossiers: readonly { readonly specimens: readonly SpecimenView[] }[],
  zone: string,
): Promise<string[]> {
  const there = runs.filter(({ method }) => findMethod(method)?.onSite);
  if (there.length === 0) return [];
  const labels = new Map(
    dossiers.flatMap(({ specimens }) => specimens.map(({ id, label }) => [id, label] as const)),
  );
  const { specimenId, what, opensAt } = waits;
  const open = await db
    .select({ specimenId, what, opensAt })
    .from(waits)
    .where(
      and(
        anyOf(
          waits.runId,
          there.map(({ id }) => id),
        ),
        isNull(waits.doneAt),
      ),
    )
    .orderBy(opensAt, what);
  return open.map((wait) =>
    [labels.get(wait.specimenId ?? ''), `${wait.what}, from ${when(wait.opensAt, zone)}`]
      .filter(Boolean)
      .join(': '),
  );
}
