import { database } from '@/db/client';
import { NotFound } from '@/server/errors';
import { answering, fileHeaders, isId } from '@/server/http';
import { labelPdf, labelsOf } from '@/server/labels';
import { requireActor } from '@/server/session';

/** Labels of a sample's specimens or of one: a sheet, or one a page for a label printer. */
export function GET(request: Request): Promise<Response> {
  return answering(async () => {
    const actor = await requireActor(request.headers);
    const query = new URL(request.url).searchParams;
    const sampleId = query.get('sample') ?? '';
    const specimenId = query.get('specimen') ?? '';
    if (!isId(sampleId || specimenId)) throw new NotFound('A specimen to label');
    const labels = await labelsOf(database(), actor, sampleId ? { sampleId } : { specimenId });
    const bytes = await labelPdf(labels, {
      single: query.get('form') === 'single',
      paper: query.get('paper') === 'letter' ? 'LETTER' : 'A4',
    });
    return new Response(new Uint8Array(bytes), {
      headers: fileHeaders(`labels-${labels[0]?.code ?? 'specimens'}.pdf`, 'application/pdf', {
        inline: true,
      }),
    });
  });
}
