import { mkdirSync } from 'node:fs';
import { prepareDemo, startApplication } from './lib/application.mjs';
import { startCluster } from './lib/cluster.mjs';
import { main, say } from './lib/say.mjs';
import { buildApplication, HOME, installPackages, runTypeScript } from './lib/system.mjs';

// The large data set stands in a cluster of its own and stays there: filled once, measured as often as one likes.
//   --seed-only fills it; --empty takes it away; everything else is passed on to the measuring.
await main(async () => {
  mkdirSync(HOME, { recursive: true });
  installPackages();
  const args = process.argv.slice(2);
  const cluster = await startCluster('large-database', {
    durable: false,
    settings: ['shared_preload_libraries=pg_stat_statements', 'shared_buffers=512MB'],
  });
  const env = cluster.prepareEnv('bricole');
  let application;
  try {
    if (args.includes('--empty')) return cluster.remove();
    prepareDemo(cluster);
    const seeding = args.filter((each) => each !== '--seed-only');
    runTypeScript('scripts/seed-large.ts', seeding, {
      sentence: 'the large data set could not be filled in',
      env,
    });
    if (args.includes('--seed-only')) return;
    buildApplication();
    application = await startApplication({
      databaseUrl: cluster.appUrl('bricole'),
      secret: 'only-for-this-bench-0123456789abcdef',
      port: 3970,
      env: { BRICOLE_DEMO: '1' },
    });
    await application.ready();
    say('measuring pages');
    runTypeScript('scripts/lib/measure-pages.ts', args, {
      sentence: 'the pages could not be measured',
      env: { ...env, BRICOLE_URL: application.url },
    });
  } finally {
    await application?.end();
    if (!args.includes('--empty') && !cluster.running) cluster.stop();
  }
});
