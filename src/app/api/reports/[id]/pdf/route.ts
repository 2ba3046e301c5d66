import { database } from '@/db/client';
import { NotFound } from '@/server/errors';
import { answering, fileHeaders, isId } from '@/server/http';
import { reportFile } from '@/server/queries/reports';
import { requireActor } from '@/server/session';

export function GET(request: Request, { params }: { params: Promise<{ id: string }> }): Promise<Response> {
  return answering(async () => {
    const actor = await requireActor(request.headers);
    const { id } = await params;
    if (!isId(id)) throw new NotFound('This report');
    const { name, bytes } = await reportFile(database(), actor, id);
    return new Response(new Uint8Array(bytes), {
      headers: fileHeaders(name, 'application/pdf', { inline: true }),
    });
  });
}
