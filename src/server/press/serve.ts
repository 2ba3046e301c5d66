import { createServer, type IncomingMessage, type Server } from 'node:http';
import { Readable } from 'node:stream';
import { NotFound } from '../errors';
import { answering } from '../http';
import { pressStream } from './stream';

const PATH = /^\/api\/press\/([^/]+)$/u;

function numberOf(path: string): string {
  const [, encoded = ''] = PATH.exec(path) ?? [];
  try {
    return decodeURIComponent(encoded);
  } catch {
    return '';
  }
}

function requestOf(message: IncomingMessage, signal: AbortSignal): Request {
  const headers = new Headers();
  for (const [name, value] of Object.entries(message.headers))
    if (value !== undefined) headers.set(name, Array.isArray(value) ? value.join(', ') : value);
  return new Request(new URL(message.url ?? '/', 'http://live.invalid'), { headers, signal });
}

/**
 * Streams what the machines read from a process that draws no pages: a large page that is being put together never
 * holds up a reading. The gateway passes `/api/press/…` on to it.
 */
export function pressServer(): Server {
  return createServer((message, answer) => {
    const gone = new AbortController();
    answer.on('close', () => gone.abort());
    const request = requestOf(message, gone.signal);
    void answering(async () => {
      const number = numberOf(new URL(request.url).pathname);
      if (message.method !== 'GET' || number === '') throw new NotFound('This');
      return pressStream(request, number);
    }).then((response) => {
      answer.writeHead(response.status, Object.fromEntries(response.headers));
      if (!response.body) return answer.end();
      // Headers now, not with the first reading: the browser knows at once that the line is there.
      answer.flushHeaders();
      return Readable.fromWeb(response.body as never)
        .on('error', () => answer.destroy())
        .pipe(answer);
    });
  });
}
