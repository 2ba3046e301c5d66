import { createHash, randomUUID } from 'node:crypto';
import pg from 'pg';
import { afterAll, beforeAll, describe, expect, it } from 'vitest';
import { freshDatabase } from '@/testing/database';
import { AT_28_DAYS, breakSpecimen, makeSample, makeSite, type Site } from '@/testing/site';
import { checkFiles, checkReports } from './files';
import { checkProjections } from './projections';
import { checkRows } from './rows';
import { checkTrail, linkHash } from './trail';

let fresh: Awaited<ReturnType<typeof freshDatabase>>;
let site: Site;
/** Who may do everything: what no rule of the database keeps out, the chain has to show. */
let root: pg.Client;
beforeAll(async () => {
  fresh = await freshDatabase();
  const url = new URL(process.env.BRICOLE_TEST_ROOT_URL ?? '');
  url.pathname = new URL(fresh.url).pathname;
  root = new pg.Client({ connectionString: url.href });
  await root.connect();
  site = await makeSite(fresh.db, 'CHK');
  const { specimenIds } = await makeSample(site);
  for (const id of specimenIds.slice(0, 1)) await breakSpecimen(site, id, '58,300', AT_28_DAYS);
});
afterAll(async () => {
  await root?.end();
  await fresh?.close();
});

/** Does what no role of the application can, and takes it back. */
async function tampered(change: string, check: () => Promise<void>, back: string): Promise<void> {
  const run = (what: string) =>
    root.query(`SET session_replication_role = replica; ${what}; SET session_replication_role = DEFAULT`);
  await run(change);
  try {
    await check();
  } finally {
    await run(back);
  }
}
const one = async (text: string): Promise<string> => String((await fresh.owner.query(text)).rows[0]?.it);

describe('the chain of the trail', () => {
  it('follows from entry to entry, one for each, whoever wrote at a time', async () => {
    await Promise.all(
      Array.from({ length: 12 }, (_, at) =>
        fresh.db.execute(
          `INSERT INTO people (id, name, email, role) VALUES ('${randomUUID()}', 'P ${at}', 'p${at}@test.example', 'field')`,
        ),
      ),
    );
    const { count, faults, notes } = await checkTrail(fresh.db);
    expect(faults).toEqual([]);
    expect(count).toBe(Number(await one('SELECT count(*) AS it FROM audit')));
    expect(notes[0]).toMatch(/^newest hash [0-9a-f]{64}$/u);
  });
  it('hashes what stands before and the entry, by hand', () => {
    const by = (text: string) => createHash('sha256').update(text, 'utf8').digest('hex');
    expect(linkHash('', ['1', 'a'])).toBe(by('\u001e1\u001fa'));
    expect(linkHash('abc', ['2', 'ü', ''])).toBe(by('abc\u001e2\u001fü\u001f'));
  });
  it('finds an entry that was changed, taken out or put in', async () => {
    const entry = await one('SELECT id AS it FROM audit ORDER BY id LIMIT 1 OFFSET 5');
    const was = await one(`SELECT actor AS it FROM audit WHERE id = ${entry}`);
    await tampered(
      `UPDATE audit SET actor = 'somebody else' WHERE id = ${entry}`,
      async () =>
        expect((await checkTrail(fresh.db)).faults).toEqual([
          `Entry ${entry} is not what was written: it was changed.`,
        ]),
      `UPDATE audit SET actor = '${was}' WHERE id = ${entry}`,
    );
    await tampered(
      `CREATE TABLE kept AS SELECT * FROM audit WHERE id = ${entry}; CREATE TABLE link AS SELECT * FROM audit_chain WHERE entry = ${entry}; DELETE FROM audit_chain WHERE entry = ${entry}; DELETE FROM audit WHERE id = ${entry}`,
      async () => {
        const { faults } = await checkTrail(fresh.db);
        expect(faults).toHaveLength(1);
        expect(faults[0]).toMatch(/something is missing or was changed/u);
      },
      'INSERT INTO audit SELECT * FROM kept; INSERT INTO audit_chain SELECT * FROM link; DROP TABLE kept, link',
    );
    await tampered(
      `INSERT INTO audit (id, actor, table_name, row_key, action) VALUES (999999, 'x', 'people', 'y', 'insert')`,
      async () =>
        expect((await checkTrail(fresh.db)).faults).toEqual([
          'Entry 999999 stands in no chain: it was put in past the database’s rules.',
        ]),
      'DELETE FROM audit WHERE id = 999999',
    );
    expect((await checkTrail(fresh.db)).faults).toEqual([]);
  });
  it('is held against a hash that was written down: a tail that was cut off is found by it alone', async () => {
    const newest = await one('SELECT hash AS it FROM audit_chain ORDER BY place DESC LIMIT 1');
    expect((await checkTrail(fresh.db, newest)).faults).toEqual([]);
    const last = await one('SELECT entry AS it FROM audit_chain ORDER BY place DESC LIMIT 1');
    await tampered(
      `CREATE TABLE kept AS SELECT * FROM audit WHERE id = ${last}; CREATE TABLE link AS SELECT * FROM audit_chain WHERE entry = ${last}; DELETE FROM audit_chain WHERE entry = ${last}; DELETE FROM audit WHERE id = ${last}`,
      async () => {
        expect((await checkTrail(fresh.db)).faults).toEqual([]);
        expect((await checkTrail(fresh.db, newest)).faults[0]).toMatch(
          /written down before is not in the chain/u,
        );
      },
      'INSERT INTO audit SELECT * FROM kept; INSERT INTO audit_chain SELECT * FROM link; DROP TABLE kept, link',
    );
  });
  it('cannot be written by the application', async () => {
    await expect(
      fresh.db.execute(`INSERT INTO audit_chain (entry, before, hash) VALUES (1, '', 'x')`),
    ).rejects.toThrow();
    await expect(fresh.db.execute(`UPDATE audit_chain SET hash = 'x'`)).rejects.toThrow();
    await expect(fresh.db.execute('DELETE FROM audit_chain')).rejects.toThrow();
  });
});

