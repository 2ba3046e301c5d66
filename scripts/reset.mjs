import { existsSync, rmSync } from 'node:fs';
import path from 'node:path';
import readline from 'node:readline/promises';
import { startCluster } from './lib/cluster.mjs';
import { INSTALLATION } from './lib/installation.mjs';
import { running } from './lib/running.mjs';
import { main, say, Trouble } from './lib/say.mjs';
import { HOME } from './lib/system.mjs';

await main(async () => {
  if (running())
    throw new Trouble('the application is running: stop it first (Ctrl-C where it was started).');
  if (!existsSync(path.join(HOME, 'database.json'))) {
    say('there is no data to empty.');
    return;
  }
  if (!process.argv.includes('--yes')) {
    const ask = readline.createInterface({ input: process.stdin, output: process.stdout });
    const answer = await ask.question(
      'This removes every record of this installation for good. Type "empty" to go on: ',
    );
    ask.close();
    if (answer.trim() !== 'empty') {
      say('nothing was changed.');
      return;
    }
  }
  const cluster = await startCluster('database');
  cluster.remove();
  const own = existsSync(INSTALLATION);
  rmSync(INSTALLATION, { force: true });
  say(
    `the data is gone. ${own ? 'npm run setup begins anew; npm start is' : 'npm start begins anew with'} the demo scenario.`,
  );
});
