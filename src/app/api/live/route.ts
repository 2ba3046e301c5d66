import { Refused } from '@/server/errors';
import { eventStream } from '@/server/event-stream';
import { answering, isId } from '@/server/http';
import { liveChanges } from '@/server/live';
import { requireActor } from '@/server/session';

/** What changes at a placement, as it changes: server-sent events with the sample and run concerned. */
export function GET(request: Request): Promise<Response> {
  return answering(async () => {
    const actor = await requireActor(request.headers);
    if (actor.role === 'client') throw new Refused();
    const placement = new URL(request.url).searchParams.get('placement') ?? '';
    if (!isId(placement)) throw new Refused();
    return eventStream(request, (send) =>
      liveChanges().subscribe((change) => {
        if (change.placement === placement) send(JSON.stringify(change));
      }),
    );
  });
}
