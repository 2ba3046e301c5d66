import { randomBytes } from 'node:crypto';
import { cpSync, existsSync, mkdtempSync, readFileSync, rmSync, statSync, writeFileSync } from 'node:fs';
import { tmpdir } from 'node:os';
import path from 'node:path';
import { drizzle } from 'drizzle-orm/node-postgres';
import { migrate } from 'drizzle-orm/node-postgres/migrator';
import pg from 'pg';
import { afterAll, beforeAll, describe, expect, it } from 'vitest';
import { migrateDatabase } from '@/db/migrate';
import { checkRows } from '@/server/check/rows';
import { checkTrail } from '@/server/check/trail';
import { freshDatabase } from '@/testing/database';
import { AT_28_DAYS, breakSpecimen, makeSample, makeSite, type Site } from '@/testing/site';
import { backupTo, openBackup, restoreDump } from './lib/backup';
import { sumsApart } from './lib/checksums';
import { binaries } from './lib/cluster.mjs';

const bin = binaries();
const folder = mkdtempSync(path.join(tmpdir(), 'bricole-backup-test-'));
const file = path.join(folder, 'whole.tar');
const home = mkdtempSync(path.join(folder, 'home-'));
const made: string[] = [];
/** A database of the test cluster, as the superuser. */
function rootOf(name: string): string {
  const url = new URL(process.env.BRICOLE_TEST_ROOT_URL ?? '');
  url.pathname = `/${name}`;
  return url.href;
}
const newName = (): string => {
  const name = `back_${randomBytes(5).toString('hex')}`;
  made.push(name);
  return name;
};
async function asRoot<T>(name: string, work: (client: pg.Client) => Promise<T>): Promise<T> {
  const client = new pg.Client({ connectionString: rootOf(name) });
  await client.connect();
  return work(client).finally(() => client.end());
}

let fresh: Awaited<ReturnType<typeof freshDatabase>>;
let site: Site;
const source = (): string => rootOf(new URL(fresh.url).pathname.slice(1));
const keep = (to = file) => backupTo(to, { rootUrl: source(), bin, home, application: '0.1.0' });

beforeAll(async () => {
  writeFileSync(path.join(home, 'secret'), 'f00d');
  writeFileSync(path.join(home, 'installation.json'), '{"port": 3000}');
  fresh = await freshDatabase();
  site = await makeSite(fresh.db, 'BAK');
  const { specimenIds } = await makeSample(site);
  for (const id of specimenIds) await breakSpecimen(site, id, '58,300', AT_28_DAYS);
});
afterAll(async () => {
  await asRoot('postgres', async (client) => {
    for (const name of made) await client.query(`DROP DATABASE IF EXISTS ${name} WITH (FORCE)`);
  });
  await fresh?.close();
  rmSync(folder, { recursive: true, force: true });
});

