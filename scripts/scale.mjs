import { randomUUID } from 'node:crypto';
import { mkdirSync, mkdtempSync, readFileSync, rmSync, writeFileSync } from 'node:fs';
import { tmpdir } from 'node:os';
import path from 'node:path';
import { setTimeout as pause } from 'node:timers/promises';
import pg from 'pg';
import { prepareDemo, startApplication } from './lib/application.mjs';
import { startCluster } from './lib/cluster.mjs';
import { Devices, openRuns, save, signIn } from './lib/devices.mjs';
import { main, say, Trouble } from './lib/say.mjs';
import { startStandby } from './lib/standby.mjs';
import {
  buildApplication,
  freePort,
  HOME,
  has,
  installDebian,
  installPackages,
  start,
  stop,
} from './lib/system.mjs';

// Tries on one machine what docs/scale.md describes: two application servers behind nginx, PostgreSQL with a standby by
// streaming replication, lists and exports read from the standby, and the standby promoted while readings are saved.
//   npm run scale
const TIMES = 20;

/** nginx from Debian's package before these servers, in a folder of its own; nothing of the machine's own is touched. */
async function proxyBefore(ports, port) {
  if (!has('nginx')) installDebian(['nginx-light'], 'nginx');
  const folder = mkdtempSync(path.join(tmpdir(), 'bricole-nginx-'));
  const example = readFileSync('docs/examples/nginx.conf', 'utf8');
  // The location of the example, as it stands; what is before it needs a certificate.
  const [location] = /location \/ \{[\s\S]*?\n {2}\}/u.exec(example);
  const kept = ['client_body', 'proxy', 'fastcgi', 'uwsgi', 'scgi'].map(
    (of) => `${of}_temp_path ${folder}/${of};`,
  );
  writeFileSync(
    path.join(folder, 'nginx.conf'),
    `daemon off; pid ${folder}/pid; error_log ${folder}/error.log;
     ${process.getuid?.() === 0 ? 'user root;' : ''}
     events {}
     http {
       access_log off; ${kept.join(' ')}
       upstream bricole { ${ports.map((each) => `server 127.0.0.1:${each};`).join(' ')} keepalive 64; }
       server { listen 127.0.0.1:${port}; client_max_body_size 12m; ${location.replace('$host', '$http_host')} }
     }`,
  );
  const child = start('nginx', [
    '-c',
    path.join(folder, 'nginx.conf'),
    '-p',
    folder,
    '-e',
    `${folder}/error.log`,
  ]);
  return {
    end: async () => {
      await stop(child);
      rmSync(folder, { recursive: true, force: true });
    },
  };
}

/** How long it takes until a change that is saved through one server is told by the other, ms. */
async function liveAcross(saver, listener, cookie, run) {
  const control = new AbortController();
  const answer = await fetch(`${listener}/api/live?lot=${run.lot}`, {
    headers: { cookie },
    signal: control.signal,
  });
  if (!answer.ok) throw new Trouble(`the live line was refused: ${answer.status}`);
  const reader = answer.body.getReader();
  let told = () => {};
  void (async () => {
    for (;;) {
      const { value, done } = await reader.read();
      if (done) return;
      if (new TextDecoder().decode(value).includes(run.id)) told();
    }
  })().catch(() => {});
  const took = [];
  let based;
  for (let time = 0; time < TIMES; time += 1) {
    const heard = new Promise((resolve) => {
      told = resolve;
    });
    const from = performance.now();
    const reading = {
      id: randomUUID(),
      field: 'remarks',
      text: `live ${time}`,
      takenAt: new Date().toISOString(),
    };
    let { status, body } = await save(saver, cookie, run.id, {
      ...reading,
      ...(based ? { basedOn: based } : {}),
    });
    if (status === 409 && body.theirs)
      ({ status, body } = await save(saver, cookie, run.id, { ...reading, basedOn: body.theirs.seq }));
    if (status !== 200) throw new Trouble(`a reading was refused: ${status} ${JSON.stringify(body)}`);
    based = body.saved[0].seq;
    await Promise.race([
      heard,
      pause(5000).then(() => {
        throw new Trouble('a change was not told within 5 s');
      }),
    ]);
    took.push(performance.now() - from);
    await pause(50);
  }
  control.abort();
  return took;
}

