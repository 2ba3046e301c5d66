import { groupBy } from '@/core/group-by';
import type { ReportPhoto } from '@/core/report';
import type { Queryable } from '@/db/client';
import type { RunView } from '../queries/dossier';
import { photosOf } from '../queries/photos';
import { when } from './when';

/** The photographs kept with tests, by the test. */
export async function photographsOf(
  db: Queryable,
  runs: readonly RunView[],
  zone: string,
): Promise<ReadonlyMap<string, readonly ReportPhoto[]>> {
  const kept = await photosOf(
    db,
    runs.map(({ id }) => id),
  );
  return new Map(
    [...groupBy(kept, ({ runId }) => runId)].map(([runId, own]) => [
      runId,
      own.map(({ id, name, mime, sha256, at }) => ({ id, name, mime, sha256, at: when(at, zone) })),
    ]),
  );
}