describe('a backup', () => {
  it('comes back with identical checksums, its key, and a trail that goes on', async () => {
    const manifest = await keep();
    expect(statSync(file).mode & 0o777).toBe(0o600);
    expect(manifest.tables.find(({ table }) => table === 'public.readings')?.rows).toBeGreaterThan(10);
    const backup = await openBackup(file);
    const name = newName();
    try {
      expect(backup.beside).toEqual({ secret: 'f00d', 'installation.json': '{"port": 3000}' });
      const { tables } = await restoreDump(backup, { rootUrl: rootOf(name), bin });
      expect(tables).toBe(manifest.tables.length);
    } finally {
      backup.close();
    }
    // Nothing is left lying beside it.
    expect(existsSync(backup.dump)).toBe(false);
    await asRoot(name, async (client) => {
      const db = drizzle(client) as unknown as typeof fresh.db;
      const { faults, notes } = await checkTrail(db, manifest.trail);
      expect([faults, notes]).toEqual([[], [`newest hash ${manifest.trail}`]]);
      expect((await checkRows(db)).faults).toEqual([]);
      // The rules came along: what may not be changed cannot be, and what is written is sealed.
      await expect(client.query(`UPDATE readings SET text = 'x'`)).rejects.toThrow(/append only/u);
      await client.query(`UPDATE jobs SET name = 'After the restore'`);
      expect((await checkTrail(db, manifest.trail)).faults).toEqual([]);
    });
  });
  it('is of one moment, while others write', async () => {
    const busy = { on: true };
    const writes = (async () => {
      for (let at = 0; busy.on; at += 1)
        await fresh.db.execute(`UPDATE jobs SET location = 'Place ${at}' WHERE id = '${site.jobId}'`);
    })();
    const other = path.join(folder, 'busy.tar');
    await keep(other);
    busy.on = false;
    await writes;
    const backup = await openBackup(other);
    await restoreDump(backup, { rootUrl: rootOf(newName()), bin }).finally(() => backup.close());
  });
  it('of a version before comes back as it was, and is brought up to this one', async () => {
    const older = mkdtempSync(path.join(folder, 'older-'));
    cpSync('src/db/migrations', older, { recursive: true });
    const journal = path.join(older, 'meta/_journal.json');
    const { entries, ...rest } = JSON.parse(readFileSync(journal, 'utf8')) as { entries: { idx: number }[] };
    // Before the trail was a chain.
    writeFileSync(journal, JSON.stringify({ ...rest, entries: entries.filter(({ idx }) => idx < 14) }));
    const name = newName();
    const owner = new URL(process.env.BRICOLE_TEST_OWNER_URL ?? '');
    owner.pathname = `/${name}`;
    await asRoot('postgres', (client) => client.query(`CREATE DATABASE ${name} OWNER bricole_owner`));
    const pool = new pg.Pool({ connectionString: owner.href, max: 1 });
    await migrate(drizzle(pool), { migrationsFolder: older }).finally(() => pool.end());
    await asRoot(name, (client) =>
      client.query(`INSERT INTO people (id, name, email, role)
        SELECT gen_random_uuid()::text, 'P ' || i, 'p' || i || '@test.example', 'field' FROM generate_series(1, 5) i`),
    );
    const old = path.join(folder, 'old.tar');
    const manifest = await backupTo(old, { rootUrl: rootOf(name), bin, home, application: '0.0.9' });
    expect([manifest.trail, manifest.migrations]).toEqual(['', 14]);
    const again = newName();
    const backup = await openBackup(old);
    await restoreDump(backup, { rootUrl: rootOf(again), bin }).finally(() => backup.close());
    owner.pathname = `/${again}`;
    await migrateDatabase(owner.href);
    await asRoot(again, async (client) => {
      const { count, faults } = await checkTrail(drizzle(client) as unknown as typeof fresh.db);
      expect([count, faults]).toEqual([5, []]);
    });
  });
  it('is never put over data, and what is torn or none is not put back at all', async () => {
    const backup = await openBackup(file);
    await expect(restoreDump(backup, { rootUrl: source(), bin })).rejects.toThrow(
      /into an empty place only/u,
    );
    // A dump of something else than what was kept: it is taken away again.
    const name = newName();
    const [first, ...others] = backup.manifest.tables;
    const other = { ...backup.manifest, tables: [{ ...first, rows: 7 } as typeof first & object, ...others] };
    await expect(restoreDump({ ...backup, manifest: other }, { rootUrl: rootOf(name), bin })).rejects.toThrow(
      /what came back is not what was kept/u,
    );
    backup.close();
    await asRoot('postgres', async (client) => {
      const { rowCount } = await client.query('SELECT FROM pg_database WHERE datname LIKE $1', [`${name}%`]);
      expect(rowCount).toBe(0);
    });
    const torn = path.join(folder, 'torn.tar');
    const bytes = readFileSync(file);
    // A byte in the middle of the dump.
    bytes.writeUInt8(bytes.readUInt8(bytes.length >> 1) ^ 255, bytes.length >> 1);
    writeFileSync(torn, bytes);
    await expect(openBackup(torn)).rejects.toThrow(/is torn/u);
    writeFileSync(torn, bytes.subarray(0, 3000));
    await expect(openBackup(torn)).rejects.toThrow(/no backup, or not a whole one|is torn/u);
    writeFileSync(torn, 'something else');
    await expect(openBackup(torn)).rejects.toThrow(/is no backup/u);
    await expect(openBackup(path.join(folder, 'nowhere'))).rejects.toThrow(/is not there/u);
  });
});

it('checksums say which table is another, has other rows or is missing', () => {
  const kept = ['a', 'b', 'c', 'd'].map((table) => ({ table, rows: 2, sum: '9' }));
  const found = [
    { table: 'a', rows: 2, sum: '9' },
    { table: 'b', rows: 3, sum: '9' },
    { table: 'c', rows: 2, sum: '8' },
  ];
  expect(sumsApart(kept, found)).toEqual([
    'b has 3 rows, kept were 2.',
    'c: what stands in it is not what was kept.',
    'd is missing.',
  ]);
});
