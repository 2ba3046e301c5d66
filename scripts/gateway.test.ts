import { type ChildProcess, spawn } from 'node:child_process';
import { mkdtempSync, rmSync, writeFileSync } from 'node:fs';
import http from 'node:http';
import type { AddressInfo } from 'node:net';
import net from 'node:net';
import { tmpdir } from 'node:os';
import path from 'node:path';
import { afterAll, beforeAll, describe, expect, it } from 'vitest';

/** The streams that somebody is told something by. */
const open = new Set<http.ServerResponse>();

/** A server that says what reached it. */
function echo(name: string): http.Server {
  return http.createServer((request, answer) => {
    if (request.url === '/stream') {
      answer.writeHead(200, { 'content-type': 'text/event-stream' });
      answer.write('data: 1\n\n');
      open.add(answer);
      answer.on('close', () => open.delete(answer));
      return;
    }
    answer.setHeader('content-type', 'application/json');
    answer.end(JSON.stringify({ name, url: request.url, headers: request.headers }));
  });
}
const listening = (server: http.Server): Promise<number> =>
  new Promise((resolve) =>
    server.listen(0, '127.0.0.1', () => resolve((server.address() as AddressInfo).port)),
  );
const freePort = async (): Promise<number> => {
  const server = net.createServer();
  await new Promise<void>((resolve) => server.listen(0, '127.0.0.1', resolve));
  const { port } = server.address() as AddressInfo;
  await new Promise((resolve) => server.close(resolve));
  return port;
};

const pages = echo('pages');
const live = echo('live');
const gateways: ChildProcess[] = [];
let own: string;
let trusting: string;

async function gateway(env: Record<string, string>): Promise<string> {
  const port = await freePort();
  gateways.push(
    spawn('node', [path.resolve('scripts/gateway.mjs')], {
      env: { ...process.env, BRICOLE_PORT: String(port), ...env },
      stdio: ['ignore', 'ignore', 'inherit'],
    }),
  );
  const url = `http://127.0.0.1:${port}`;
  for (let look = 0; look < 200; look += 1) {
    const there = await fetch(url).catch(() => null);
    if (there) return url;
    await new Promise((resolve) => setTimeout(resolve, 50));
  }
  throw new Error('the gateway did not begin');
}

beforeAll(async () => {
  const env = {
    BRICOLE_PAGES: `http://127.0.0.1:${await listening(pages)}`,
    BRICOLE_LIVE: `http://127.0.0.1:${await listening(live)}`,
  };
  own = await gateway(env);
  trusting = await gateway({ ...env, BRICOLE_TRUSTED_PROXIES: '127.0.0.1' });
});
afterAll(async () => {
  for (const each of gateways) each.kill('SIGTERM');
  for (const server of [pages, live]) {
    server.closeAllConnections();
    server.close();
  }
});

const ask = async (base: string, url: string, headers: Record<string, string> = {}) => {
  const answer = await fetch(`${base}${url}`, { headers });
  return {
    status: answer.status,
    body: (await answer.json()) as {
      name: string;
      url: string;
      message: string;
      headers: Record<string, string>;
    },
  };
};

