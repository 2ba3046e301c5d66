import { spawnSync } from 'node:child_process';
import { mkdirSync } from 'node:fs';
import { startApplication } from './lib/application.mjs';
import { startCluster } from './lib/cluster.mjs';
import { main, say } from './lib/say.mjs';
import { buildApplication, HOME, installPackages, PROJECT, run } from './lib/system.mjs';

// An application of its own with the demo scenario, attacked and thrown away: the laboratory's data is never touched.
await main(async () => {
  mkdirSync(HOME, { recursive: true });
  installPackages();
  const cluster = await startCluster('fuzz-database', { durable: false });
  let application;
  try {
    run('node', ['node_modules/tsx/dist/cli.mjs', 'scripts/prepare-database.ts', '--demo'], {
      env: cluster.prepareEnv('bricole'),
    });
    buildApplication();
    application = await startApplication({
      databaseUrl: cluster.appUrl('bricole'),
      secret: 'only-for-this-attack-0123456789abcdef',
      port: 3950,
      env: { BRICOLE_DEMO: '1' },
    });
    await application.ready();
    say('sending what nobody should send');
    const { status } = spawnSync(
      'node',
      ['node_modules/tsx/dist/cli.mjs', 'scripts/lib/fuzz.ts', ...process.argv.slice(2)],
      {
        cwd: PROJECT,
        stdio: ['ignore', 'inherit', 'inherit'],
        env: {
          ...process.env,
          BRICOLE_URL: application.url,
          BRICOLE_DATABASE_URL: cluster.appUrl('bricole'),
        },
      },
    );
    process.exitCode = status ?? 1;
  } finally {
    await application?.end();
    cluster.remove();
  }
});
