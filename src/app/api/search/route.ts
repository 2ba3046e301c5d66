import { fromReader } from '@/db/client';
import { answering } from '@/server/http';
import { search } from '@/server/queries/specimen';
import { requireActor } from '@/server/session';

export function GET(request: Request): Promise<Response> {
  return answering(async () => {
    const actor = await requireActor(request.headers);
    const words = new URL(request.url).searchParams.get('q') ?? '';
    return Response.json(await fromReader((db) => search(db, actor, words.slice(0, 80))));
  });
}
