import { database, type Queryable } from '@/db/client';
import { NotFound } from './errors';
import { answering, isId } from './http';
import { requireActor } from './session';
import type { Actor } from './use-case';

/**
 * The answer to a request for a kept file by its id.
 * @param what as a sentence names it where it is not there @param read the file, for who may see it
 * @param seconds how long a device may keep it: under its id it never changes
 */
export function fileRoute(
  what: string,
  read: (
    db: Queryable,
    actor: Actor,
    id: string,
  ) => Promise<{ readonly bytes: Buffer; readonly mime: string }>,
  seconds: number,
) {
  return (request: Request, { params }: { params: Promise<{ id: string }> }): Promise<Response> =>
    answering(async () => {
      const actor = await requireActor(request.headers);
      const { id } = await params;
      if (!isId(id)) throw new NotFound(what);
      const { bytes, mime } = await read(database(), actor, id);
      return new Response(new Uint8Array(bytes), {
        headers: { 'content-type': mime, 'cache-control': `private, max-age=${seconds}, immutable` },
      });
    });
}
