import { eq } from 'drizzle-orm';
import { database } from '@/db/client';
import { people, ROLES, type Role } from '@/db/schema';
import { auth } from './auth';
import { NotSignedIn } from './errors';
import type { Actor } from './use-case';

/** The person behind a request; undefined for a stranger, an expired session or a person no longer active. */
export async function actorOf(headers: Headers): Promise<Actor | undefined> {
  const session = await auth().api.getSession({ headers });
  if (!session) return undefined;
  const [person] = await database()
    .select({ id: people.id, name: people.name, role: people.role, active: people.active })
    .from(people)
    .where(eq(people.id, session.user.id));
  if (!person?.active || !ROLES.includes(person.role as Role)) return undefined;
  return { id: person.id, name: person.name, role: person.role };
}

/** The person behind a request. @throws NotSignedIn for a stranger */
export async function requireActor(headers: Headers): Promise<Actor> {
  const actor = await actorOf(headers);
  if (!actor) throw new NotSignedIn();
  return actor;
}
