import { mkdtempSync, rmSync, writeFileSync } from 'node:fs';
import { tmpdir } from 'node:os';
import path from 'node:path';
import { afterAll, beforeAll, beforeEach, describe, expect, it } from 'vitest';
import { fromReader } from '@/db/client';
import { people } from '@/db/schema';
import { freshDatabase, personOf } from '@/testing/database';
import { wrongNow } from './health';

let fresh: Awaited<ReturnType<typeof freshDatabase>>;
const folder = mkdtempSync(path.join(tmpdir(), 'bricole-health-'));
const file = path.join(folder, 'standing.json');
const kept = { ...process.env };
const shared = globalThis as { bricoleDatabase?: unknown; bricoleReader?: unknown };

beforeAll(async () => {
  fresh = await freshDatabase();
});
beforeEach(() => {
  process.env.BRICOLE_DATABASE_URL = fresh.url;
  process.env.BRICOLE_STANDING = file;
  delete process.env.BRICOLE_READER_URL;
  delete shared.bricoleDatabase;
  delete shared.bricoleReader;
});
afterAll(async () => {
  process.env = kept;
  await (shared.bricoleDatabase as { pool: { end(): Promise<void> } } | undefined)?.pool.end();
  await (shared.bricoleReader as { pool: { end(): Promise<void> } } | undefined)?.pool.end();
  rmSync(folder, { recursive: true, force: true });
  await fresh?.close();
});
const standing = (wrong: string[]): void => writeFileSync(file, JSON.stringify({ pid: 1, wrong, parts: [] }));

describe('how the application is', () => {
  it('all right where every part runs', async () => {
    standing([]);
    expect(await wrongNow()).toEqual({ wrong: [], database: true });
  });

  it('says which part ended, in the words of who keeps it', async () => {
    standing(['Not running: recorder (ended by SIGKILL). It is started again by itself.']);
    expect((await wrongNow()).wrong).toEqual([
      'Not running: recorder (ended by SIGKILL). It is started again by itself.',
    ]);
  });

  it('says that the database is away, and that it keeps nobody else from being told', async () => {
    standing([]);
    process.env.BRICOLE_DATABASE_URL = 'postgres://nobody@127.0.0.1:9/none';
    expect(await wrongNow()).toEqual({ wrong: ['The database does not answer.'], database: false });
  });
});

describe('what may be a moment old', () => {
  const names = () => fromReader((db) => db.select({ name: people.name }).from(people));
  it('is asked of the database where there is no reader', async () => {
    await personOf(fresh.db, 'field', 'Ash');
    expect(await names()).toEqual([{ name: 'Ash' }]);
  });

  it('of the reader where there is one', async () => {
    const other = await freshDatabase();
    try {
      await personOf(other.db, 'field', 'Of the reader');
      process.env.BRICOLE_READER_URL = other.url;
      expect(await names()).toEqual([{ name: 'Of the reader' }]);
    } finally {
      await (shared.bricoleReader as unknown as { pool: { end(): Promise<void> } }).pool.end();
      delete shared.bricoleReader;
      await other.close();
    }
  });

  it('and of the database again while the reader is away; another mistake stays one', async () => {
    process.env.BRICOLE_READER_URL = 'postgres://nobody@127.0.0.1:9/none';
    expect(await names()).toEqual([{ name: 'Ash' }]);
    await expect(fromReader(() => Promise.reject(new Error('a mistake of ours')))).rejects.toThrow('of ours');
  });
});
