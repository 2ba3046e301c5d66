import { spawnSync } from 'node:child_process';
import { createHash } from 'node:crypto';
import {
  createReadStream,
  existsSync,
  mkdtempSync,
  readFileSync,
  renameSync,
  rmSync,
  statSync,
  writeFileSync,
} from 'node:fs';
import path from 'node:path';
import pg from 'pg';
import { sumsApart, type TableSum, tableSums } from './checksums';
import { makeEmpty } from './databases';

/** What a backup says of itself: the first of its parts. */
export interface Manifest {
  readonly format: 'bricole-backup';
  readonly version: 1;
  readonly madeAt: string;
  /** Of the application that made it, and how many migrations its schema had. */
  readonly application: string;
  readonly migrations: number;
  readonly postgres: string;
  /** The newest hash of the audit trail; empty where there is none. */
  readonly trail: string;
  readonly tables: readonly TableSum[];
  /** SHA-256 of every other part. */
  readonly parts: Readonly<Record<string, string>>;
}

const DUMP = 'database.dump';
/** What stands beside the database: the key that sessions are signed with, where a laboratory's own is reached. */
const BESIDE = ['secret', 'installation.json'] as const;
const MANIFEST = 'manifest.json';

export class BackupTrouble extends Error {}

function run(command: string, args: readonly string[], url?: string): void {
  const password = url ? decodeURIComponent(new URL(url).password) : undefined;
  const done = spawnSync(command, args, {
    stdio: ['ignore', 'pipe', 'pipe'],
    encoding: 'utf8',
    env: { ...process.env, ...(password ? { PGPASSWORD: password } : {}) },
  });
  if (done.status !== 0)
    throw new BackupTrouble(
      `${path.basename(command)} failed: ${(done.stderr || String(done.error ?? '')).trim()}`,
    );
}

/** The address of a database without its password, which a list of processes would show. */
function withoutPassword(url: string): string {
  const bare = new URL(url);
  bare.password = '';
  return bare.href;
}

async function sha256(file: string): Promise<string> {
  const hash = createHash('sha256');
  for await (const part of createReadStream(file)) hash.update(part as Buffer);
  return hash.digest('hex');
}

/**
 * Keeps an installation in one file while it is in use: the database as it is at one moment, the key that sessions are signed
 * with, and what each of them has to come back as.
 * @param options.rootUrl of the database, as who may read everything @param options.bin folder of PostgreSQL's programs
 * @param options.home folder of what stands beside it (`BESIDE`); what is not there is not kept
 * @returns the manifest
 */
export async function backupTo(
  file: string,
  options: {
    readonly rootUrl: string;
    readonly bin: string;
    readonly home: string;
    readonly application: string;
  },
): Promise<Manifest> {
  const { rootUrl, bin, home, application } = options;
  const folder = mkdtempSync(`${path.resolve(file)}-`);
  const client = new pg.Client({ connectionString: rootUrl });
  await client.connect();
  try {
    // One moment for the dump and for its checksums, whatever is written meanwhile.
    await client.query('BEGIN ISOLATION LEVEL REPEATABLE READ READ ONLY');
    const { rows: shots } = await client.query<{ id: string }>('SELECT pg_export_snapshot() AS id');
    run(
      `${bin}/pg_dump`,
      [
        '-Fc',
        '--snapshot',
        shots[0]?.id ?? '',
        '-f',
        path.join(folder, DUMP),
        '-d',
        withoutPassword(rootUrl),
      ],
      rootUrl,
    );
    const one = async (text: string): Promise<string> => String((await client.query(text)).rows[0]?.it ?? '');
    const tables = await tableSums(client);
    const chained = tables.some(({ table }) => table === 'public.audit_chain');
    const beside = BESIDE.filter((name) => existsSync(path.join(home, name)));
    for (const name of beside)
      writeFileSync(path.join(folder, name), readFileSync(path.join(home, name)), { mode: 0o600 });
    const parts = [DUMP, ...beside];
    const manifest: Manifest = {
      ...{
        format: 'bricole-backup',
        version: 1,
        madeAt: await one(`SELECT to_char(now() AT TIME ZONE 'UTC', 'YYYY-MM-DD"T"HH24:MI:SS"Z"') AS it`),
        application,
      },
      migrations: Number(await one('SELECT count(*) AS it FROM drizzle.__drizzle_migrations')),
      postgres: await one("SELECT current_setting('server_version') AS it"),
      trail: chained ? await one('SELECT hash AS it FROM audit_chain ORDER BY place DESC LIMIT 1') : '',
      tables,
      parts: Object.fromEntries(
        await Promise.all(parts.map(async (part) => [part, await sha256(path.join(folder, part))] as const)),
      ),
    };
    writeFileSync(path.join(folder, MANIFEST), JSON.stringify(manifest, null, 2));
    run('tar', ['-cf', path.join(folder, 'whole'), '-C', folder, MANIFEST, ...parts]);
    // It is there whole or not at all, and only who made it reads it: it holds everything.
    run('chmod', ['600', path.join(folder, 'whole')]);
    renameSync(path.join(folder, 'whole'), file);
    return manifest;
  } finally {
    await client.end();
    rmSync(folder, { recursive: true, force: true });
  }
}

