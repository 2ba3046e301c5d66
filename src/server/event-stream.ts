/** Proxies drop a line that says nothing; a comment keeps it open. */
const KEEP_MS = 15_000;

/**
 * An answer of server-sent events that lasts until the browser goes away.
 * @param begin is given what sends an event, and returns what ends it
 */
export function eventStream(
  request: Request,
  begin: (send: (data: string, id?: number) => void) => () => void,
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
      const timer = setInterval(() => write(': open\n\n'), KEEP_MS);
      stop = () => {
        leave();
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
