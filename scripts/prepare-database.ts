import pg from 'pg';
import { migrateDatabase } from '../src/db/migrate';

/**
 * Creates a database if it is not there, lets the application's role in, and migrates it.
 * Arguments by environment: BRICOLE_OWNER_URL (of the database), BRICOLE_APP_PASSWORD.
 */
export async function prepareDatabase(ownerUrl: string, appPassword: string): Promise<void> {
  const url = new URL(ownerUrl);
  const name = url.pathname.slice(1);
  url.pathname = '/postgres';
  const admin = new pg.Client({ connectionString: url.href });
  await admin.connect();
  try {
    const there = await admin.query('SELECT 1 FROM pg_database WHERE datname = $1', [name]);
    if (there.rowCount === 0) await admin.query(`CREATE DATABASE ${admin.escapeIdentifier(name)}`);
    await admin.query(
      `DO $$ BEGIN IF NOT EXISTS (SELECT FROM pg_roles WHERE rolname = 'bricole_app') THEN CREATE ROLE bricole_app; END IF; END $$`,
    );
    await admin.query(`ALTER ROLE bricole_app LOGIN PASSWORD ${admin.escapeLiteral(appPassword)}`);
  } finally {
    await admin.end();
  }
  await migrateDatabase(ownerUrl);
}

if (process.argv[1]?.endsWith('prepare-database.ts')) {
  const { BRICOLE_OWNER_URL, BRICOLE_APP_PASSWORD } = process.env;
  if (!BRICOLE_OWNER_URL || !BRICOLE_APP_PASSWORD)
    throw new Error('BRICOLE_OWNER_URL and BRICOLE_APP_PASSWORD');
  await prepareDatabase(BRICOLE_OWNER_URL, BRICOLE_APP_PASSWORD);
}
