import { rmSync } from 'node:fs';
import path from 'node:path';
import pg from 'pg';
import { asPostgres, binaries } from './cluster.mjs';
import { Trouble } from './say.mjs';
import { freePort } from './system.mjs';

/**
 * A standby of a private cluster by PostgreSQL's own streaming replication, on loopback. From then on a commit is
 * acknowledged only when the standby has it too.
 * @param cluster as startCluster gave it
 * @returns its port, addresses, and how to promote and remove it
 */
export async function startStandby(cluster) {
  const bin = binaries();
  const address = new URL(cluster.rootUrl('postgres'));
  const { password } = address;
  address.password = '';
  const data = path.join(path.dirname(cluster.data), 'standby');
  const ran = (program, ...args) => {
    // A list of processes would show a password that stands in an address.
    const done = asPostgres(`${bin}/${program}`, args, { PGPASSWORD: password });
    if (done.status !== 0) throw new Trouble(`${program} failed:\n${done.stdout}${done.stderr}`);
  };
  asPostgres('rm', ['-rf', data]);
  ran(
    'pg_basebackup',
    '-d',
    `${address.href}?application_name=standby`,
    '-D',
    data,
    '-R',
    '-X',
    'stream',
    '-c',
    'fast',
  );
  const port = await freePort(cluster.port + 20);
  const options = `-p ${port} -c listen_addresses=127.0.0.1 -c unix_socket_directories='' -c max_connections=120`;
  ran('pg_ctl', '-D', data, '-w', '-l', path.join(path.dirname(data), 'standby.log'), '-o', options, 'start');
  const root = new pg.Client({ connectionString: cluster.rootUrl('postgres') });
  await root.connect();
  await root.query("ALTER SYSTEM SET synchronous_standby_names = 'standby'");
  await root.query('SELECT pg_reload_conf()');
  await root.end();
  const there = (url) => Object.assign(new URL(url), { port: String(port) }).href;
  return {
    port,
    rootUrl: (database) => there(cluster.rootUrl(database)),
    appUrl: (database) => there(cluster.appUrl(database)),
    /** Makes it the one that is written to; it waits for no standby of its own. */
    promote: async () => {
      ran('pg_ctl', '-D', data, '-w', 'promote');
      const own = new pg.Client({ connectionString: there(cluster.rootUrl('postgres')) });
      await own.connect();
      await own.query("ALTER SYSTEM SET synchronous_standby_names = ''");
      await own.query('SELECT pg_reload_conf()');
      await own.end();
    },
    remove: () => {
      asPostgres(`${bin}/pg_ctl`, ['-D', data, '-m', 'immediate', '-w', 'stop']);
      rmSync(data, { recursive: true, force: true });
    },
  };
}
