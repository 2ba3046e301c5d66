import 'reflect-metadata';
import { sourceCsv } from '@/core/interchange';
import { database } from '@/db/client';
import { NotFound } from '@/server/errors';
import { answering, fileHeaders, isId } from '@/server/http';
import { ageOf, sourcesOf } from '@/server/queries/sources';
import { materialOf, standingsOf } from '@/server/queries/specification';
import { requireActor } from '@/server/session';

/** Results of the sources of a product with their charts: `?age=168`, hours. */
export function GET(request: Request, { params }: { params: Promise<{ id: string }> }): Promise<Response> {
  return answering(async () => {
    const actor = await requireActor(request.headers);
    const { id } = await params;
    if (!isId(id)) throw new NotFound('This specification');
    const db = database();
    const { source } = await materialOf(db, actor, id);
    const [standing] = await standingsOf(db, actor, [id]);
    if (!source || !standing) throw new NotFound('Sources of this specification');
    const age = ageOf(source, new URL(request.url).searchParams.get('age') ?? undefined);
    const series = await sourcesOf(db, actor, standing, source, age);
    return new Response(sourceCsv(series, standing.job.system === 'US' ? 'psi' : 'MPa'), {
      headers: fileHeaders(`${standing.mix.code}-${age / 24}d.csv`, 'text/csv; charset=utf-8'),
    });
  });
}
