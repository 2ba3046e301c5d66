import { groupBy } from '@/core/group-by';
import { fieldsOf } from '@/core/methods';
import { findMethod } from '@/core/methods/registry';
import type { ReportContent, ReportPhoto } from '@/core/report';
import type { Queryable } from '@/db/client';
import { certificatesOf } from '../queries/certificates';
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

/** The certificates on file of what tests were made with, as it was verified then; each once. */
export async function certificatesUsed(
  db: Queryable,
  runs: readonly RunView[],
  zone: string,
): Promise<NonNullable<ReportContent['certificates']>> {
  const used = runs.flatMap(({ method, input, setup }) => {
    const named = fieldsOf(findMethod(method)?.Input ?? Object).flatMap(({ kind, name }) =>
      kind === 'equipment' && typeof input?.[name] === 'string' ? [input[name]] : [],
    );
    return (setup?.equipment ?? []).flatMap(({ number, verifiedOn }) =>
      verifiedOn && named.includes(number) ? [{ number, verifiedOn: verifiedOn.slice(0, 10) }] : [],
    );
  });
  return (await certificatesOf(db, used)).map(
    ({ number, verifiedOn, certificate, id, name, mime, sha256, at }) => ({
      of: [number, certificate && `certificate ${certificate}`, `verified ${verifiedOn}`]
        .filter(Boolean)
        .join(', '),
      ...{ id, name, mime, sha256 },
      at: when(at, zone),
    }),
  );
}
