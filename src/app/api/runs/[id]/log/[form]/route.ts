import { database } from '@/db/client';
import { NotFound } from '@/server/errors';
import { answering, fileHeaders, isId } from '@/server/http';
import { LOG_FORMS, logFile } from '@/server/queries/load-log';
import { requireActor } from '@/server/session';

/** The load log of a run: `original`, `analysis.json` or `cleaned.csv`. */
export function GET(
  request: Request,
  { params }: { params: Promise<{ id: string; form: string }> },
): Promise<Response> {
  return answering(async () => {
    const actor = await requireActor(request.headers);
    const { id, form } = await params;
    const wanted = LOG_FORMS.find((each) => each === form);
    if (!isId(id) || !wanted) throw new NotFound('This load log');
    const { name, type, body } = await logFile(database(), actor, id, wanted);
    return new Response(typeof body === 'string' ? body : new Uint8Array(body), {
      headers: fileHeaders(name, type),
    });
  });
}
