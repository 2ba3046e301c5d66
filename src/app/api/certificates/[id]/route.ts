import { database } from '@/db/client';
import { NotFound } from '@/server/errors';
import { answering, isId } from '@/server/http';
import { certificateFile } from '@/server/queries/certificates';
import { requireActor } from '@/server/session';

export function GET(request: Request, { params }: { params: Promise<{ id: string }> }): Promise<Response> {
  return answering(async () => {
    const actor = await requireActor(request.headers);
    const { id } = await params;
    if (!isId(id)) throw new NotFound('This certificate');
    const file = await certificateFile(database(), actor, id);
    return new Response(new Uint8Array(file.bytes), {
      headers: { 'content-type': file.mime, 'cache-control': 'private, max-age=86400, immutable' },
    });
  });
}
