import { sql } from 'drizzle-orm';
import type { Queryable } from '@/db/client';
import { type Checked, MOST_FAULTS } from './trail';

/**
 * Whether every row that the trail tells of is what its newest entry says, and none is there that it does not know.
 * @param db on a connection that may read everything
 * Moments are compared as moments: how they are written hangs on the time zone of who wrote them.
 */
export async function checkRows(db: Queryable): Promise<Checked> {
  const { rows: tables } = await db.execute<{ name: string }>(sql`
    SELECT c.relname AS name FROM pg_trigger t JOIN pg_class c ON c.oid = t.tgrelid
    WHERE t.tgname = 'audit' AND EXISTS (SELECT FROM pg_attribute a WHERE a.attrelid = c.oid AND a.attname = 'id' AND NOT a.attisdropped)
    ORDER BY c.relname`);
  let count = 0;
  const faults: string[] = [];
  for (const { name } of tables) {
    const table = sql.identifier(name);
    const { rows: counted } = await db.execute<{ count: string }>(
      sql`SELECT count(*) AS count FROM ${table}`,
    );
    count += Number(counted[0]?.count);
    const { rows } = await db.execute<{ key: string; known: boolean }>(sql`
      WITH own AS (
        SELECT x.id::text AS key, to_jsonb(x) - 'bytes' - 'pdf' - 'password' AS now FROM ${table} x
      ), told AS (
        SELECT DISTINCT ON (row_key) row_key AS key, after FROM audit WHERE table_name = ${name} ORDER BY row_key, id DESC
      )
      SELECT own.key, told.key IS NOT NULL AS known FROM own LEFT JOIN told USING (key)
      WHERE told.key IS NULL OR EXISTS (
        SELECT FROM jsonb_each(told.after) e
        WHERE own.now ? e.key AND e.value IS DISTINCT FROM own.now -> e.key AND NOT (
          jsonb_typeof(e.value) = 'string' AND e.value #>> '{}' ~ '^\\d{4}-\\d\\d-\\d\\dT'
          AND jsonb_typeof(own.now -> e.key) = 'string' AND own.now ->> e.key ~ '^\\d{4}-\\d\\d-\\d\\dT'
          AND (e.value #>> '{}')::timestamptz = (own.now ->> e.key)::timestamptz))
      LIMIT ${MOST_FAULTS}`);
    for (const { key, known } of rows)
      if (faults.length < MOST_FAULTS)
        faults.push(
          known
            ? `${name} ${key}: it is not what the trail says of it.`
            : `${name} ${key}: the trail knows nothing of it.`,
        );
  }
  return { what: 'records beside the trail', count, faults, notes: [] };
}
