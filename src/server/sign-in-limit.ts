import { sql } from 'drizzle-orm';
import type { Database } from '@/db/client';

const WINDOW_MS = 60_000;

/** Attempts allowed for one account in a minute; the sign-in service limits by address besides. */
export const ATTEMPTS = Number(process.env.BRICOLE_SIGN_INS_PER_MINUTE ?? 10);

/**
 * Counts an attempt to sign in to an account, whoever makes it and from wherever: an address can be made up, the
 * account that is being guessed at cannot.
 * @param email the account, as typed
 * @param now ms since the epoch
 * @returns false when there were too many in the last minute
 */
export async function mayAttempt(
  db: Database,
  email: string,
  now: number,
  attempts = ATTEMPTS,
): Promise<boolean> {
  const key = `sign-in/${email.trim().toLowerCase().slice(0, 200)}`;
  const { rows } = await db.execute<{ count: number }>(sql`
    INSERT INTO rate_limits (id, key, count, last_request) VALUES (${key}, ${key}, 1, ${now})
    ON CONFLICT (key) DO UPDATE SET
      count = CASE WHEN rate_limits.last_request < ${now - WINDOW_MS} THEN 1 ELSE rate_limits.count + 1 END,
      last_request = CASE WHEN rate_limits.last_request < ${now - WINDOW_MS} THEN ${now} ELSE rate_limits.last_request END
    RETURNING count`);
  return (rows[0]?.count ?? 0) <= attempts;
}
