import { existsSync } from 'node:fs';
import path from 'node:path';
import { binaries, startCluster } from './lib/cluster.mjs';
import { installation } from './lib/installation.mjs';
import { main, say, Trouble } from './lib/say.mjs';
import { HOME, installPackages, noteOf, runTypeScript } from './lib/system.mjs';

/** Puts a backup back into an empty place, brings it up to this version and checks it: npm run restore -- FILE */
await main(async () => {
  const file = process.argv[2] && path.resolve(process.argv[2]);
  if (!file) throw new Trouble('which backup? npm run restore -- FILE');
  for (const there of [path.join(HOME, 'database.json'), noteOf('database')])
    if (existsSync(there))
      throw new Trouble(
        `there is data here already (${there}), and it stays: restore into a fresh copy of the application.`,
      );
  if (!existsSync(file)) throw new Trouble(`${file} is not there.`);
  installPackages();
  // Looked at before anything is made: a torn backup leaves the place as empty as it was.
  runTypeScript('scripts/restore.ts', [file, '--look'], { sentence: 'nothing was restored' });
  const cluster = await startCluster('database');
  try {
    runTypeScript('scripts/restore.ts', [file], {
      sentence: 'nothing was restored',
      env: {
        ...cluster.prepareEnv('bricole'),
        BRICOLE_BIN: binaries(),
        BRICOLE_HOME: HOME,
      },
    });
  } catch (error) {
    cluster.remove();
    throw error;
  }
  try {
    say('bringing it up to this version');
    runTypeScript('scripts/prepare-database.ts', [], {
      sentence: 'it is restored, but could not be brought up to this version',
      env: cluster.prepareEnv('bricole'),
    });
    runTypeScript('scripts/check.ts', [], {
      sentence: 'it is restored, and something in it is not as it was kept: see above',
      env: { BRICOLE_DATABASE_URL: cluster.appUrl('bricole') },
    });
    say(`restored. ${installation() ? 'npm run serve' : 'npm start'} runs it.`);
  } finally {
    cluster.stop();
  }
});