describe('records, files, reports, projections', () => {
  it('are what they were kept as', async () => {
    for (const found of [
      await checkRows(fresh.db),
      await checkFiles(fresh.db),
      await checkReports(fresh.db),
      ...(await checkProjections(fresh.db, new Date())),
    ])
      expect(found).toMatchObject({ faults: [] });
    expect((await checkRows(fresh.db)).count).toBeGreaterThan(50);
  });
  it('in another time zone too', async () => {
    await fresh.db.transaction(async (tx) => {
      await tx.execute(`SET LOCAL TimeZone = 'Asia/Kolkata'`);
      expect((await checkRows(tx)).faults).toEqual([]);
      expect((await checkTrail(tx)).faults).toEqual([]);
    });
  });
  it('a reading that was changed past the rules is found, and one that was put in', async () => {
    const id = await one(`SELECT id AS it FROM readings WHERE field = 'maximumLoad' LIMIT 1`);
    const was = await one(`SELECT text AS it FROM readings WHERE id = '${id}'`);
    await tampered(
      `UPDATE readings SET text = '99,999' WHERE id = '${id}'`,
      async () =>
        expect((await checkRows(fresh.db)).faults).toEqual([
          `readings ${id}: it is not what the trail says of it.`,
        ]),
      `UPDATE readings SET text = '${was}' WHERE id = '${id}'`,
    );
    const person = randomUUID();
    await tampered(
      `INSERT INTO people (id, name, email, role) VALUES ('${person}', 'Nobody', 'nobody@test.example', 'manager')`,
      async () =>
        expect((await checkRows(fresh.db)).faults).toEqual([
          `people ${person}: the trail knows nothing of it.`,
        ]),
      `DELETE FROM people WHERE id = '${person}'`,
    );
  });
  it('a file that is another is found by its checksum', async () => {
    const [id, run] = [randomUUID(), await one('SELECT id AS it FROM runs LIMIT 1')];
    const sha = createHash('sha256').update('as it came').digest('hex');
    await fresh.db.execute(
      `INSERT INTO attachments (id, run_id, name, mime, sha256, bytes, by, at) VALUES ('${id}', '${run}', 'break.jpg', 'image/jpeg', '${sha}', 'as it came', '${site.actors.laboratory.id}', now())`,
    );
    expect((await checkFiles(fresh.db)).faults).toEqual([]);
    await tampered(
      `UPDATE attachments SET bytes = 'another' WHERE id = '${id}'`,
      async () =>
        expect((await checkFiles(fresh.db)).faults).toEqual([
          `photograph or file break.jpg (attachments ${id}) is not what came: its checksum is another.`,
        ]),
      `UPDATE attachments SET bytes = 'as it came' WHERE id = '${id}'`,
    );
  });
  it('a verdict that is another is found and left for npm run rebuild', async () => {
    await fresh.db.execute('DELETE FROM waits');
    const [waits] = await checkProjections(fresh.db, new Date());
    expect(waits?.faults[0]).toMatch(/are another thing than the records say: npm run rebuild/u);
    expect((await fresh.db.execute('SELECT * FROM waits')).rows).toEqual([]);
  });
});
