import { randomUUID } from 'node:crypto';
import pg from 'pg';
import { type Database, openDatabase } from '@/db/client';
import { migrateDatabase } from '@/db/migrate';
import { accounts, people, type Role } from '@/db/schema';
import type { Actor } from '@/server/use-case';

/**
 * A fresh, migrated database for one test file, on the cluster that npm test started.
 * @param template the database that it is a copy of: without data, or the demo's (`BRICOLE_TEST_DEMO`)
 */
export async function freshDatabase(template = process.env.BRICOLE_TEST_TEMPLATE): Promise<{
  db: Database;
  /** The owner of its tables, who is no superuser. */
  owner: pg.Pool;
  url: string;
  close: () => Promise<void>;
}> {
  const { BRICOLE_TEST_ROOT_URL, BRICOLE_TEST_OWNER_URL, BRICOLE_TEST_APP_URL } = process.env;
  if (!BRICOLE_TEST_ROOT_URL || !BRICOLE_TEST_OWNER_URL || !BRICOLE_TEST_APP_URL) {
    throw new Error('these tests need the cluster that npm test starts (npm test -- vitest)');
  }
  const name = `test_${randomUUID().replaceAll('-', '')}`;
  const at = (url: string): string => Object.assign(new URL(url), { pathname: `/${name}` }).href;
  const admin = new pg.Client({ connectionString: BRICOLE_TEST_ROOT_URL });
  await admin.connect();
  // A copy of the one that is migrated already is there in a moment.
  await admin.query(`CREATE DATABASE ${name} OWNER bricole_owner${template ? ` TEMPLATE ${template}` : ''}`);
  // Who may do what in a database is not copied with it.
  await admin.query(`REVOKE ALL ON DATABASE ${name} FROM PUBLIC`);
  await admin.query(`GRANT CONNECT ON DATABASE ${name} TO bricole_app`);
  await admin.end();
  if (!template) await migrateDatabase(at(BRICOLE_TEST_OWNER_URL));
  const { db, pool } = openDatabase(at(BRICOLE_TEST_APP_URL), 8);
  const owner = new pg.Pool({ connectionString: at(BRICOLE_TEST_OWNER_URL), max: 2 });
  return {
    db,
    owner,
    url: at(BRICOLE_TEST_APP_URL),
    close: async () => {
      await pool.end();
      await owner.end();
      const last = new pg.Client({ connectionString: BRICOLE_TEST_ROOT_URL });
      await last.connect();
      await last.query(`DROP DATABASE ${name} WITH (FORCE)`);
      await last.end();
    },
  };
}

/** A person of a role. */
export async function personOf(db: Database, role: Role, name: string = role): Promise<Actor> {
  const id = randomUUID();
  await db.insert(people).values({ id, name, email: `${id}@test.example`, role });
  await db.insert(accounts).values({ id: randomUUID(), accountId: id, providerId: 'credential', userId: id });
  return { id, name, role };
}
