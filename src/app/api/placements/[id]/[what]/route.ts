import { database } from '@/db/client';
import { NotFound } from '@/server/errors';
import { answering, fileHeaders, isId } from '@/server/http';
import { placementCsv } from '@/server/queries/placement-csv';
import { requireActor } from '@/server/session';

/** The clocks of a placement's samples, or the custody of its specimens, as CSV. */
export function GET(
  request: Request,
  { params }: { params: Promise<{ id: string; what: string }> },
): Promise<Response> {
  return answering(async () => {
    const actor = await requireActor(request.headers);
    const { id, what } = await params;
    if (!isId(id) || (what !== 'clocks' && what !== 'custody')) throw new NotFound('This list');
    const csv = await placementCsv(database(), actor, id, what);
    return new Response(csv, {
      headers: fileHeaders(`${what}.csv`, 'text/csv; charset=utf-8'),
    });
  });
}
