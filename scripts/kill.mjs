import { randomUUID } from 'node:crypto';
import { mkdirSync, readFileSync } from 'node:fs';
import { setTimeout as pause } from 'node:timers/promises';
import pg from 'pg';
import { prepareDemo, startApplication } from './lib/application.mjs';
import { startCluster } from './lib/cluster.mjs';
import { main, say, Trouble } from './lib/say.mjs';
import { buildApplication, HOME, installPackages } from './lib/system.mjs';

// Saves readings without a pause while every process of the application is killed in turn, and left to the supervisor.
// Counts what was acknowledged against what is there (an acknowledged reading is never lost and never doubled), and the
// longest time in which none could be saved.
//   npm run kill -- --kills 30
const at = process.argv.indexOf('--kills');
const KILLS = at < 0 ? 30 : Number(process.argv[at + 1]);
const PASSWORD = 'quay-lantern-tide';
const SECRET = 'only-for-these-kills-0123456789abcdef';

await main(async () => {
  mkdirSync(HOME, { recursive: true });
  installPackages();
  const cluster = await startCluster('kill-database');
  prepareDemo(cluster);
  buildApplication();
  const application = await startApplication({
    databaseUrl: cluster.appUrl('bricole'),
    secret: SECRET,
    port: 3960,
    cluster: { name: 'kill-database', running: cluster },
    name: 'kill-standing',
    env: { BRICOLE_DEMO: '1' },
  });
  await application.ready();
  const parts = () => JSON.parse(readFileSync(application.standing, 'utf8')).parts;
  const pool = () => new pg.Client({ connectionString: cluster.rootUrl('bricole') });
  const asked = pool();
  await asked.connect();
  const { rows } = await asked.query(
    `SELECT r.id FROM runs r WHERE r.state = 'open' AND r.sample_id IS NOT NULL ORDER BY r.started_at DESC LIMIT 8`,
  );
  await asked.end();
  if (rows.length === 0) throw new Trouble('the demo has no open run');
  const signIn = async () => {
    const answer = await fetch(`${application.url}/api/auth/sign-in/email`, {
      method: 'POST',
      headers: { 'content-type': 'application/json', origin: application.url },
      body: JSON.stringify({ email: 'isbet@saltmarsh.example', password: PASSWORD }),
    });
    return answer.headers
      .getSetCookie()
      .map((each) => each.split(';')[0])
      .join('; ');
  };
  const cookie = await signIn();
  const acknowledged = new Set();
  const times = [];
  /** Longest time without a saved reading since then, ms. */
  const longest = (since) => {
    const own = [since, ...times.filter((time) => time > since), Date.now()];
    return Math.max(...own.slice(1).map((time, index) => time - own[index]));
  };
  let sent = 0;
  let busy = true;
  // Up to eight devices, each at a run of its own with one reading on its way; an unanswered one is sent again under the same id.
  const device = async ({ id: runId }) => {
    let waiting;
    let based;
    while (busy) {
      if (!waiting) sent += 1;
      waiting ??= {
        id: randomUUID(),
        field: 'remarks',
        text: `reading ${sent}`,
        ...(based === undefined ? {} : { basedOn: based }),
        takenAt: new Date().toISOString(),
      };
      try {
        const answer = await fetch(`${application.url}/api/do/save-readings`, {
          method: 'POST',
          headers: { 'content-type': 'application/json', origin: application.url, cookie },
          body: JSON.stringify({ runId, readings: [waiting] }),
          signal: AbortSignal.timeout(5000),
        });
        const body = await answer.json();
        if (answer.ok && body.saved?.some(({ id }) => id === waiting.id)) {
          acknowledged.add(waiting.id);
          times.push(Date.now());
          based = body.saved[0].seq;
          waiting = undefined;
        } else if (answer.status === 409 && body.theirs) waiting.basedOn = body.theirs.seq;
      } catch {
        await pause(50);
      }
    }
  };
  const devices = rows.map(device);
  const names = parts().map(({ name }) => name);
  const stood = new Map(names.map((name) => [name, 0]));
  for (let kill = 0; kill < KILLS; kill += 1) {
    await pause(1000 + Math.random() * 2000);
    const name = names[kill % names.length];
    const { pid } = parts().find((each) => each.name === name);
    const before = acknowledged.size;
    const killed = Date.now();
    process.kill(pid, 'SIGKILL');
    // The next one that is saved after what was on its way has come in.
    await pause(100);
    const still = acknowledged.size;
    while (acknowledged.size === still || parts().some(({ state }) => state !== 'running')) await pause(20);
    stood.set(name, Math.max(stood.get(name), longest(killed)));
    say(
      `${kill + 1}: ${name} killed after ${before} readings; longest without one ${(longest(killed) / 1000).toFixed(1)} s`,
    );
  }
  await pause(1500);
  busy = false;
  await Promise.all(devices);
  const check = pool();
  await check.connect();
  const found = await check.query(
    'SELECT id, count(*)::int AS times FROM readings WHERE id = ANY($1) GROUP BY id',
    [[...acknowledged]],
  );
  await check.end();
  await application.end();
  cluster.remove();
  const doubled = found.rows.filter(({ times }) => times > 1).length;
  const lost = acknowledged.size - found.rows.length;
  process.stdout.write(
    `${KILLS} kills; ${acknowledged.size} readings acknowledged, ${lost} lost, ${doubled} doubled; longest without one: ${[
      ...stood,
    ]
      .map(([name, ms]) => `${name} ${(ms / 1000).toFixed(1)} s`)
      .join(', ')}\n`,
  );
  process.exitCode = lost + doubled > 0 ? 1 : 0;
});
