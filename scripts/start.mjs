import { randomBytes } from 'node:crypto';
import { existsSync, mkdirSync, readFileSync, rmSync, writeFileSync } from 'node:fs';
import path from 'node:path';
import { startCluster } from './lib/cluster.mjs';
import { pressFeeds, startPresses } from './lib/presses.mjs';
import { main, say } from './lib/say.mjs';
import {
  buildApplication,
  freePort,
  HOME,
  installPackages,
  run,
  start,
  stop,
  waitForServer,
} from './lib/system.mjs';

const dev = process.argv.includes('--dev');
const runFile = path.join(HOME, 'running.json');

function alreadyRunning() {
  if (!existsSync(runFile)) return undefined;
  const { pid, url } = JSON.parse(readFileSync(runFile, 'utf8'));
  try {
    process.kill(pid, 0);
    return url;
  } catch {
    return undefined;
  }
}

/** A secret for signing sessions, made once and kept with the data. */
function secret() {
  const file = path.join(HOME, 'secret');
  if (!existsSync(file)) writeFileSync(file, randomBytes(32).toString('hex'), { mode: 0o600 });
  return readFileSync(file, 'utf8').trim();
}

await main(async () => {
  const there = alreadyRunning();
  if (there) {
    say(`it is running already: ${there}`);
    return;
  }
  mkdirSync(HOME, { recursive: true });
  installPackages();
  const cluster = await startCluster('database');
  let server;
  let presses = [];
  let ending = false;
  const end = async (code) => {
    if (ending) return;
    ending = true;
    say('stopping');
    await stop(server);
    for (const each of presses) await stop(each);
    if (!cluster.running) cluster.stop();
    rmSync(runFile, { force: true });
    process.exit(code);
  };
  for (const signal of ['SIGINT', 'SIGTERM', 'SIGHUP']) process.on(signal, () => void end(0));
  try {
    const databaseUrl = cluster.appUrl('bricole');
    say('preparing the database');
    run('node', ['node_modules/tsx/dist/cli.mjs', 'scripts/prepare-database.ts', '--demo'], {
      sentence: 'the database could not be prepared',
      env: cluster.prepareEnv('bricole'),
    });
    if (!dev) buildApplication();
    const port = await freePort(Number(process.env.PORT ?? 3000));
    const url = `http://127.0.0.1:${port}`;
    const feeds = await pressFeeds();
    presses = startPresses(feeds, databaseUrl);
    server = start(
      'node',
      ['node_modules/next/dist/bin/next', dev ? 'dev' : 'start', '-H', '127.0.0.1', '-p', String(port)],
      {
        BRICOLE_DATABASE_URL: databaseUrl,
        BRICOLE_URL: url,
        BRICOLE_SECRET: secret(),
        BRICOLE_DEMO: '1',
        BRICOLE_FEEDS: feeds,
        NEXT_TELEMETRY_DISABLED: '1',
      },
    );
    server.on('exit', (code) => void end(code ?? 1));
    writeFileSync(runFile, JSON.stringify({ pid: process.pid, url }));
    await waitForServer(`${url}/api/health`, server);
    run('node', ['node_modules/tsx/dist/cli.mjs', 'scripts/print-sign-ins.ts'], {
      env: { BRICOLE_URL: url },
    });
  } catch (error) {
    if (!ending) {
      await stop(server);
      for (const each of presses) await stop(each);
      if (!cluster.running) cluster.stop();
      throw error;
    }
  }
});
