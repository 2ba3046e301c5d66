import { readFileSync } from 'node:fs';
import http from 'node:http';
import httpProxy from 'http-proxy';
import { KEPT_MS } from './lib/kept.mjs';

/**
 * The one door of the application: it passes pages on to the web server and live readings to the process that draws no
 * pages, and says where each connection came from. What a request claims of its own origin is dropped, unless the
 * connection comes from a proxy that BRICOLE_TRUSTED_PROXIES names (addresses with commas between).
 *   BRICOLE_PORT, BRICOLE_PAGES (addresses of the web servers, with commas between), BRICOLE_LIVE (of the live readings), BRICOLE_HOST
 */
const { BRICOLE_PORT, BRICOLE_PAGES, BRICOLE_LIVE, BRICOLE_HOST = '127.0.0.1' } = process.env;
const trusted = new Set((process.env.BRICOLE_TRUSTED_PROXIES ?? '').split(',').filter(Boolean));

function addressOf(request) {
  const own = (request.socket.remoteAddress ?? '').replace(/^::ffff:/u, '');
  if (!trusted.has(own)) return own;
  const claimed = String(request.headers['x-forwarded-for'] ?? '')
    .split(',')
    .at(-1)
    ?.trim();
  return claimed || own;
}

// Connections to the servers behind are kept: one for each request would cost more than most answers. An idle one is let
// go here well before the server behind would shut it (`KEPT_MS` there), or a request could meet it as it shuts.
const agent = new http.Agent({ keepAlive: true, maxSockets: 512, timeout: 30_000 });
const proxy = httpProxy.createProxyServer({ xfwd: false, agent });
const again = new WeakSet();
/** Where a request was passed to. */
const at = new WeakMap();
// Who has gone hears nothing any more: what was being read for them is let go, or a live line would stay for good.
proxy.on('proxyReq', (asked, _, answer) => {
  answer.on('close', () => {
    if (!answer.writableFinished) asked.destroy();
  });
});
proxy.on('error', (error, request, answer) => {
  if (!('writeHead' in answer)) return answer.destroy();
  if (answer.destroyed) return undefined;
  if (answer.headersSent) return answer.destroy();
  const server = at.get(request);
  if (server && error.code === 'ECONNREFUSED') server.until = Date.now() + PASSED_OVER_MS;
  // A connection that was refused or cut as it was used took nothing in: what only reads is asked once more.
  if (
    ['ECONNRESET', 'ECONNREFUSED'].includes(error.code) &&
    ['GET', 'HEAD'].includes(request.method) &&
    !again.has(request)
  ) {
    again.add(request);
    return pass(request, answer);
  }
  answer.writeHead(503, {
    'content-type': 'application/json',
    'retry-after': '1',
    'cache-control': 'no-store',
  });
  const message = 'The server is starting or has just ended. Try again in a moment.';
  // Asked how it is, the door says what it knows of those behind it.
  answer.end(JSON.stringify(request.url === '/api/health' ? { ok: false, wrong: wrong() } : { message }));
  request.unpipe?.();
});

/** How the parts stand, by the file of the one that keeps them. */
function wrong() {
  try {
    const { wrong: told } = JSON.parse(readFileSync(process.env.BRICOLE_STANDING ?? '', 'utf8'));
    return told.length > 0 ? told : ['The web server does not answer yet.'];
  } catch {
    return ['The web server does not answer.'];
  }
}

/** The web servers: how many requests each has, and until when it is passed over since it could not be reached, ms. */
const servers = BRICOLE_PAGES.split(',').map((url) => ({ url, busy: 0, until: 0 }));
const PASSED_OVER_MS = 1000;

/** The one with the least to do of those that can be reached; of all, where none can. */
function idlest() {
  const now = Date.now();
  const up = servers.filter(({ until }) => until <= now);
  return (up.length > 0 ? up : servers).reduce((least, each) => (each.busy < least.busy ? each : least));
}

/** Passes a request on; it counts as one of that server's until it is over. */
function pass(request, answer) {
  if ((request.url ?? '/').startsWith('/api/press/'))
    return proxy.web(request, answer, { target: BRICOLE_LIVE });
  const server = idlest();
  server.busy += 1;
  at.set(request, server);
  answer.once('close', () => {
    server.busy -= 1;
  });
  return proxy.web(request, answer, { target: server.url });
}
function prepare(request) {
  const address = addressOf(request);
  for (const name of Object.keys(request.headers))
    if (name.startsWith('x-forwarded-') || name.startsWith('x-bricole-') || name === 'forwarded')
      delete request.headers[name];
  request.headers['x-bricole-address'] = address;
}

/** Addresses that nothing can read: said here in words, before a server stumbles over them. */
function isReadable(url) {
  try {
    const path = url.split('?')[0];
    return !decodeURIComponent(path).includes('\0');
  } catch {
    return false;
  }
}

const server = http.createServer((request, answer) => {
  if (!isReadable(request.url ?? '/')) {
    answer.writeHead(400, { 'content-type': 'application/json', 'cache-control': 'no-store' });
    answer.end(JSON.stringify({ message: 'There is no such address: it cannot be read.' }));
    return;
  }
  prepare(request);
  pass(request, answer);
});
server.on('upgrade', (request, socket, head) => {
  prepare(request);
  proxy.ws(request, socket, head, { target: idlest().url });
});
server.keepAliveTimeout = KEPT_MS;
server.listen(Number(BRICOLE_PORT), BRICOLE_HOST);
const end = () => {
  server.close();
  server.closeAllConnections();
  process.exit(0);
};
process.on('SIGTERM', end);
process.on('SIGINT', end);
