import { NotFound, Refused } from '@/server/errors';
import { eventStream } from '@/server/event-stream';
import { answering } from '@/server/http';
import { pressFeed } from '@/server/press/feed';
import { requireActor } from '@/server/session';

/**
 * What a machine reads, as it reads it: server-sent events, each a few readings. `?from=` asks for older ones by
 * their number, so that a browser whose line dropped has no gap.
 */
export function GET(
  request: Request,
  { params }: { params: Promise<{ number: string }> },
): Promise<Response> {
  return answering(async () => {
    const actor = await requireActor(request.headers);
    if (actor.role === 'client') throw new Refused();
    const feed = pressFeed(decodeURIComponent((await params).number));
    if (!feed) throw new NotFound('A live feed of this machine');
    // The browser's own way of saying where it was when its line dropped.
    const last = Number(request.headers.get('last-event-id') ?? Number.NaN);
    const asked = Number(new URL(request.url).searchParams.get('from') ?? Number.NaN);
    const from =
      Number.isInteger(last) && last > 0
        ? last + 1
        : Number.isInteger(asked) && asked > 0
          ? asked
          : undefined;
    return eventStream(request, (send) =>
      feed.subscribe(
        {
          readings: (lines, { boot, simulated }) =>
            send(JSON.stringify({ boot, simulated, lines }), lines.at(-1)?.seq),
          line: (up) => send(JSON.stringify({ up, simulated: feed.about?.simulated ?? false })),
        },
        from,
      ),
    );
  });
}
