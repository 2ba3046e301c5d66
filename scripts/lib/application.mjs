import path from 'node:path';
import { KEPT_MS } from './kept.mjs';
import { answering, command, database } from './parts.mjs';
import { pressFeeds, recorder, standIns } from './presses.mjs';
import { Trouble } from './say.mjs';
import { Supervisor } from './supervise.mjs';
import { freePort, HOME, isFree, runTypeScript, waitForServer } from './system.mjs';

/** Makes the application's database in a cluster, with the demo scenario when it is new; data that is there is kept. */
export function prepareDemo(cluster) {
  runTypeScript('scripts/prepare-database.ts', ['--demo'], {
    sentence: 'the database could not be prepared',
    env: cluster.prepareEnv('bricole'),
  });
}

/** A port from there on, below those that a system gives out by itself. */
const anywhere = (from) => from + Math.floor(Math.random() * 900);

/**
 * Starts everything the application is made of, and keeps it going: the web server, the recorder, which streams live
 * readings too, the stand-ins where there are any, the gateway before all of them, and the database where it is ours.
 * @param {{
 *   databaseUrl: string, secret: string,
 *   port: number, exact?: boolean, listen?: string, url?: string, proxies?: string,
 *   feeds?: string, live?: string, webs?: number,
 *   cluster?: { name: string, running: object },
 *   name?: string, dev?: boolean, env?: Record<string, string> }} options
 *   `exact`: on this port or not at all; `webs`: how many web servers, one for each processor that draws pages; `feeds`: machines to follow, in place of stand-ins; `live`: address of another
 *   server's recorder, in place of one of its own; `cluster`: the private database, to be kept too; `name` of the file
 *   in which it stands how each part is
 * @returns its address, what keeps it, and how to end it; it answers when `ready` has come
 */
export async function startApplication({
  databaseUrl,
  secret,
  port: wanted,
  exact = false,
  listen = '127.0.0.1',
  url: given,
  proxies = process.env.BRICOLE_TRUSTED_PROXIES ?? '',
  feeds: named = process.env.BRICOLE_FEEDS,
  live: elsewhere,
  webs = 1,
  cluster,
  name = 'standing',
  dev = false,
  env = {},
}) {
  if (exact && !(await isFree(wanted, listen)))
    throw new Trouble(
      `port ${wanted} of ${listen} is taken by another program, or not ours to take: end that one, or choose another port with npm run setup.`,
    );
  const port = exact ? wanted : await freePort(wanted);
  // Somewhere of their own: another copy that starts at this very moment has not taken its ports yet.
  const pages = [];
  while (pages.length < webs) pages.push(await freePort(anywhere(13_000 + 1000 * pages.length)));
  const own = await freePort(anywhere(22_000));
  const live = elsewhere ?? `http://127.0.0.1:${own}`;
  const url = given ?? process.env.BRICOLE_URL ?? `http://127.0.0.1:${port}`;
  const standing = path.join(HOME, `${name}.json`);
  const shared = {
    BRICOLE_DATABASE_URL: databaseUrl,
    BRICOLE_URL: url,
    BRICOLE_SECRET: secret,
    BRICOLE_FEEDS: named ?? (await pressFeeds()),
    BRICOLE_STANDING: standing,
    ...env,
  };
  const supervisor = new Supervisor(standing);
  const web = (port) =>
    command(
      'node',
      [
        'node_modules/next/dist/bin/next',
        ...(dev ? ['dev'] : ['start', '--keepAliveTimeout', String(KEPT_MS)]),
        '-H',
        '127.0.0.1',
        '-p',
        String(port),
      ],
      { ...shared, NEXT_TELEMETRY_DISABLED: '1' },
    );
  const addresses = pages.map((each) => `http://127.0.0.1:${each}`);
  const health = (address) => `${address}/api/health`;
  if (cluster) await supervisor.keep('database', database(cluster.name, cluster.running));
  if (named === undefined) await supervisor.keep('stand-ins', standIns(shared));
  if (!elsewhere) await supervisor.keep('recorder', recorder({ ...shared, BRICOLE_LIVE_PORT: String(own) }));
  for (const [index, each] of pages.entries())
    await supervisor.keep(
      webs === 1 ? 'web server' : `web server ${index + 1}`,
      answering(web(each), health(addresses[index])),
    );
  const gateway = {
    ...{ BRICOLE_PORT: String(port), BRICOLE_HOST: listen, BRICOLE_TRUSTED_PROXIES: proxies },
    ...{ BRICOLE_PAGES: addresses.join(), BRICOLE_LIVE: live, BRICOLE_STANDING: standing },
  };
  await supervisor.keep('gateway', command('node', ['scripts/gateway.mjs'], gateway));
  const door = `http://${['0.0.0.0', '::'].includes(listen) ? '127.0.0.1' : listen}:${port}`;
  return {
    ...{ feeds: shared.BRICOLE_FEEDS, live },
    url,
    door,
    standing,
    /** It answers; Trouble where it does not within a minute. */
    ready: async () => {
      for (const each of addresses) await waitForServer(health(each));
      await waitForServer(`${door}/api/health`);
    },
    end: () => supervisor.end(),
  };
}
