import { mkdirSync } from 'node:fs';
import pg from 'pg';
import { prepareDemo, startApplication } from './application.mjs';
import { startCluster } from './cluster.mjs';
import { buildApplication, HOME, installPackages } from './system.mjs';

/**
 * The whole application on the demo in a cluster of its own, for a trial that may break it; nothing of it stays.
 * @param {string} name of the trial @param {{ port: number, webs: number }} options
 * @returns the application, how long it took until it answered, ms, `asked` (does something with its database as the
 *   superuser), and how to end it
 */
export async function ownDemo(name, { port, webs }) {
  mkdirSync(HOME, { recursive: true });
  installPackages();
  const database = `${name}-database`;
  const cluster = await startCluster(database, { noted: false });
  prepareDemo(cluster);
  buildApplication();
  const begun = Date.now();
  const application = await startApplication({
    databaseUrl: cluster.appUrl('bricole'),
    secret: `only-for-this-${name}-0123456789abcdef`,
    cluster: { name: database, running: cluster },
    name: `${name}-standing`,
    env: { BRICOLE_DEMO: '1' },
    port,
    webs,
  });
  await application.ready();
  return {
    application,
    took: Date.now() - begun,
    asked: async (what) => {
      const client = new pg.Client({ connectionString: cluster.rootUrl('bricole') });
      await client.connect();
      return what(client).finally(() => client.end());
    },
    end: async () => {
      await application.end();
      cluster.remove();
    },
  };
}