const slowest = (took) => `${took.length} changes, the slowest after ${Math.round(Math.max(...took))} ms`;

await main(async () => {
  mkdirSync(HOME, { recursive: true });
  installPackages();
  const cluster = await startCluster('scale-database', { noted: false });
  let standby;
  let proxy;
  let servers = [];
  try {
    prepareDemo(cluster);
    buildApplication();
    say('making the standby');
    standby = await startStandby(cluster);
    const door = await freePort(3975);
    const begin = async (databaseUrl, readerUrl) => {
      const shared = {
        ...{ databaseUrl, secret: 'only-for-this-trial-0123456789abcdef', url: `http://127.0.0.1:${door}` },
        ...{
          proxies: '127.0.0.1',
          env: { BRICOLE_DEMO: '1', ...(readerUrl ? { BRICOLE_READER_URL: readerUrl } : {}) },
        },
      };
      const first = await startApplication({ ...shared, port: 3950, name: 'scale-first' });
      const { feeds, live } = first;
      const second = await startApplication({ ...shared, port: 3960, name: 'scale-second', feeds, live });
      await first.ready();
      await second.ready();
      return [first, second];
    };
    servers = await begin(cluster.appUrl('bricole'), standby.appUrl('bricole'));
    proxy = await proxyBefore(
      servers.map(({ door: each }) => new URL(each).port),
      door,
    );
    const url = `http://127.0.0.1:${door}`;
    const asked = async (address, what) => {
      const client = new pg.Client({ connectionString: address });
      await client.connect();
      return what(client).finally(() => client.end());
    };
    const runs = await asked(cluster.rootUrl('bricole'), (client) => openRuns(client, 8));
    const cookie = await signIn(url);
    const [first, second] = servers.map(({ door: each }) => each);
    say(`live from the first to the second: ${slowest(await liveAcross(first, second, cookie, runs[0]))}`);
    say(`live from the second to the first: ${slowest(await liveAcross(second, first, cookie, runs[0]))}`);
    say(`live through nginx, both ways: ${slowest(await liveAcross(url, url, cookie, runs[0]))}`);

    // What the standby was asked for, by its own count.
    const asks = () =>
      asked(standby.rootUrl('bricole'), async (client) => {
        const { rows } = await client.query(
          "SELECT sum(tup_returned)::bigint AS n FROM pg_stat_database WHERE datname = 'bricole'",
        );
        return Number(rows[0].n);
      });
    const before = await asks();
    for (const page of ['/reports', '/verdicts', '/api/search?q=PMF', '/api/trail'])
      for (let time = 0; time < 4; time += 1) {
        const answer = await fetch(`${url}${page}`, { headers: { cookie } });
        await answer.arrayBuffer();
        if (answer.status !== 200) throw new Trouble(`${page}: ${answer.status}`);
      }
    // Its count is written down when a connection has been idle for a while.
    await pause(2000);
    const read = (await asks()) - before;
    if (read < 1000) throw new Trouble(`the standby was asked for ${read} rows only`);
    say(`lists and exports were read from the standby: ${read} rows`);

    say('saving readings, and killing the primary in the middle');
    const devices = new Devices(() => url, cookie, runs);
    await pause(8000);
    const killed = Date.now();
    cluster.kill();
    const atDeath = devices.acknowledged.size;
    await standby.promote();
    const promoted = Date.now();
    await Promise.all(servers.map((each) => each.end()));
    servers = await begin(standby.appUrl('bricole'));
    const back = devices.acknowledged.size;
    while (devices.acknowledged.size === back) await pause(20);
    const standstill = devices.longest(killed);
    await pause(5000);
    await devices.stop();
    const { lost, doubled } = await asked(standby.rootUrl('bricole'), (client) => devices.held(client));
    process.stdout.write(
      `${atDeath} readings were acknowledged when the primary died, ${devices.acknowledged.size} in the end; ${lost} lost, ${doubled} doubled; promoted after ${((promoted - killed) / 1000).toFixed(1)} s, readings saved again after ${(standstill / 1000).toFixed(1)} s\n`,
    );
    process.exitCode = lost + doubled > 0 ? 1 : 0;
  } finally {
    await proxy?.end();
    for (const each of servers) await each.end();
    standby?.remove();
    cluster.remove();
  }
});
