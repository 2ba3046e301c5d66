import { drizzle, type NodePgDatabase } from 'drizzle-orm/node-postgres';
import pg from 'pg';
import * as schema from './schema';

export type Database = NodePgDatabase<typeof schema>;
/** A transaction, or the database itself: what a query needs. */
export type Queryable = Pick<
  Database,
  'select' | 'selectDistinct' | 'selectDistinctOn' | 'insert' | 'update' | 'execute'
>;

/** Opens a pool on one database. The caller ends it. */
export function openDatabase(url: string, size = 10): { db: Database; pool: pg.Pool } {
  const pool = new pg.Pool({ connectionString: url, max: size });
  // A database that goes away while a connection is idle must not take the server with it.
  pool.on('error', (error) => console.error('database connection lost:', error.message));
  return { db: drizzle(pool, { schema }), pool };
}

const shared = globalThis as { bricoleDatabase?: { db: Database; pool: pg.Pool } };

/** The application's database, opened on first use from BRICOLE_DATABASE_URL. */
export function database(): Database {
  const url = process.env.BRICOLE_DATABASE_URL;
  if (!url) throw new Error('BRICOLE_DATABASE_URL is not set: start with npm start');
  shared.bricoleDatabase ??= openDatabase(url);
  return shared.bricoleDatabase.db;
}
