import { Refused } from '@/server/errors';
import { answering, isId } from '@/server/http';
import { liveChanges } from '@/server/live';
import { requireActor } from '@/server/session';

/** Proxies drop a line that says nothing; a comment keeps it open. */
const KEEP_MS = 15_000;

/** What changes at a placement, as it changes: server-sent events with the sample and run concerned. */
export function GET(request: Request): Promise<Response> {
  return answering(async () => {
    const actor = await requireActor(request.headers);
    if (actor.role === 'client') throw new Refused();
    const placement = new URL(request.url).searchParams.get('placement') ?? '';
    if (!isId(placement)) throw new Refused();
    const encoder = new TextEncoder();
    let stop = (): void => undefined;
    const stream = new ReadableStream<Uint8Array>({
      start(controller) {
        const send = (text: string): void => {
          try {
            controller.enqueue(encoder.encode(text));
          } catch {
            // The browser went away between a change and its telling.
            stop();
          }
        };
        const leave = liveChanges().subscribe((change) => {
          if (change.placement === placement) send(`data: ${JSON.stringify(change)}\n\n`);
        });
        const timer = setInterval(() => send(': open\n\n'), KEEP_MS);
        stop = () => {
          leave();
          clearInterval(timer);
        };
        request.signal.addEventListener('abort', stop);
        send('retry: 1000\n\n: open\n\n');
      },
      cancel: () => stop(),
    });
    return new Response(stream, {
      headers: {
        'content-type': 'text/event-stream',
        'cache-control': 'no-store',
        'x-accel-buffering': 'no',
      },
    });
  });
}
