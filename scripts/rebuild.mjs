import { existsSync } from 'node:fs';
import path from 'node:path';
import { startCluster } from './lib/cluster.mjs';
import { main, say } from './lib/say.mjs';
import { HOME, installPackages, runTypeScript } from './lib/system.mjs';

/** Derives the projections anew from the records: what waits, and what is decided. */
await main(async () => {
  if (!existsSync(path.join(HOME, 'database.json'))) {
    say('there is no data yet: npm start makes it.');
    return;
  }
  installPackages();
  const cluster = await startCluster('database');
  try {
    runTypeScript('scripts/rebuild.ts', [], { env: { BRICOLE_DATABASE_URL: cluster.appUrl('bricole') } });
  } finally {
    if (!cluster.running) cluster.stop();
  }
});
