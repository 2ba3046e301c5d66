import { verifyPassword } from 'better-auth/crypto';
import { IsBoolean, IsEmail, IsIn, IsNotEmpty, IsOptional, IsString, MaxLength } from 'class-validator';
import { and, eq, isNull } from 'drizzle-orm';
import { accounts, jobClients, jobs, people, ROLES, type Role, sessions } from '@/db/schema';
import { Conflict, NotFound } from '../errors';
import { enterPerson, invite, setPassword } from '../invitations';
import { passwordProblem } from '../password';
import { type Context, defineUseCase, MANAGERS, refuseFields } from '../use-case';

export class AddPersonInput {
  @IsNotEmpty({ message: 'Name is needed.' })
  @IsString()
  @MaxLength(80, { message: 'Name: at most 80 characters.' })
  name: string;
  @IsEmail({}, { message: 'E-mail: not an address.' }) email: string;
  @IsIn(ROLES, { message: 'Role: choose one.' }) role: Role;
  @IsOptional() @IsString() @MaxLength(80, { message: 'Title: at most 80 characters.' }) title?: string;
}

/** A person out of a list: their link is made when it can be handed over. */
export const addPersonOnly = defineUseCase({
  name: 'add person',
  roles: MANAGERS,
  Input: AddPersonInput,
  async act({ tx }, input) {
    const email = input.email.toLowerCase();
    const taken = await tx.select({ id: people.id }).from(people).where(eq(people.email, email));
    if (taken.length > 0) refuseFields({ email: 'This address is in use already.' });
    return { personId: await enterPerson(tx, input) };
  },
});

/** A person who may sign in as soon as they have set their password, by the link that is handed to them. */
export const addPerson = defineUseCase({
  name: 'add person',
  roles: MANAGERS,
  Input: AddPersonInput,
  async act(context, input) {
    const { personId } = await addPersonOnly.act(context, input);
    return { personId, ...(await invite(context, personId)) };
  },
});

export class ChangePersonInput {
  @IsString() personId: string;
  @IsOptional() @IsIn(ROLES, { message: 'Role: choose one.' }) role?: Role;
  @IsOptional() @IsBoolean() active?: boolean;
  /** As it stands under signatures from now on; what is signed keeps the name it was signed with. */
  @IsOptional()
  @IsNotEmpty({ message: 'Name is needed.' })
  @IsString()
  @MaxLength(80, { message: 'Name: at most 80 characters.' })
  name?: string;
  @IsOptional() @IsString() @MaxLength(80, { message: 'Title: at most 80 characters.' }) title?: string;
}

/** Another name, title or role, or no more access. Whoever loses access is signed out everywhere at once. */
export const changePerson = defineUseCase({
  name: 'change person',
  roles: MANAGERS,
  Input: ChangePersonInput,
  async act({ tx, actor }, { personId, role, active, name, title }) {
    if (personId === actor.id)
      throw new Conflict('Your own name, role and access are changed by another manager.');
    const changes = {
      ...(role ? { role } : {}),
      ...(active === undefined ? {} : { active }),
      ...(name === undefined ? {} : { name: name.trim() }),
      ...(title === undefined ? {} : { title: title.trim() || null }),
    };
    if (Object.keys(changes).length === 0) return { personId };
    const changed = await tx
      .update(people)
      .set(changes)
      .where(eq(people.id, personId))
      .returning({ id: people.id });
    if (changed.length === 0) throw new NotFound('This person');
    if (active === false) await tx.delete(sessions).where(eq(sessions.userId, personId));
    return { personId };
  },
});

export class ChangePasswordInput {
  @IsString({ message: 'Type your password of now.' }) @MaxLength(200) current: string;
  @IsString({ message: 'Type the new password.' }) @MaxLength(200) next: string;
}

