import { execFile } from 'node:child_process';
import { promisify } from 'node:util';
import pg from 'pg';
import { afterAll, beforeAll, expect, it } from 'vitest';
import { freshDatabase } from '@/testing/database';
import { makeSample, makeSite } from '@/testing/site';

const run = promisify(execFile);
let fresh: Awaited<ReturnType<typeof freshDatabase>>;
beforeAll(async () => {
  fresh = await freshDatabase();
  await makeSample(await makeSite(fresh.db, 'CMD'));
});
afterAll(() => fresh?.close());

/** What the command says, and whether it ended well. */
const checked = (...more: string[]): Promise<{ stdout: string; code?: number }> =>
  run('node', ['node_modules/tsx/dist/cli.mjs', 'scripts/check.ts', ...more], {
    env: { ...process.env, BRICOLE_DATABASE_URL: fresh.url },
  }).catch((error: { stdout: string; code: number }) => error);

it('says of each kind how many were looked at and that they are good, with the hash to write down', async () => {
  const { stdout, code = 0 } = await checked();
  expect(code).toBe(0);
  const lines = stdout.trim().split('\n');
  expect(lines[0]).toMatch(/^bricole: \d+ entries of the trail: good; newest hash [0-9a-f]{64}$/u);
  expect(lines.slice(1).map((line) => line.replace(/\d+/u, 'n'))).toEqual([
    'bricole: n records beside the trail: good',
    'bricole: n files: good',
    'bricole: n signed reports: good',
    'bricole: n waits: good',
    'bricole: n verdicts: good',
  ]);
});

it('ends badly where something is wrong, and says where', async () => {
  const url = new URL(process.env.BRICOLE_TEST_ROOT_URL ?? '');
  url.pathname = new URL(fresh.url).pathname;
  const root = new pg.Client({ connectionString: url.href });
  await root.connect();
  await root.query(
    `SET session_replication_role = replica; UPDATE audit SET actor = 'nobody' WHERE id = (SELECT min(id) FROM audit)`,
  );
  await root.end();
  const { stdout, code } = await checked('--known', 'f'.repeat(64));
  expect(code).toBe(1);
  expect(stdout).toMatch(/entries of the trail: 2 wrong/u);
  expect(stdout).toMatch(/ {2}Entry \d+ is not what was written: it was changed\./u);
  expect(stdout).toContain('The hash that was written down before is not in the chain');
});
