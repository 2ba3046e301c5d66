import 'reflect-metadata';
import { headingsIn } from '@/core/interchange/headings';
import { database } from '@/db/client';
import { previewResults } from '@/server/actions/import';
import { answering, ownJson } from '@/server/http';
import { requireActor } from '@/server/session';

/** What a file would bring in; imports nothing. */
export function POST(request: Request): Promise<Response> {
  return answering(async () => {
    const actor = await requireActor(request.headers);
    const body = (await ownJson(request)) as {
      method?: unknown;
      csv?: unknown;
      headings?: unknown;
    } | null;
    const preview = await previewResults(
      database(),
      actor,
      String(body?.method ?? ''),
      String(body?.csv ?? ''),
      headingsIn(body?.headings),
    );
    return Response.json(preview);
  });
}
