import { database } from '@/db/client';
import { NotFound } from '@/server/errors';
import { answering, fileHeaders, isId } from '@/server/http';
import { RECORD_FORMS, recordFile } from '@/server/queries/record';
import { requireActor } from '@/server/session';

/** A record of temperatures that is kept with a run: `original` or `cleaned.csv`. */
export function GET(
  request: Request,
  { params }: { params: Promise<{ id: string; field: string; form: string }> },
): Promise<Response> {
  return answering(async () => {
    const actor = await requireActor(request.headers);
    const { id, field, form } = await params;
    const wanted = RECORD_FORMS.find((each) => each === form);
    if (!isId(id) || !wanted) throw new NotFound('This record');
    const { name, type, body } = await recordFile(database(), actor, { runId: id, field, form: wanted });
    return new Response(typeof body === 'string' ? body : new Uint8Array(body), {
      headers: fileHeaders(name, type),
    });
  });
}