/** Another password of one's own. Every session under the old one ends, this one among them. */
export const changePassword = defineUseCase({
  name: 'change password',
  roles: ROLES,
  Input: ChangePasswordInput,
  async act({ tx, actor }, input) {
    const [account] = await tx
      .select({ id: accounts.id, password: accounts.password, email: people.email, name: people.name })
      .from(accounts)
      .innerJoin(people, eq(people.id, accounts.userId))
      .where(and(eq(accounts.userId, actor.id), eq(accounts.providerId, 'credential')))
      .for('update', { of: accounts });
    const right =
      account?.password && (await verifyPassword({ hash: account.password, password: input.current }));
    if (!account || !right) refuseFields({ current: 'This is not your password.' });
    if (input.next === input.current) refuseFields({ next: 'This is the password you have.' });
    const problem = passwordProblem(input.next, [account?.name ?? '', account?.email ?? '']);
    if (problem) refuseFields({ next: problem });
    await setPassword(tx, actor.id, input.next);
    return {};
  },
});

export class OfPersonInput {
  @IsString() personId: string;
}

async function somebodyElse({ tx, actor }: Context, personId: string, own: string) {
  if (personId === actor.id) throw new Conflict(own);
  const [person] = await tx.select().from(people).where(eq(people.id, personId));
  if (!person) throw new NotFound('This person');
  return person;
}

/** A new link for somebody who has no password, or none that works. The one they have ends at once, with their sessions. */
export const invitePerson = defineUseCase({
  name: 'invite person',
  roles: MANAGERS,
  Input: OfPersonInput,
  async act(context, { personId }) {
    const person = await somebodyElse(context, personId, 'Change your own password under your name.');
    if (!person.active) throw new Conflict(`${person.name} has no access: give it first.`);
    await setPassword(context.tx, personId, null);
    return { personId, ...(await invite(context, personId)) };
  },
});

/** Signs somebody out everywhere: a telephone was lost. Their password stays. */
export const endSessions = defineUseCase({
  name: 'end sessions',
  roles: MANAGERS,
  Input: OfPersonInput,
  async act(context, { personId }) {
    await somebodyElse(context, personId, 'End your own under your name.');
    const ended = await context.tx
      .delete(sessions)
      .where(eq(sessions.userId, personId))
      .returning({ id: sessions.id });
    return { ended: ended.length };
  },
});

export class EndOwnSessionInput {
  @IsString() @MaxLength(100) sessionId: string;
}

/** Ends one of one's own sessions, on whatever device it is. */
export const endOwnSession = defineUseCase({
  name: 'end own session',
  roles: ROLES,
  Input: EndOwnSessionInput,
  async act({ tx, actor }, { sessionId }) {
    const ended = await tx
      .delete(sessions)
      .where(and(eq(sessions.id, sessionId), eq(sessions.userId, actor.id)))
      .returning({ id: sessions.id });
    if (ended.length === 0) throw new NotFound('This session');
    return {};
  },
});

export class LetClientSeeInput {
  @IsString() personId: string;
  @IsString() jobId: string;
}

/** Lets a client read a job. */
export const letClientSee = defineUseCase({
  name: 'let client see job',
  roles: MANAGERS,
  Input: LetClientSeeInput,
  async act({ tx }, input) {
    const [person] = await tx
      .select({ id: people.id })
      .from(people)
      .where(and(eq(people.id, input.personId), eq(people.role, 'client')));
    const [job] = await tx.select({ id: jobs.id }).from(jobs).where(eq(jobs.id, input.jobId));
    if (!person) throw new NotFound('This client');
    if (!job) throw new NotFound('This job');
    await tx
      .insert(jobClients)
      .values(input)
      .onConflictDoUpdate({ target: [jobClients.jobId, jobClients.personId], set: { endedAt: null } });
    return { personId: person.id };
  },
});

/** Takes a client off a job: they read nothing of it any more. */
export const takeClientOff = defineUseCase({
  name: 'take client off job',
  roles: MANAGERS,
  Input: LetClientSeeInput,
  async act({ tx, now }, { personId, jobId }) {
    const ended = await tx
      .update(jobClients)
      .set({ endedAt: now })
      .where(and(eq(jobClients.personId, personId), eq(jobClients.jobId, jobId), isNull(jobClients.endedAt)))
      .returning({ jobId: jobClients.jobId });
    if (ended.length === 0) throw new NotFound('This client on this job');
    return { personId };
  },
});
