import { eq } from 'drizzle-orm';
import { database } from '@/db/client';
import { people, ROLES, type Role } from '@/db/schema';
import { auth } from './auth';
import { NotSignedIn } from './errors';
import type { Actor } from './use-case';

/** The person behind a request with the session; undefined for a stranger, an expired session, a person no longer active. */
export async function signedInOf(
  headers: Headers,
): Promise<{ readonly actor: Actor; readonly sessionId: string } | undefined> {
  const session = await auth().api.getSession({ headers });
  if (!session) return undefined;
  const [person] = await database()
    .select({ id: people.id, name: people.name, role: people.role, active: people.active })
    .from(people)
    .where(eq(people.id, session.user.id));
  if (!person?.active || !ROLES.includes(person.role as Role)) return undefined;
  return {
    actor: { id: person.id, name: person.name, role: person.role },
    sessionId: session.session.id,
  };
}

/** The person behind a request; undefined for who is nobody here. */
export async function actorOf(headers: Headers): Promise<Actor | undefined> {
  return (await signedInOf(headers))?.actor;
}

/** The person behind a request. @throws NotSignedIn for a stranger */
export async function requireActor(headers: Headers): Promise<Actor> {
  const actor = await actorOf(headers);
  if (!actor) throw new NotSignedIn();
  return actor;
}
