import contentDisposition from 'content-disposition';
import { answerOf, Conflict, Invalid, Refused } from './errors';

/** Largest body taken, bytes: a photograph in base64 with room to spare. */
const LARGEST = 10 * 1024 * 1024;

/** Runs a handler; what a person's request can run into becomes an answer in words, anything else a logged 500. */
export async function answering(handler: () => Promise<Response>): Promise<Response> {
  try {
    return await handler();
  } catch (error) {
    const known = answerOf(error);
    if (known)
      return Response.json(known.body, { status: known.status, headers: { 'cache-control': 'no-store' } });
    console.error(error);
    return Response.json(
      { message: 'Something went wrong on the server. What you entered is kept on this page: try again.' },
      { status: 500 },
    );
  }
}

/** True unless a browser says that the request comes from a page of somebody else, a page without an origin among them. */
export function isOwnOrigin(request: Request): boolean {
  const origin = request.headers.get('origin');
  if (origin === null) return true;
  return URL.canParse(origin) && new URL(origin).host === request.headers.get('host');
}

/** The JSON body of a request that came from our own pages. @throws Refused for other origins, Invalid for no JSON */
export async function ownJson(request: Request): Promise<unknown> {
  if (!isOwnOrigin(request)) throw new Refused();
  if (!request.headers.get('content-type')?.startsWith('application/json')) {
    throw new Invalid({ '': 'JSON is expected.' });
  }
  if (Number(request.headers.get('content-length') ?? 0) > LARGEST)
    throw new Conflict('This is too large to be taken at once.');
  const text = await request.text();
  if (text.length > LARGEST) throw new Conflict('This is too large to be taken at once.');
  try {
    return JSON.parse(text);
  } catch {
    throw new Invalid({ '': 'JSON is expected.' });
  }
}

/** The headers of a file that is sent: whatever its name, it breaks no header and no browser guesses its type. */
export function fileHeaders(
  name: string,
  type: string,
  { inline = false, cache = 'private, no-store' } = {},
): Record<string, string> {
  return {
    'content-type': type,
    'content-disposition': contentDisposition(name, { type: inline ? 'inline' : 'attachment' }),
    'cache-control': cache,
    'x-content-type-options': 'nosniff',
  };
}

const UUID = /^[0-9a-f]{8}-(?:[0-9a-f]{4}-){3}[0-9a-f]{12}$/i;

/** True for text that can be an identifier; anything else would only make the database complain. */
export function isId(text: string): boolean {
  return UUID.test(text);
}

/**
 * A path of our own to go on to, else the day's: a link that brings somebody here must not send them elsewhere. Read as
 * a browser reads it, which drops tabs and line breaks and takes a backslash for a slash.
 */
export function ownPath(wanted: unknown): string {
  const here = 'http://own.invalid';
  if (typeof wanted !== 'string' || !wanted.startsWith('/') || !URL.canParse(wanted, here)) return '/today';
  const { origin, pathname, search, hash } = new URL(wanted, here);
  return origin === here && !pathname.startsWith('//') ? `${pathname}${search}${hash}` : '/today';
}
