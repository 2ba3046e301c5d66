import { eq } from 'drizzle-orm';
import { database } from '@/db/client';
import { attachments } from '@/db/schema';
import { NotFound } from '@/server/errors';
import { answering, isId } from '@/server/http';
import { staffOnly } from '@/server/scope';
import { requireActor } from '@/server/session';

export function GET(request: Request, { params }: { params: Promise<{ id: string }> }): Promise<Response> {
  return answering(async () => {
    staffOnly(await requireActor(request.headers));
    const { id } = await params;
    if (!isId(id)) throw new NotFound('This picture');
    const [file] = await database().select().from(attachments).where(eq(attachments.id, id));
    if (!file) throw new NotFound('This picture');
    return new Response(new Uint8Array(file.bytes), {
      headers: { 'content-type': file.mime, 'cache-control': 'private, max-age=86400, immutable' },
    });
  });
}
