import { spawnSync } from 'node:child_process';
import { mkdirSync } from 'node:fs';
import { startApplication } from './lib/application.mjs';
import { startCluster } from './lib/cluster.mjs';
import { main, say, Trouble } from './lib/say.mjs';
import { buildApplication, HOME, installPackages, PROJECT, run } from './lib/system.mjs';

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
  const tsx = 'node_modules/tsx/dist/cli.mjs';
  const env = cluster.prepareEnv('bricole');
  let application;
  try {
    if (args.includes('--empty')) return cluster.remove();
    run('node', [tsx, 'scripts/prepare-database.ts', '--demo'], { env });
    const seeding = args.filter((each) => each !== '--seed-only');
    run('node', [tsx, 'scripts/seed-large.ts', ...seeding], {
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
    const { status } = spawnSync('node', [tsx, 'scripts/lib/measure-pages.ts', ...args], {
      cwd: PROJECT,
      stdio: ['ignore', 'inherit', 'inherit'],
      env: { ...process.env, ...env, BRICOLE_URL: application.url },
    });
    if (status !== 0) throw new Trouble('the pages could not be measured');
  } finally {
    await application?.end();
    if (!args.includes('--empty') && !cluster.running) cluster.stop();
  }
});
