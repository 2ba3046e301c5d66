import { createHmac, randomBytes, timingSafeEqual } from 'node:crypto';
import { sql } from 'drizzle-orm';
import type { Database } from '@/db/client';

/** Failures in a row that cost nothing: people mistype. More from one address, which a whole laboratory may share. */
const FREE = { account: 5, device: 10, address: 40 } as const;
const FIRST_WAIT_MS = 2000;
const LONGEST_WAIT_MS = 15 * 60_000;
/** After this long without a failure the count begins anew. */
const FORGET_MS = 60 * 60_000;

/** Who tries, as far as it can be told. */
export interface Attempt {
  /** The account, as typed. */
  readonly email: string;
  /** Where the connection came from, by the gateway's word; empty when it is not known. */
  readonly address: string;
  /** True when the device has signed in to this account before. */
  readonly known: boolean;
}

function keysOf({ email, address, known }: Attempt): [key: string, free: number][] {
  const account = email.trim().toLowerCase().slice(0, 200);
  // A stranger can hold up other strangers at an account, never its owner on the device they have used before.
  if (known) return [[`sign-in device/${account}`, FREE.device]];
  return [
    [`sign-in account/${account}`, FREE.account],
    ...(address ? [[`sign-in address/${address.slice(0, 60)}`, FREE.address] as [string, number]] : []),
  ];
}

/** How long after the last failure the next attempt is taken, ms. @param count failures in a row so far */
export function waitAfter(count: number, free: number): number {
  return count < free ? 0 : Math.min(FIRST_WAIT_MS * 2 ** Math.min(count - free, 20), LONGEST_WAIT_MS);
}

/**
 * Begins an attempt to sign in. It counts as failed until `signedIn` says otherwise, so that guesses sent all at once
 * are counted all the same.
 * @param now ms since the epoch
 * @returns 0 when it may be tried, else how long to wait, ms
 */
export async function beginAttempt(db: Database, attempt: Attempt, now: number): Promise<number> {
  return db.transaction(async (tx) => {
    let wait = 0;
    const keys = keysOf(attempt);
    const counts: number[] = [];
    for (const [key, free] of keys) {
      await tx.execute(
        sql`INSERT INTO rate_limits (id, key, count, last_request) VALUES (${key}, ${key}, 0, ${now}) ON CONFLICT (key) DO NOTHING`,
      );
      const { rows } = await tx.execute<{ count: number; last: string }>(
        sql`SELECT count, last_request AS last FROM rate_limits WHERE key = ${key} FOR UPDATE`,
      );
      const last = Number(rows[0]?.last ?? now);
      const count = now - last > FORGET_MS ? 0 : (rows[0]?.count ?? 0);
      counts.push(count);
      const pause = waitAfter(count, free);
      if (pause > 0) wait = Math.max(wait, last + pause - now);
    }
    if (wait > 0) return wait;
    for (const [index, [key]] of keys.entries()) {
      await tx.execute(
        sql`UPDATE rate_limits SET count = ${(counts[index] ?? 0) + 1}, last_request = ${now} WHERE key = ${key}`,
      );
    }
    return 0;
  });
}

/** The attempt succeeded: the account's count begins anew, and the address is owed one failure less. */
export async function signedIn(db: Database, attempt: Attempt): Promise<void> {
  for (const [key] of keysOf(attempt)) {
    const rest = key.startsWith('sign-in address/') ? sql`greatest(count - 1, 0)` : sql`0`;
    await db.execute(sql`UPDATE rate_limits SET count = ${rest} WHERE key = ${key}`);
  }
}

function mark(secret: string, email: string, nonce: string): string {
  return createHmac('sha256', secret).update(`${email.trim().toLowerCase()}\n${nonce}`).digest('base64url');
}

/** What a device keeps of an account it has signed in to: it opens nothing, it only is not taken for a stranger. */
export function deviceToken(secret: string, email: string): string {
  const nonce = randomBytes(12).toString('base64url');
  return `${nonce}.${mark(secret, email, nonce)}`;
}

/** True when one of the tokens was made here for this account. */
export function isKnownDevice(secret: string, email: string, tokens: readonly string[]): boolean {
  return tokens.some((token) => {
    const [nonce = '', given = ''] = token.split('.');
    const expected = mark(secret, email, nonce);
    return given.length === expected.length && timingSafeEqual(Buffer.from(given), Buffer.from(expected));
  });
}
