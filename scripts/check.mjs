import { existsSync } from 'node:fs';
import path from 'node:path';
import { startCluster } from './lib/cluster.mjs';
import { main, say } from './lib/say.mjs';
import { HOME, installPackages, runTypeScript } from './lib/system.mjs';

/** Checks the chain of the trail, records beside it, files, signed reports and projections: npm run check -- --known HASH */
await main(async () => {
  if (!existsSync(path.join(HOME, 'database.json'))) {
    say('there is no data yet: npm start makes it.');
    return;
  }
  installPackages();
  const cluster = await startCluster('database');
  try {
    runTypeScript('scripts/check.ts', process.argv.slice(2), {
      sentence: 'something is not as it was kept: see above',

      env: { BRICOLE_DATABASE_URL: cluster.appUrl('bricole') },
    });
  } finally {
    if (!cluster.running) cluster.stop();
  }
});
