import { randomBytes } from 'node:crypto';
import { existsSync, mkdirSync, readFileSync, writeFileSync } from 'node:fs';
import path from 'node:path';
import { prepareDemo, startApplication } from './lib/application.mjs';
import { startCluster } from './lib/cluster.mjs';
import { forgetRunning, noteRunning, running } from './lib/running.mjs';
import { main, say } from './lib/say.mjs';
import { buildApplication, HOME, installPackages, runTypeScript } from './lib/system.mjs';

const dev = process.argv.includes('--dev');
/** A secret for signing sessions, made once and kept with the data. */
function secret() {
  const file = path.join(HOME, 'secret');
  if (!existsSync(file)) writeFileSync(file, randomBytes(32).toString('hex'), { mode: 0o600 });
  return readFileSync(file, 'utf8').trim();
}

await main(async () => {
  const there = running();
  if (there) {
    say(`it is running already: ${there.url}`);
    return;
  }
  mkdirSync(HOME, { recursive: true });
  installPackages();
  const cluster = await startCluster('database');
  let application;
  let ending = false;
  const end = async (code) => {
    if (ending) return;
    ending = true;
    say('stopping');
    await application?.end();
    if (!cluster.running) cluster.stop();
    forgetRunning();
    process.exit(code);
  };
  for (const signal of ['SIGINT', 'SIGTERM', 'SIGHUP']) process.on(signal, () => void end(0));
  try {
    const databaseUrl = cluster.appUrl('bricole');
    say('preparing the database');
    prepareDemo(cluster);
    if (!dev) buildApplication();
    application = await startApplication({
      databaseUrl,
      secret: secret(),
      port: Number(process.env.PORT ?? 3000),
      dev,
      env: { BRICOLE_DEMO: '1' },
    });
    const { url } = application;
    for (const each of [application.web, application.gateway]) each.on('exit', (code) => void end(code ?? 1));
    noteRunning(url);
    await application.ready();
    runTypeScript('scripts/print-sign-ins.ts', [], { env: { BRICOLE_URL: url } });
  } catch (error) {
    if (!ending) {
      ending = true;
      await application?.end();
      if (!cluster.running) cluster.stop();
      throw error;
    }
  }
});
