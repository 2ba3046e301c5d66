import { type LiveChanges, liveChanges } from './live';
import { staffOnly } from './scope';
import { actorOf, requireActor } from './session';

/** Proxies drop a line that says nothing; a comment keeps it open. The right to it is asked for as often. */
const KEEP_MS = 15_000;

type Begin = (send: (data: string, id?: number) => void) => () => void;

/**
 * A stream for the laboratory's own people. It ends as soon as whoever opened it signs out, is withdrawn or gets a part
 * that may not see it: at once by the database's word, at the latest with the next sign of life.
 * @throws NotSignedIn, Refused
 */
export async function staffStream(request: Request, begin: Begin): Promise<Response> {
  const headers = new Headers(request.headers);
  const actor = await requireActor(headers);
  staffOnly(actor);
  const mayGoOn = async (): Promise<boolean> => {
    try {
      const now = await actorOf(headers);
      return now?.id === actor.id && now.role !== 'client';
    } catch {
      // A database that is away for a moment takes no right from anybody.
      return true;
    }
  };
  return eventStream(request, begin, { personId: actor.id, mayGoOn, access: liveChanges() });
}

/**
 * An answer of server-sent events that lasts until the browser goes away or the right to it ends.
 * @param begin is given what sends an event, and returns what ends it
 * @param right whose it is, whether it still holds, and who tells that it may have changed
 */
export function eventStream(
  request: Request,
  begin: Begin,
  right: {
    readonly personId: string;
    readonly mayGoOn: () => Promise<boolean>;
    readonly access: Pick<LiveChanges, 'subscribeAccess'>;
  },
): Response {
  const encoder = new TextEncoder();
  let stop = (): void => undefined;
  const stream = new ReadableStream<Uint8Array>({
    start(controller) {
      const write = (text: string): void => {
        try {
          controller.enqueue(encoder.encode(text));
        } catch {
          // The browser went away between a change and its telling.
          stop();
        }
      };
      write('retry: 1000\n\n: open\n\n');
      const leave = begin((data, id) => write(`${id === undefined ? '' : `id: ${id}\n`}data: ${data}\n\n`));
      const check = async (): Promise<void> => {
        if (await right.mayGoOn()) return;
        stop();
        try {
          controller.close();
        } catch {
          // It was closed already.
        }
      };
      const deaf = right.access.subscribeAccess((personId) => {
        if (personId === right.personId) void check();
      });
      const timer = setInterval(() => {
        write(': open\n\n');
        void check();
      }, KEEP_MS);
      stop = () => {
        leave();
        deaf();
        clearInterval(timer);
      };
      request.signal.addEventListener('abort', stop);
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
}
