import 'reflect-metadata';
import { csvText } from '@/core/interchange/csv';
import { fromReader } from '@/db/client';
import { answering, fileHeaders } from '@/server/http';
import { usualZone } from '@/server/queries/jobs';
import { trailWhole } from '@/server/queries/trail';
import { requireActor } from '@/server/session';

/** The audit trail as it is asked for: `?of=PMF-042-A&from=2031-03-01`, the newest ten thousand entries. */
export function GET(request: Request): Promise<Response> {
  return answering(async () => {
    const actor = await requireActor(request.headers);
    const asked = Object.fromEntries(new URL(request.url).searchParams);
    const entries = await fromReader(async (db) => trailWhole(db, actor, asked, await usualZone(db)));
    const text = csvText(
      ['entry', 'at', 'who', 'use case', 'action', 'what', 'of', 'before and after', 'hash'],
      entries.map(({ id, at, who, useCase, action, word, of, changes, hash }) => [
        ...[id, at.toISOString(), who, useCase, action, word, of],
        changes.map(({ field, before, after }) => `${field}: ${before} → ${after}`).join('; '),
        hash,
      ]),
    );
    return new Response(text, { headers: fileHeaders('audit-trail.csv', 'text/csv; charset=utf-8') });
  });
}
