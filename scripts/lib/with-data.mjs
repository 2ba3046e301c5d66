import { existsSync } from 'node:fs';
import path from 'node:path';
import { startCluster } from './cluster.mjs';
import { say } from './say.mjs';
import { HOME, installPackages } from './system.mjs';

/** Does something with the database of this installation, running or not; where there is none yet it says so. */
export async function withData(work) {
  if (!existsSync(path.join(HOME, 'database.json'))) {
    say('there is no data yet: npm start makes it.');
    return;
  }
  installPackages();
  const cluster = await startCluster('database');
  try {
    await work(cluster);
  } finally {
    if (!cluster.running) cluster.stop();
  }
}
