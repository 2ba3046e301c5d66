import { mkdirSync } from 'node:fs';
import { prepareDemo, startApplication } from './lib/application.mjs';
import { startCluster } from './lib/cluster.mjs';
import { main, say } from './lib/say.mjs';
import { buildApplication, HOME, installPackages, runTypeScript } from './lib/system.mjs';

// An application of its own with the demo scenario, attacked and thrown away: the laboratory's data is never touched.
await main(async () => {
  mkdirSync(HOME, { recursive: true });
  installPackages();
  const cluster = await startCluster('fuzz-database', { durable: false });
  let application;
  try {
    prepareDemo(cluster);
    buildApplication();
    application = await startApplication({
      databaseUrl: cluster.appUrl('bricole'),
      secret: 'only-for-this-attack-0123456789abcdef',
      port: 3950,
      env: { BRICOLE_DEMO: '1' },
    });
    await application.ready();
    say('sending what nobody should send');
    runTypeScript('scripts/lib/fuzz.ts', process.argv.slice(2), {
      sentence: 'the attack found something, or could not go on',
      env: { BRICOLE_URL: application.url, BRICOLE_DATABASE_URL: cluster.appUrl('bricole') },
    });
  } finally {
    await application?.end();
    cluster.remove();
  }
});
