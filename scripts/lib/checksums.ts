import type pg from 'pg';

/** What stands in one table: rows, and a checksum of all of them whatever their order. */
export interface TableSum {
  readonly table: string;
  readonly rows: number;
  readonly sum: string;
}

/** Columns a later schema may add are no part of a table that was kept before it: a checksum is of the columns it names. */
export async function tableSums(client: pg.Client | pg.PoolClient): Promise<TableSum[]> {
  await client.query(`SET TimeZone = 'UTC'; SET bytea_output = 'hex'; SET extra_float_digits = 1`);
  const { rows: tables } = await client.query<{ schema: string; name: string }>(
    `SELECT n.nspname AS schema, c.relname AS name FROM pg_class c JOIN pg_namespace n ON n.oid = c.relnamespace
     WHERE c.relkind = 'r' AND n.nspname NOT IN ('pg_catalog', 'information_schema') ORDER BY 1, 2`,
  );
  const sums: TableSum[] = [];
  for (const { schema, name } of tables) {
    const of = `${client.escapeIdentifier(schema)}.${client.escapeIdentifier(name)}`;
    const { rows } = await client.query<{ rows: string; sum: string }>(
      `SELECT count(*)::text AS rows, coalesce(sum(hashtextextended(t::text, 20417)::numeric), 0)::text AS sum FROM ${of} t`,
    );
    sums.push({ table: `${schema}.${name}`, rows: Number(rows[0]?.rows), sum: String(rows[0]?.sum) });
  }
  return sums;
}

/** Where what is there is not what was kept, one sentence each. */
export function sumsApart(kept: readonly TableSum[], found: readonly TableSum[]): string[] {
  return kept.flatMap(({ table, rows, sum }) => {
    const own = found.find((each) => each.table === table);
    if (!own) return [`${table} is missing.`];
    if (own.rows !== rows) return [`${table} has ${own.rows} rows, kept were ${rows}.`];
    return own.sum === sum ? [] : [`${table}: what stands in it is not what was kept.`];
  });
}
