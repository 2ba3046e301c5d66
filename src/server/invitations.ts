import { createHash, randomBytes, randomUUID } from 'node:crypto';
import { hashPassword } from 'better-auth/crypto';
import { and, eq, gt, isNull } from 'drizzle-orm';
import type { Database, Queryable } from '@/db/client';
import { accounts, invitations, people, type Role, sessions, signIns } from '@/db/schema';
import { actAs } from './acting';
import { Conflict, Invalid, NotFound } from './errors';
import { passwordProblem } from './password';
import type { Context, Transaction } from './use-case';

/** How long a link opens, days. */
export const INVITATION_DAYS = 7;
const DAY_MS = 86_400_000;

const mark = (secret: string): string => createHash('sha256').update(secret).digest('hex');

/** Enters a person who may sign in as soon as they have a password. @returns their id */
export async function enterPerson(
  tx: Transaction,
  about: { readonly name: string; readonly email: string; readonly role: Role; readonly title?: string },
): Promise<string> {
  const id = randomUUID();
  await tx.insert(people).values({
    ...{ id, name: about.name.trim(), email: about.email.toLowerCase(), emailVerified: true },
    ...{ role: about.role, title: about.title?.trim() || null },
  });
  await tx.insert(accounts).values({ id: randomUUID(), accountId: id, providerId: 'credential', userId: id });
  return id;
}

/** Sets a person’s password; every session under the one before ends. */
export async function setPassword(tx: Transaction, personId: string, password: string | null): Promise<void> {
  await tx
    .update(accounts)
    .set({ password: password === null ? null : await hashPassword(password), updatedAt: new Date() })
    .where(and(eq(accounts.userId, personId), eq(accounts.providerId, 'credential')));
  await tx.delete(sessions).where(eq(sessions.userId, personId));
}

/** Makes a link with which a person sets their own password; those made for them before open nothing any more. */
export async function invite({ tx, actor, now }: Context, personId: string): Promise<{ link: string }> {
  const secret = randomBytes(24).toString('base64url');
  await tx
    .update(invitations)
    .set({ expiresAt: now })
    .where(
      and(eq(invitations.personId, personId), isNull(invitations.usedAt), gt(invitations.expiresAt, now)),
    );
  await tx.insert(invitations).values({
    ...{ personId, secretSha256: mark(secret), by: actor.id, at: now },
    expiresAt: new Date(now.getTime() + INVITATION_DAYS * DAY_MS),
  });
  return { link: `/welcome/${secret}` };
}

/** Who a link is for: unused, in date, and they have access; undefined for any other. */
export async function invitedBy(db: Queryable, secret: string, now: Date) {
  const [found] = await db
    .select({ id: invitations.id, personId: people.id, name: people.name, email: people.email })
    .from(invitations)
    .innerJoin(people, eq(people.id, invitations.personId))
    .where(
      and(
        eq(invitations.secretSha256, mark(secret)),
        isNull(invitations.usedAt),
        gt(invitations.expiresAt, now),
        eq(people.active, true),
      ),
    );
  return found;
}

/**
 * Sets the password of who was invited; the link opens nothing afterwards.
 * @throws NotFound for a link that opens nothing, Invalid for a password that is too easy, Conflict when it was just used
 */
export async function acceptInvitation(
  db: Database,
  { secret, password, address }: { secret: string; password: string; address: string },
  now: Date,
): Promise<{ email: string }> {
  const invited = await invitedBy(db, secret, now);
  if (!invited) throw new NotFound('This link');
  const problem = passwordProblem(password, [invited.name, invited.email]);
  if (problem) throw new Invalid({ password: problem });
  return db.transaction(async (tx) => {
    await actAs(tx, invited.personId, 'set password by invitation');
    const used = await tx
      .update(invitations)
      .set({ usedAt: now })
      .where(and(eq(invitations.id, invited.id), isNull(invitations.usedAt)))
      .returning({ id: invitations.id });
    if (used.length === 0) throw new Conflict('This link has just been used.');
    await setPassword(tx, invited.personId, password);
    const { email, personId } = invited;
    await tx.insert(signIns).values({ email, personId, address, at: now, outcome: 'password set' });
    return { email };
  });
}
