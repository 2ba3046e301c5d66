import { execFile } from 'node:child_process';
import { promisify } from 'node:util';
import { eq } from 'drizzle-orm';
import { afterAll, beforeAll, expect, it } from 'vitest';
import { verdicts, waits } from '@/db/schema';
import { rebuildVerdicts } from '@/server/verdicts';
import { rebuildWaits } from '@/server/waits';
import { freshDatabase } from '@/testing/database';
import { AT_28_DAYS, breakSpecimen, makeSample, makeSite } from '@/testing/site';

const run = promisify(execFile);
let fresh: Awaited<ReturnType<typeof freshDatabase>>;
beforeAll(async () => {
  fresh = await freshDatabase();
  const site = await makeSite(fresh.db, 'RBD');
  const { specimenIds } = await makeSample(site);
  for (const id of specimenIds) await breakSpecimen(site, id, '58,300', AT_28_DAYS);
});
afterAll(() => fresh?.close());

/** What the command says. */
async function rebuilt(): Promise<string[]> {
  const { stdout } = await run('node', ['node_modules/tsx/dist/cli.mjs', 'scripts/rebuild.ts'], {
    env: { ...process.env, BRICOLE_DATABASE_URL: fresh.url },
  });
  return stdout.trim().split('\n');
}

it('says that everything is as it was, where it is', async () => {
  expect(await rebuilt()).toEqual([
    'bricole: deriving what waits and what is decided from the records',
    'bricole: 3 waits, all as they were',
    // Of one test, as staff and as clients see it.
    'bricole: 2 verdicts, all as they were',
  ]);
});

it('mends what is not, and says how much that was', async () => {
  await fresh.db.update(verdicts).set({ state: 'does not meet' }).where(eq(verdicts.state, 'meets'));
  await fresh.db.delete(waits);
  expect((await rebuilt()).slice(1)).toEqual([
    'bricole: 3 waits, 3 rows were another thing and are mended',
    'bricole: 2 verdicts, 1 row was another thing and is mended',
  ]);
  expect((await fresh.db.transaction((tx) => rebuildVerdicts(tx))).changed).toBe(0);
  expect((await fresh.db.transaction((tx) => rebuildWaits(tx, new Date()))).changed).toBe(0);
});

it('asks which database is meant', async () => {
  const alone = run('node', ['node_modules/tsx/dist/cli.mjs', 'scripts/rebuild.ts'], {
    env: { ...process.env, BRICOLE_DATABASE_URL: '' },
  });
  await expect(alone).rejects.toThrow(/BRICOLE_DATABASE_URL/u);
});
