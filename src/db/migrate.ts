import path from 'node:path';
import { migrate } from 'drizzle-orm/node-postgres/migrator';
import { openDatabase } from './client';

/** Brings a database up to the newest schema; safe to run again. Needs the owner's connection. */
export async function migrateDatabase(ownerUrl: string): Promise<void> {
  const { db, pool } = openDatabase(ownerUrl, 1);
  try {
    await migrate(db, { migrationsFolder: path.join(process.cwd(), 'src/db/migrations') });
  } finally {
    await pool.end();
  }
}
