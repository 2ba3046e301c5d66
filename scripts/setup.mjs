import { running } from './lib/running.mjs';
import { main, Trouble } from './lib/say.mjs';
import { installPackages, runTypeScript } from './lib/system.mjs';

/** Makes an empty installation for a laboratory: npm run setup, or npm run setup -- answers.json */
await main(async () => {
  if (running())
    throw new Trouble('the application is running: stop it first (Ctrl-C where it was started).');
  installPackages();
  runTypeScript('scripts/setup.ts', process.argv.slice(2), {
    sentence: 'nothing was set up',
    asks: true,
  });
});
