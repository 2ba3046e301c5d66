import { KEPT_MS } from './kept.mjs';
import { pressFeeds, startPresses } from './presses.mjs';
import { freePort, runTypeScript, start, stop, waitForServer } from './system.mjs';

/** Makes the application's database in a cluster, with the demo scenario when it is new; data that is there is kept. */
export function prepareDemo(cluster) {
  runTypeScript('scripts/prepare-database.ts', ['--demo'], {
    sentence: 'the database could not be prepared',
    env: cluster.prepareEnv('bricole'),
  });
}

/**
 * Starts everything the application is made of: stand-in presses and the recorder, which streams live readings too, the
 * web server, and the gateway before both.
 * @param {{ databaseUrl: string, secret: string, port: number, dev?: boolean, env?: Record<string, string> }} options
 * @returns its address, the processes, and how to end them; it answers when `ready` has come
 */
export async function startApplication({ databaseUrl, secret, port: wanted, dev = false, env = {} }) {
  const port = await freePort(wanted);
  const pages = await freePort(13_000);
  const live = await freePort(13_500);
  const url = process.env.BRICOLE_URL ?? `http://127.0.0.1:${port}`;
  const feeds = await pressFeeds();
  const shared = {
    BRICOLE_DATABASE_URL: databaseUrl,
    BRICOLE_URL: url,
    BRICOLE_SECRET: secret,
    BRICOLE_FEEDS: feeds,
    ...env,
  };
  const presses = startPresses({ ...shared, BRICOLE_LIVE_PORT: String(live) });
  const web = start(
    'node',
    [
      'node_modules/next/dist/bin/next',
      ...(dev ? ['dev'] : ['start', '--keepAliveTimeout', String(KEPT_MS)]),
      '-H',
      '127.0.0.1',
      '-p',
      String(pages),
    ],
    { ...shared, NEXT_TELEMETRY_DISABLED: '1' },
  );
  const gateway = start('node', ['scripts/gateway.mjs'], {
    BRICOLE_PORT: String(port),
    BRICOLE_PAGES: `http://127.0.0.1:${pages}`,
    BRICOLE_LIVE: `http://127.0.0.1:${live}`,
  });
  return {
    url,
    web,
    gateway,
    ready: async () => {
      await waitForServer(`http://127.0.0.1:${pages}/api/health`, web);
      await waitForServer(`http://127.0.0.1:${port}/api/health`, gateway);
    },
    /** Ends a part, or all, without a word of warning, as a power cut would. */
    kill: async (part) => {
      const all = part === 'recorder' ? presses.slice(-1) : [web, gateway, ...presses];
      for (const each of all) {
        try {
          process.kill(-each.pid, 'SIGKILL');
        } catch {
          // It was gone already.
        }
      }
      await new Promise((resolve) => setTimeout(resolve, 100));
    },
    end: async () => {
      await stop(gateway);
      await stop(web);
      for (const each of presses) await stop(each);
    },
  };
}
