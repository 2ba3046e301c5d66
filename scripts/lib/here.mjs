import { randomBytes } from 'node:crypto';
import { existsSync, mkdirSync, readFileSync, writeFileSync } from 'node:fs';
import path from 'node:path';
import { startApplication } from './application.mjs';
import { startCluster } from './cluster.mjs';
import { forgetRunning, noteRunning, running } from './running.mjs';
import { say } from './say.mjs';
import { buildApplication, HOME, installPackages } from './system.mjs';

/** A secret for signing sessions, made once and kept with the data. */
function secret() {
  const file = path.join(HOME, 'secret');
  if (!existsSync(file)) writeFileSync(file, randomBytes(32).toString('hex'), { mode: 0o600 });
  return readFileSync(file, 'utf8').trim();
}

/**
 * Runs the application of this copy until it is told to end, with its private database, or with one that
 * BRICOLE_DATABASE_URL names.
 * @param {{ dev?: boolean, prepare(cluster: object): void, options: object, greet(url: string): void }} about `prepare`
 *   brings the private database up to this version; `options` of the application; `greet` says that it answers
 */
export async function runHere({ dev = false, prepare, options, greet }) {
  const there = running();
  if (there) {
    say(`it is running already: ${there.url}`);
    return;
  }
  mkdirSync(HOME, { recursive: true });
  installPackages();
  const elsewhere = process.env.BRICOLE_DATABASE_URL;
  const cluster = elsewhere ? undefined : await startCluster('database');
  let application;
  let ending = false;
  const end = async () => {
    await application?.end();
    if (!application) cluster?.stop();
    forgetRunning();
  };
  for (const signal of ['SIGINT', 'SIGTERM', 'SIGHUP'])
    process.on(signal, async () => {
      if (ending) return;
      ending = true;
      say('stopping');
      await end();
      process.exit(0);
    });
  try {
    if (cluster) {
      say('preparing the database');
      prepare(cluster);
    }
    if (!dev) buildApplication();
    application = await startApplication({
      databaseUrl: elsewhere ?? cluster.appUrl('bricole'),
      secret: process.env.BRICOLE_SECRET ?? secret(),
      ...(cluster ? { cluster: { name: 'database', running: cluster } } : {}),
      dev,
      ...options,
    });
    noteRunning(application.url);
    await application.ready();
    greet(application.url);
  } catch (error) {
    if (ending) return;
    ending = true;
    await end();
    throw error;
  }
}
