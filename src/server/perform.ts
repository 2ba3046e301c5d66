import { validated } from '@/core/methods';
import type { Database } from '@/db/client';
import { actAs } from './acting';
import { Invalid, Refused, refusalOf } from './errors';
import type { Actor, UseCase } from './use-case';
import { projectTouched } from './verdicts';

/**
 * Carries out a use case: checks the right, validates, acts in one transaction that names the actor for the audit.
 * @throws Refused, Invalid, NotFound, Conflict: what a person's request can run into
 */
export async function perform<I extends object, R>(
  db: Database,
  actor: Actor,
  definition: UseCase<I, R>,
  data: unknown,
  now: Date = new Date(),
): Promise<R> {
  if (!definition.roles.includes(actor.role)) throw new Refused();
  const input = validated(definition.Input, data, { strict: true });
  if (!input.ok) throw new Invalid(input.errors);
  try {
    await definition.ready?.({ db, actor, now }, input.value);
    const done = await db.transaction(async (tx) => {
      await actAs(tx, actor.id, definition.name);
      const result = await definition.act({ tx, actor, now }, input.value);
      await projectTouched(tx);
      return result;
    });
    await definition.after?.({ db, actor, now }, input.value);
    return done;
  } catch (error) {
    throw refusalOf(error) ?? error;
  }
}