describe('the gateway', () => {
  it('leads live readings to the process that draws no pages, and all else to the pages', async () => {
    expect((await ask(own, '/api/press/PR-01?from=3')).body).toMatchObject({
      name: 'live',
      url: '/api/press/PR-01?from=3',
    });
    for (const url of ['/today', '/api/do/x', '/api/pressed'])
      expect((await ask(own, url)).body.name).toBe('pages');
  });
  it('says where a connection came from, and believes no claim of it', async () => {
    const claims = {
      'x-forwarded-for': '203.0.113.9',
      'x-forwarded-host': 'elsewhere',
      'x-bricole-address': '1.2.3.4',
      forwarded: 'for=1',
    };
    const { headers } = (await ask(own, '/', claims)).body;
    expect(headers['x-bricole-address']).toBe('127.0.0.1');
    for (const name of ['x-forwarded-for', 'x-forwarded-host', 'forwarded'])
      expect(headers).not.toHaveProperty(name);
  });
  it('takes the word of a proxy that was named, the last address of its list', async () => {
    const { headers } = (await ask(trusting, '/', { 'x-forwarded-for': '1.1.1.1, 203.0.113.9' })).body;
    expect(headers['x-bricole-address']).toBe('203.0.113.9');
  });
  it.each(['/%', '/jobs/%zz', '/a%00b', '/%E0%A4%A'])(
    'answers an address that cannot be read in words: %s',
    async (url) => {
      expect(await ask(own, url)).toMatchObject({
        status: 400,
        body: { message: expect.stringContaining('no such address') },
      });
    },
  );
  it('passes a stream on as it comes', async () => {
    const gone = new AbortController();
    const answer = await fetch(`${own}/stream`, { signal: gone.signal });
    const { value } = (await answer.body?.getReader().read()) ?? {};
    expect(new TextDecoder().decode(value)).toBe('data: 1\n\n');
    expect(open.size).toBe(1);
    gone.abort();
    // Who has gone hears nothing any more, and nothing is kept for them.
    await expect.poll(() => open.size).toBe(0);
  });
  it('asks once more where a kept connection is cut as it is used, but sends nothing twice', async () => {
    // It answers the first request of a connection, and cuts it at the second.
    const asked = new Map<net.Socket, number>();
    const seen: string[] = [];
    const cutting = http.createServer((request, answer) => {
      const count = (asked.get(request.socket) ?? 0) + 1;
      asked.set(request.socket, count);
      seen.push(`${request.method} ${count}`);
      if (count > 1) return request.socket.resetAndDestroy();
      answer.setHeader('content-type', 'application/json');
      answer.end('{"ok":true}');
    });
    const through = await gateway({
      BRICOLE_PAGES: `http://127.0.0.1:${await listening(cutting)}`,
      BRICOLE_LIVE: 'http://127.0.0.1:1',
    });
    const status = async (method: string): Promise<number> =>
      (await fetch(`${through}/today`, { method })).status;
    expect([await status('GET'), await status('GET'), await status('GET')]).toEqual([200, 200, 200]);
    expect(seen).toContain('GET 2');
    seen.length = 0;
    const sent = [await status('POST'), await status('POST')];
    // What may have been taken in is never sent again: whoever sent it is told, and decides.
    expect(sent).toContain(503);
    expect(seen.filter((each) => each.startsWith('POST'))).toHaveLength(2);
    cutting.closeAllConnections();
    cutting.close();
  });
  it('shares the work among several servers, the busy ones last, and goes on when one dies', async () => {
    const [first, second] = [echo('first'), echo('second')];
    const ports = [await listening(first), await listening(second)];
    const shared = await gateway({
      BRICOLE_PAGES: ports.map((port) => `http://127.0.0.1:${port}`).join(),
      BRICOLE_LIVE: 'http://127.0.0.1:1',
    });
    // A line that stays open keeps its server busy: what comes meanwhile goes to the other.
    const gone = new AbortController();
    await fetch(`${shared}/stream`, { signal: gone.signal });
    const names = new Set<string>();
    for (let time = 0; time < 4; time += 1) names.add((await ask(shared, '/today')).body.name);
    expect(names.size).toBe(1);
    gone.abort();
    const [other] = [...names];
    const dying = other === 'first' ? first : second;
    dying.closeAllConnections();
    await new Promise((resolve) => dying.close(resolve));
    for (let time = 0; time < 6; time += 1) {
      const { status, body } = await ask(shared, '/today');
      expect([status, body.name]).toEqual([200, other === 'first' ? 'second' : 'first']);
    }
    for (const each of [first, second]) {
      each.closeAllConnections();
      each.close();
    }
  });
  it('asked how it is while nothing answers, says what it knows of those behind it', async () => {
    const folder = mkdtempSync(path.join(tmpdir(), 'bricole-gateway-'));
    const file = path.join(folder, 'standing.json');
    const wrong = 'Not running: web server (ended by SIGKILL). It is started again by itself.';
    writeFileSync(file, JSON.stringify({ pid: 1, wrong: [wrong], parts: [] }));
    const away = await gateway({
      BRICOLE_PAGES: `http://127.0.0.1:${await freePort()}`,
      BRICOLE_LIVE: 'http://127.0.0.1:1',
      BRICOLE_STANDING: file,
    });
    const answer = await fetch(`${away}/api/health`);
    expect([answer.status, await answer.json()]).toEqual([503, { ok: false, wrong: [wrong] }]);
    writeFileSync(file, '{"wrong": [');
    expect(await (await fetch(`${away}/api/health`)).json()).toEqual({
      ok: false,
      wrong: ['The web server does not answer.'],
    });
    rmSync(folder, { recursive: true });
  });
  it('says that the server is away, instead of nothing', async () => {
    const away = await gateway({
      BRICOLE_PAGES: `http://127.0.0.1:${await freePort()}`,
      BRICOLE_LIVE: 'http://127.0.0.1:1',
    });
    expect(await ask(away, '/today')).toMatchObject({
      status: 503,
      body: { message: expect.stringContaining('Try again') },
    });
  });
});
