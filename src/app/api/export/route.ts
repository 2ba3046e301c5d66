import 'reflect-metadata';
import { resultsCsv } from '@/core/interchange';
import { fromReader } from '@/db/client';
import { Invalid, NotFound } from '@/server/errors';
import { answering, fileHeaders, isId } from '@/server/http';
import { exportRecords } from '@/server/queries/export';
import { requireActor } from '@/server/session';

/** Results of one method on a job: `?job=…&method=…&format=csv|json`. */
export function GET(request: Request): Promise<Response> {
  return answering(async () => {
    const actor = await requireActor(request.headers);
    const query = new URL(request.url).searchParams;
    const jobId = query.get('job') ?? '';
    const method = query.get('method') ?? '';
    const format = query.get('format') ?? 'csv';
    if (!isId(jobId)) throw new NotFound('This job');
    if (format !== 'csv' && format !== 'json') throw new Invalid({ format: 'Format: csv or json.' });
    const rows = await fromReader((db) =>
      exportRecords(db, actor, { jobId, method }, format === 'csv' ? 'table' : 'whole'),
    );
    const body =
      format === 'csv'
        ? resultsCsv(method, rows)
        : JSON.stringify(
            rows.map(({ record }) => record),
            null,
            2,
          );
    return new Response(body, {
      headers: fileHeaders(
        `${method}.${format}`,
        format === 'csv' ? 'text/csv; charset=utf-8' : 'application/json; charset=utf-8',
      ),
    });
  });
}