/** A backup laid out in a folder, every part held against its checksum. */
export async function openBackup(file: string): Promise<{
  readonly manifest: Manifest;
  readonly dump: string;
  /** What stood beside the database, by the name of its file. */
  readonly beside: Readonly<Record<string, string>>;
  close(): void;
}> {
  if (!existsSync(file) || !statSync(file).isFile()) throw new BackupTrouble(`${file} is not there.`);
  const folder = mkdtempSync(`${path.resolve(file)}-`);
  const close = (): void => rmSync(folder, { recursive: true, force: true });
  try {
    try {
      run('tar', ['-xf', file, '-C', folder, '--no-same-owner']);
    } catch {
      throw new BackupTrouble(`${file} is no backup, or not a whole one.`);
    }
    const text = path.join(folder, MANIFEST);
    const manifest = existsSync(text) ? (JSON.parse(readFileSync(text, 'utf8')) as Manifest) : undefined;
    if (manifest?.format !== 'bricole-backup') throw new BackupTrouble(`${file} is no backup of Bricole.`);
    if (manifest.version !== 1)
      throw new BackupTrouble(`${file} was made by a later version: restore it with that one.`);
    for (const [part, sum] of Object.entries(manifest.parts)) {
      const there = path.join(folder, part);
      if (!existsSync(there) || (await sha256(there)) !== sum)
        throw new BackupTrouble(`${file}: its part ${part} is torn. Take another backup.`);
    }
    const beside = Object.fromEntries(
      BESIDE.filter((name) => name in manifest.parts).map((name) => [
        name,
        readFileSync(path.join(folder, name), 'utf8'),
      ]),
    );
    return { manifest, dump: path.join(folder, DUMP), beside, close };
  } catch (error) {
    close();
    throw error;
  }
}

/**
 * Puts the database of a backup into a cluster that has none of its name, and holds it against what was kept.
 * @param options.rootUrl of the database that is to be; its roles are there already
 * @returns how many tables and rows came back, every one as it was kept
 * @throws BackupTrouble where there is a database already, or anything came back as another thing: then it is taken away again
 */
export async function restoreDump(
  { dump, manifest }: { readonly dump: string; readonly manifest: Manifest },
  { rootUrl, bin }: { readonly rootUrl: string; readonly bin: string },
): Promise<{ readonly tables: number; readonly rows: number }> {
  const at = (database: string): string => {
    const url = new URL(rootUrl);
    url.pathname = `/${database}`;
    return url.href;
  };
  const name = new URL(rootUrl).pathname.slice(1);
  const coming = `${name}_coming`;
  const root = new pg.Client({ connectionString: at('postgres') });
  await root.connect();
  try {
    const { rowCount } = await root.query('SELECT FROM pg_database WHERE datname = $1', [name]);
    if (rowCount !== 0)
      throw new BackupTrouble('there is a database already: a backup is restored into an empty place only.');
    const [own, whole] = [root.escapeIdentifier(coming), root.escapeIdentifier(name)];
    await makeEmpty(root, coming);
    run(`${bin}/pg_restore`, ['--exit-on-error', '-d', withoutPassword(at(coming)), dump], rootUrl);
    const client = new pg.Client({ connectionString: at(coming) });
    await client.connect();
    const found = await tableSums(client).finally(() => client.end());
    const apart = sumsApart(manifest.tables, found);
    if (apart.length > 0) {
      await root.query(`DROP DATABASE ${own} WITH (FORCE)`);
      throw new BackupTrouble(`what came back is not what was kept:\n${apart.join('\n')}`);
    }
    await root.query(`ALTER DATABASE ${own} RENAME TO ${whole}`);
    return { tables: found.length, rows: found.reduce((sum, { rows }) => sum + rows, 0) };
  } finally {
    await root.end();
  }
}
