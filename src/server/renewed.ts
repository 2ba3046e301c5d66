import { type SQL, sql } from 'drizzle-orm';

const told = (column: { readonly name: string }): SQL => sql.raw(`excluded."${column.name}"`);
const tuple = (parts: readonly SQL[]): SQL => sql`(${sql.join([...parts], sql`, `)})`;

/**
 * What is written anew of a row that is there already, and only where it is another thing: so that what comes back of the
 * insertion is what has changed.
 * @param names the columns that may be another thing
 */
export function renewed<N extends string>(
  table: Readonly<Record<N, { readonly name: string }>>,
  names: readonly N[],
) {
  const columns = names.map((name) => table[name]);
  return {
    set: Object.fromEntries(names.map((name) => [name, told(table[name])])),
    setWhere: sql`${tuple(columns.map((column) => sql`${column}`))} IS DISTINCT FROM ${tuple(columns.map(told))}`,
  };
}
