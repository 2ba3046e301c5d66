import { availableParallelism } from 'node:os';
import { runHere } from './lib/here.mjs';
import { installation, placeProblem } from './lib/installation.mjs';
import { main, say, Trouble } from './lib/say.mjs';
import { runTypeScript } from './lib/system.mjs';

const MOST_WEBS = 4;

/** Runs the installation of a laboratory until it is told to end: npm run serve */
await main(async () => {
  const place = installation();
  if (!place) throw new Trouble('nothing is set up here yet: npm run setup asks what is needed.');
  const problem = placeProblem(place);
  if (problem) throw new Trouble(`${problem} Run npm run setup to put it right.`);
  const { url, listen, port, proxies = '', feeds = '', live } = place;
  // Pages are drawn by one processor each; more than a few want more memory than they save time.
  const webs = place.webs ?? Math.min(availableParallelism(), MOST_WEBS);
  await runHere({
    prepare: (cluster) =>
      runTypeScript('scripts/prepare-database.ts', ['--laboratory'], {
        sentence: 'the database could not be brought up to this version',
        env: cluster.prepareEnv('bricole'),
      }),
    options: { url, listen, port, exact: true, proxies, feeds, webs, ...(live ? { live } : {}) },
    greet: () =>
      say(
        `it answers at ${url} (listening on ${listen}:${port}). Ctrl-C, or a TERM signal, stops it; the data stays.`,
      ),
  });
});
