import { NotFound } from '@/server/errors';
import { staffStream } from '@/server/event-stream';
import { answering, isId } from '@/server/http';
import { liveChanges } from '@/server/live';

/** What changes at a placement, as it changes: server-sent events with the sample and run concerned. */
export function GET(request: Request): Promise<Response> {
  return answering(async () => {
    const placement = new URL(request.url).searchParams.get('placement') ?? '';
    return staffStream(request, (send) => {
      if (!isId(placement)) throw new NotFound('This placement');
      return liveChanges().subscribe((change) => {
        if (change.placement === placement) send(JSON.stringify(change));
      });
    });
  });
}
