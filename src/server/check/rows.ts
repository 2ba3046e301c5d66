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
    const { rows } = await db.execute<{ key: string; why: string; of: string }>(sql`
      WITH own AS (
        SELECT x.id::text AS key, to_jsonb(x) - 'bytes' - 'pdf' - 'password' AS now FROM ${sql.identifier(name)} x
      ), told AS (
        SELECT DISTINCT ON (row_key) row_key AS key, after FROM audit WHERE table_name = ${name} ORDER BY row_key, id DESC
      )
      SELECT own.key, (SELECT count(*) FROM own)::text AS of, CASE
        WHEN told.key IS NULL THEN 'unknown'
        WHEN EXISTS (
          SELECT FROM jsonb_each(told.after) e
          WHERE own.now ? e.key AND e.value IS DISTINCT FROM own.now -> e.key AND NOT (
            jsonb_typeof(e.value) = 'string' AND e.value #>> '{}' ~ '^\\d{4}-\\d\\d-\\d\\dT'
            AND jsonb_typeof(own.now -> e.key) = 'string' AND own.now ->> e.key ~ '^\\d{4}-\\d\\d-\\d\\dT'
            AND (e.value #>> '{}')::timestamptz = (own.now ->> e.key)::timestamptz)
        ) THEN 'changed' ELSE '' END AS why
      FROM own LEFT JOIN told USING (key)`);
    count += rows.length;
    for (const { key, why } of rows)
      if (why && faults.length < MOST_FAULTS)
        faults.push(
          why === 'unknown'
            ? `${name} ${key}: the trail knows nothing of it.`
            : `${name} ${key}: it is not what the trail says of it.`,
        );
  }
  return { what: 'records beside the trail', count, faults, notes: [] };
}
