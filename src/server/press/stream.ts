import { NotFound } from '../errors';
import { staffStream } from '../event-stream';
import { pressFeed } from './feed';

/** A whole number above nought out of an address or a header; undefined for anything else. */
function place(text: string | null): number | undefined {
  const number = Number(text ?? Number.NaN);
  return Number.isSafeInteger(number) && number > 0 ? number : undefined;
}

/**
 * What a machine reads, as it reads it: server-sent events, each a few readings. `?from=` asks for older ones by
 * their number, so that a browser whose line dropped has no gap.
 * @throws NotSignedIn, Refused, NotFound
 */
export async function pressStream(request: Request, number: string): Promise<Response> {
  // The browser's own way of saying where it was when its line dropped.
  const last = place(request.headers.get('last-event-id'));
  const from = last === undefined ? place(new URL(request.url).searchParams.get('from')) : last + 1;
  return staffStream(request, (send) => {
    const feed = pressFeed(number);
    if (!feed) throw new NotFound('A live feed of this machine');
    return feed.subscribe(
      {
        readings: (lines, { boot, simulated, driven }) =>
          send(JSON.stringify({ boot, simulated, driven, lines }), lines.at(-1)?.seq),
        line: (up) => send(JSON.stringify({ up, simulated: feed.about?.simulated ?? false })),
      },
      from,
    );
  });
}
