import { drizzle, type NodePgDatabase } from 'drizzle-orm/node-postgres';
import pg from 'pg';
import * as schema from './schema';

export type Database = NodePgDatabase<typeof schema> & { $client: pg.Pool };
/** A transaction, or the database itself: what a query needs. */
export type Queryable = Pick<
  Database,
  'select' | 'selectDistinct' | 'selectDistinctOn' | 'insert' | 'update' | 'execute'
>;

/** Opens a pool on one database. The caller ends it. */
export function openDatabase(url: string, size = 10): { db: Database; pool: pg.Pool } {
  // Compiling a statement pays for reports over millions of rows; here it costs more than the statement itself.
  const pool = new pg.Pool({ connectionString: url, max: size, options: '-c jit=off' });
  // A database that goes away while a connection is idle must not take the server with it.
  pool.on('error', (error) => console.error('database connection lost:', error.message));
  return { db: drizzle(pool, { schema }), pool };
}

/**
 * The same database for the reading of one page: a statement asked for twice is sent once. A page is put together of
 * parts that each ask for what they need (the limits, the person, the sample); what they share is shared here, and not
 * by handing it through all of them. Never for writing, and never kept longer than one page.
 */
export function readingOnce(db: Database): Database {
  const pool = db.$client as pg.Pool;
  const asked = new Map<string, Promise<unknown>>();
  const client = {
    query(query: { text: string; rowMode?: string }, values: readonly unknown[]) {
      const key = `${query.rowMode ?? ''} ${query.text} ${JSON.stringify(values)}`;
      const known = asked.get(key) ?? pool.query(query as never, values as never);
      asked.set(key, known);
      return known;
    },
  };
  return drizzle(client as unknown as pg.Pool, { schema });
}

interface Opened {
  readonly db: Database;
  readonly pool: pg.Pool;
}
const shared = globalThis as { bricoleDatabase?: Opened; bricoleReader?: Opened };

/** The application's database, opened on first use from BRICOLE_DATABASE_URL. */
export function database(): Database {
  const url = process.env.BRICOLE_DATABASE_URL;
  if (!url) throw new Error('BRICOLE_DATABASE_URL is not set: start with npm start');
  shared.bricoleDatabase ??= openDatabase(url);
  return shared.bricoleDatabase.db;
}

/** Codes of a server that cannot be reached or is going away, of the network and of PostgreSQL. */
const AWAY = /^(?:ECONN|EPIPE|ETIMEDOUT|EHOSTUNREACH|ENOTFOUND|08|57P)/u;

function isAway(error: unknown): boolean {
  let current = error;
  for (let depth = 0; depth < 5 && current instanceof Error; depth += 1) {
    const { code } = current as { code?: unknown };
    if (typeof code === 'string' && AWAY.test(code)) return true;
    if (/Connection terminated|timeout exceeded/u.test(current.message)) return true;
    current = current.cause;
  }
  return false;
}

/**
 * Asks what may be a moment old: a list, an export. Where BRICOLE_READER_URL names a standby it is asked, and the
 * database itself where that one is away; without it the database is.
 */
export async function fromReader<T>(ask: (db: Database) => Promise<T>): Promise<T> {
  const url = process.env.BRICOLE_READER_URL;
  if (!url) return ask(database());
  shared.bricoleReader ??= openDatabase(url);
  try {
    return await ask(shared.bricoleReader.db);
  } catch (error) {
    if (!isAway(error)) throw error;
    console.error('the reader is away, the database is asked:', (error as Error).message);
    return ask(database());
  }
}
