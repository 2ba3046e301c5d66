import { existsSync } from 'node:fs';
import path from 'node:path';
import { binaries, startCluster } from './lib/cluster.mjs';
import { main, say, Trouble } from './lib/say.mjs';
import { HOME, installPackages, runTypeScript } from './lib/system.mjs';

/** Keeps the whole installation in one file, also while it is in use: npm run backup -- /media/disk/bricole.tar */
await main(async () => {
  if (!existsSync(path.join(HOME, 'database.json'))) {
    say('there is no data yet: npm start makes it.');
    return;
  }
  const stamp = new Date().toISOString().slice(0, 16).replace(/[-:]/gu, '').replace('T', '-');
  const file = path.resolve(process.argv[2] ?? `bricole-${stamp}.tar`);
  if (existsSync(file)) throw new Trouble(`${file} is there already, and stays: give another name.`);
  if (!existsSync(path.dirname(file))) throw new Trouble(`there is no folder ${path.dirname(file)}.`);
  installPackages();
  const cluster = await startCluster('database');
  try {
    say(`keeping everything in ${file}`);
    runTypeScript('scripts/backup.ts', [file], {
      sentence: 'nothing was kept',
      env: {
        BRICOLE_ROOT_URL: cluster.rootUrl('bricole'),
        BRICOLE_BIN: binaries(),
        BRICOLE_SECRET_FILE: path.join(HOME, 'secret'),
      },
    });
  } finally {
    if (!cluster.running) cluster.stop();
  }
});
