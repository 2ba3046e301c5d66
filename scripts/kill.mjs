import { randomUUID } from 'node:crypto';
import { mkdirSync } from 'node:fs';
import pg from 'pg';
import { prepareDemo, startApplication } from './lib/application.mjs';
import { startCluster } from './lib/cluster.mjs';
import { main, say, Trouble } from './lib/say.mjs';
import { buildApplication, HOME, installPackages } from './lib/system.mjs';

// Saves readings without a pause while the web server, the database and the recorder are killed in the middle, and counts
// what was acknowledged against what is there: an acknowledged reading is never lost and never doubled.
//   npm run kill -- --kills 20
const at = process.argv.indexOf('--kills');
const KILLS = at < 0 ? 20 : Number(process.argv[at + 1]);
const PASSWORD = 'quay-lantern-tide';
const SECRET = 'only-for-these-kills-0123456789abcdef';

await main(async () => {
  mkdirSync(HOME, { recursive: true });
  installPackages();
  let cluster = await startCluster('kill-database');
  prepareDemo(cluster);
  buildApplication();
  const begin = async () => {
    const application = await startApplication({
      databaseUrl: cluster.appUrl('bricole'),
      secret: SECRET,
      port: 3960,
      env: { BRICOLE_DEMO: '1' },
    });
    await application.ready();
    return application;
  };
  let application = await begin();
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
  let cookie = await signIn();
  const acknowledged = new Set();
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
          based = body.saved[0].seq;
          waiting = undefined;
        } else if (answer.status === 409 && body.theirs) waiting.basedOn = body.theirs.seq;
      } catch {
        await new Promise((resolve) => setTimeout(resolve, 50));
      }
    }
  };
  const devices = rows.map(device);
  for (let kill = 0; kill < KILLS; kill += 1) {
    await new Promise((resolve) => setTimeout(resolve, 700 + Math.random() * 900));
    const what = ['web', 'database', 'recorder'][kill % 3];
    if (what === 'database') {
      cluster.kill();
      cluster = await startCluster('kill-database');
      await application.kill();
      application = await begin();
    } else {
      await application.kill(what);
      if (what === 'web') application = await begin();
    }
    if (what !== 'recorder') cookie = await signIn().catch(() => cookie);
    say(`${kill + 1}: ${what} killed; ${acknowledged.size} acknowledged so far`);
  }
  await new Promise((resolve) => setTimeout(resolve, 1500));
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
    `${KILLS} kills; ${acknowledged.size} readings acknowledged, ${lost} lost, ${doubled} doubled\n`,
  );
  process.exitCode = lost + doubled > 0 ? 1 : 0;
});
