import { eq } from 'drizzle-orm';
import { database } from '@/db/client';
import { lotPictures } from '@/db/schema';
import { NotFound } from '@/server/errors';
import { answering, isId } from '@/server/http';
import { lotHead } from '@/server/queries/lot';
import { requireActor } from '@/server/session';

export function GET(request: Request, { params }: { params: Promise<{ id: string }> }): Promise<Response> {
  return answering(async () => {
    const actor = await requireActor(request.headers);
    const { id } = await params;
    if (!isId(id)) throw new NotFound('This picture');
    const [file] = await database().select().from(lotPictures).where(eq(lotPictures.id, id));
    if (!file) throw new NotFound('This picture');
    // Who may read the floor may see its picture.
    await lotHead(database(), actor, file.lotId);
    return new Response(new Uint8Array(file.bytes), {
      headers: { 'content-type': file.mime, 'cache-control': 'private, max-age=31536000, immutable' },
    });
  });
}
