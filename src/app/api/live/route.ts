import { NotFound } from '@/server/errors';
import { staffStream } from '@/server/event-stream';
import { answering, isId } from '@/server/http';
import { liveChanges } from '@/server/live';

/** What changes at a lot, as it changes: server-sent events with the sample and run concerned. */
export function GET(request: Request): Promise<Response> {
  return answering(async () => {
    const lot = new URL(request.url).searchParams.get('lot') ?? '';
    return staffStream(request, (send) => {
      if (!isId(lot)) throw new NotFound('This lot');
      return liveChanges().subscribe((change) => {
        if (change.lot === lot) send(JSON.stringify(change));
      });
    });
  });
}
