import 'reflect-metadata';
import { sourceCsv } from '@/core/interchange';
import { sourceUnit } from '@/core/uniformity';
import { database } from '@/db/client';
import { NotFound } from '@/server/errors';
import { answering, fileHeaders, isId } from '@/server/http';
import { ageOf, sourcesOf } from '@/server/queries/sources';
import { specificationOf } from '@/server/queries/specification';
import { limitsNow } from '@/server/run-setup';
import { requireActor } from '@/server/session';

/** Results of the sources of a product with their charts: `?age=168`, hours. */
export function GET(request: Request, { params }: { params: Promise<{ id: string }> }): Promise<Response> {
  return answering(async () => {
    const actor = await requireActor(request.headers);
    const { id } = await params;
    if (!isId(id)) throw new NotFound('This specification');
    const db = database();
    const { mix, job, material } = await specificationOf(db, actor, id);
    const source = material.source?.({ ...mix.asked });
    if (!source) throw new NotFound('Sources of this specification');
    const age = ageOf(source, new URL(request.url).searchParams.get('age') ?? undefined);
    const limits = await limitsNow(db, job);
    const series = await sourcesOf(db, actor, { mix, job }, source, { ageHours: age, limits });
    return new Response(sourceCsv(series, sourceUnit(job.system, source.alone?.unit).unit), {
      headers: fileHeaders(`${mix.code}-${age / 24}d.csv`, 'text/csv; charset=utf-8'),
    });
  });
}
