import 'reflect-metadata';
import { database } from '@/db/client';
import { NotFound } from '@/server/errors';
import { answering, fileHeaders, isId } from '@/server/http';
import { periodReport } from '@/server/reports/period';
import { requireActor } from '@/server/session';

/** What the sources of a product did over a period, as a PDF: `?age=168&from=2031-03-01&to=2031-08-31`. */
export function GET(request: Request, { params }: { params: Promise<{ id: string }> }): Promise<Response> {
  return answering(async () => {
    const actor = await requireActor(request.headers);
    const { id } = await params;
    if (!isId(id)) throw new NotFound('This specification');
    const asked = new URL(request.url).searchParams;
    const { name, pdf } = await periodReport(database(), actor, id, {
      age: asked.get('age') ?? undefined,
      from: asked.get('from') ?? '',
      to: asked.get('to') ?? '',
    });
    return new Response(new Uint8Array(pdf), { headers: fileHeaders(name, 'application/pdf') });
  });
}
