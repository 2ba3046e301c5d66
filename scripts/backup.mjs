import { existsSync } from 'node:fs';
import path from 'node:path';
import { binaries } from './lib/cluster.mjs';
import { main, say, Trouble } from './lib/say.mjs';
import { HOME, runTypeScript } from './lib/system.mjs';
import { withData } from './lib/with-data.mjs';

/** Keeps the whole installation in one file, also while it is in use: npm run backup -- /media/disk/bricole.tar */
await main(() =>
  withData((cluster) => {
    const stamp = new Date().toISOString().slice(0, 16).replace(/[-:]/gu, '').replace('T', '-');
    const file = path.resolve(process.argv[2] ?? `bricole-${stamp}.tar`);
    if (existsSync(file)) throw new Trouble(`${file} is there already, and stays: give another name.`);
    if (!existsSync(path.dirname(file))) throw new Trouble(`there is no folder ${path.dirname(file)}.`);
    say(`keeping everything in ${file}`);
    runTypeScript('scripts/backup.ts', [file], {
      sentence: 'nothing was kept',
      env: {
        BRICOLE_ROOT_URL: cluster.rootUrl('bricole'),
        BRICOLE_BIN: binaries(),
        BRICOLE_HOME: HOME,
      },
    });
  }),
);
