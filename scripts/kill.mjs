import { mkdirSync, readFileSync } from 'node:fs';
import { setTimeout as pause } from 'node:timers/promises';
import pg from 'pg';
import { prepareDemo, startApplication } from './lib/application.mjs';
import { startCluster } from './lib/cluster.mjs';
import { Devices, openRuns, signIn } from './lib/devices.mjs';
import { main, say } from './lib/say.mjs';
import { buildApplication, HOME, installPackages } from './lib/system.mjs';

// Saves readings without a pause while every process of the application is killed in turn, and left to the supervisor.
// Counts what was acknowledged against what is there (an acknowledged reading is never lost and never doubled), and the
// longest time in which none could be saved.
//   npm run kill -- --kills 30
const at = process.argv.indexOf('--kills');
const KILLS = at < 0 ? 30 : Number(process.argv[at + 1]);

await main(async () => {
  mkdirSync(HOME, { recursive: true });
  installPackages();
  const cluster = await startCluster('kill-database', { noted: false });
  prepareDemo(cluster);
  buildApplication();
  const application = await startApplication({
    databaseUrl: cluster.appUrl('bricole'),
    secret: 'only-for-these-kills-0123456789abcdef',
    port: 3960,
    cluster: { name: 'kill-database', running: cluster },
    name: 'kill-standing',
    webs: 2,
    env: { BRICOLE_DEMO: '1' },
  });
  await application.ready();
  const asked = async (what) => {
    const client = new pg.Client({ connectionString: cluster.rootUrl('bricole') });
    await client.connect();
    return what(client).finally(() => client.end());
  };
  const parts = () => JSON.parse(readFileSync(application.standing, 'utf8')).parts;
  const { url } = application;
  const devices = new Devices(() => url, await signIn(url), await asked((client) => openRuns(client, 8)));
  const names = parts().map(({ name }) => name);
  const stood = new Map(names.map((name) => [name, 0]));
  for (let kill = 0; kill < KILLS; kill += 1) {
    await pause(1000 + Math.random() * 2000);
    const name = names[kill % names.length];
    const before = devices.acknowledged.size;
    const killed = Date.now();
    process.kill(parts().find((each) => each.name === name).pid, 'SIGKILL');
    // Over when everything runs again and a reading is saved after what was on its way.
    await pause(600);
    const still = devices.acknowledged.size;
    while (devices.acknowledged.size === still || parts().some(({ state }) => state !== 'running'))
      await pause(20);
    const longest = devices.longest(killed);
    stood.set(name, Math.max(stood.get(name), longest));
    say(
      `${kill + 1}: ${name} killed after ${before} readings; longest without one ${(longest / 1000).toFixed(1)} s`,
    );
  }
  await pause(1500);
  await devices.stop();
  const { lost, doubled } = await asked((client) => devices.held(client));
  await application.end();
  cluster.remove();
  const words = [...stood].map(([name, ms]) => `${name} ${(ms / 1000).toFixed(1)} s`).join(', ');
  process.stdout.write(
    `${KILLS} kills; ${devices.acknowledged.size} readings acknowledged, ${lost} lost, ${doubled} doubled; longest without one: ${words}\n`,
  );
  process.exitCode = lost + doubled > 0 ? 1 : 0;
});
