import { createHash } from 'node:crypto';
import { sql } from 'drizzle-orm';
import type { Queryable } from '@/db/client';

/** What a check of one kind found. */
export interface Checked {
  readonly what: string;
  readonly count: number;
  /** What is wrong, one sentence each; the first of them where there are very many. */
  readonly faults: readonly string[];
  /** What else is to be said of it. */
  readonly notes: readonly string[];
}

/** Faults that are told of one kind; what lies behind the first is seldom another thing. */
export const MOST_FAULTS = 20;
/** Entries read at a time. */
const PAGE = 5000;

interface Link extends Record<string, unknown> {
  readonly place: string;
  readonly entry: string;
  readonly before: string;
  readonly hash: string;
  /** The parts of the entry in their order; null where the entry is gone. */
  readonly parts: readonly string[] | null;
}

/** The hash of an entry behind the one before it. The database makes the same in `seal_trail`: two ways to one number. */
export function linkHash(before: string, parts: readonly string[]): string {
  return createHash('sha256')
    .update(`${before}\x1e${parts.join('\x1f')}`)
    .digest('hex');
}

/**
 * Follows the chain of the trail from its first entry to its newest.
 * @param db on a connection that may read the trail
 * @param known a hash that was written down before: it has to be in the chain still
 * @returns where an entry was changed, taken out or put in; the newest hash, to be written down elsewhere
 */
export async function checkTrail(db: Queryable, known?: string): Promise<Checked> {
  const faults: string[] = [];
  const say = (words: string): void => {
    if (faults.length < MOST_FAULTS) faults.push(words);
  };
  let [count, place, last, seen] = [0, '0', '', known === undefined];
  for (;;) {
    const { rows } = await db.execute<Link>(sql`
      SELECT c.place::text, c.entry::text, c.before, c.hash,
        CASE WHEN a.id IS NULL THEN NULL ELSE ARRAY[a.id::text, ((extract(epoch FROM a.at) * 1000000)::bigint)::text,
          coalesce(a.actor, ''), coalesce(a.use_case, ''), a.table_name, a.row_key, a.action,
          coalesce(a.before::text, ''), coalesce(a.after::text, '')] END AS parts
      FROM audit_chain c LEFT JOIN audit a ON a.id = c.entry
      WHERE c.place > ${place}::bigint ORDER BY c.place LIMIT ${PAGE}`);
    for (const { entry, before, hash, parts, place: at } of rows) {
      if (before !== last)
        say(
          `Before entry ${entry} something is missing or was changed: it does not follow on what stands before it.`,
        );
      if (!parts) say(`Entry ${entry} is gone.`);
      else if (linkHash(before, parts) !== hash)
        say(`Entry ${entry} is not what was written: it was changed.`);
      if (hash === known) seen = true;
      [last, place] = [hash, at];
      count += 1;
    }
    if (rows.length < PAGE) break;
  }
  const { rows: loose } = await db.execute<{ id: string }>(sql`
    SELECT a.id::text FROM audit a WHERE NOT EXISTS (SELECT FROM audit_chain c WHERE c.entry = a.id)
    ORDER BY a.id LIMIT ${MOST_FAULTS}`);
  for (const { id } of loose) say(`Entry ${id} stands in no chain: it was put in past the database’s rules.`);
  if (!seen)
    say('The hash that was written down before is not in the chain: what came after it was taken out.');
  return { what: 'entries of the trail', count, faults, notes: last ? [`newest hash ${last}`] : [] };
}
