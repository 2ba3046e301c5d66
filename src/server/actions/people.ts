import { randomUUID } from 'node:crypto';
import { hashPassword, verifyPassword } from 'better-auth/crypto';
import { IsBoolean, IsEmail, IsIn, IsNotEmpty, IsOptional, IsString, MaxLength } from 'class-validator';
import { and, eq } from 'drizzle-orm';
import { accounts, jobClients, jobs, people, ROLES, type Role, sessions } from '@/db/schema';
import { Conflict, NotFound } from '../errors';
import { passwordProblem } from '../password';
import { defineUseCase, MANAGERS, refuseFields, type Transaction } from '../use-case';

export class AddPersonInput {
  @IsNotEmpty({ message: 'Name is needed.' })
  @IsString()
  @MaxLength(80, { message: 'Name: at most 80 characters.' })
  name: string;
  @IsEmail({}, { message: 'E-mail: not an address.' }) email: string;
  @IsIn(ROLES, { message: 'Role: choose one.' }) role: Role;
  @IsOptional() @IsString() @MaxLength(80, { message: 'Title: at most 80 characters.' }) title?: string;
  @IsString({ message: 'Password: at least 10 characters.' }) password: string;
}

/** A person who may sign in. */
export const addPerson = defineUseCase({
  name: 'add person',
  roles: MANAGERS,
  Input: AddPersonInput,
  async act({ tx }, input) {
    const email = input.email.toLowerCase();
    const taken = await tx.select({ id: people.id }).from(people).where(eq(people.email, email));
    if (taken.length > 0) refuseFields({ email: 'This address is in use already.' });
    const problem = passwordProblem(input.password, [input.name, email]);
    if (problem) refuseFields({ password: problem });
    const id = randomUUID();
    await tx.insert(people).values({
      id,
      name: input.name,
      email,
      emailVerified: true,
      role: input.role,
      title: input.title ?? null,
    });
    await tx.insert(accounts).values({
      id: randomUUID(),
      accountId: id,
      providerId: 'credential',
      userId: id,
      password: await hashPassword(input.password),
    });
    return { personId: id };
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
    await newPassword(tx, actor.id, input.next);
    return {};
  },
});

export class ResetPasswordInput {
  @IsString() personId: string;
  @IsString({ message: 'Password: at least 10 characters.' }) @MaxLength(200) password: string;
}

/** A new password for somebody who has none that works, handed over in person. Their sessions end. */
export const resetPassword = defineUseCase({
  name: 'reset password',
  roles: MANAGERS,
  Input: ResetPasswordInput,
  async act({ tx, actor }, input) {
    if (input.personId === actor.id) throw new Conflict('Change your own password under your name.');
    const [person] = await tx.select().from(people).where(eq(people.id, input.personId));
    if (!person) throw new NotFound('This person');
    const problem = passwordProblem(input.password, [person.name, person.email]);
    if (problem) refuseFields({ password: problem });
    await newPassword(tx, person.id, input.password);
    return { personId: person.id };
  },
});

async function newPassword(tx: Transaction, personId: string, password: string): Promise<void> {
  await tx
    .update(accounts)
    .set({ password: await hashPassword(password), updatedAt: new Date() })
    .where(and(eq(accounts.userId, personId), eq(accounts.providerId, 'credential')));
  await tx.delete(sessions).where(eq(sessions.userId, personId));
}

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
    await tx.insert(jobClients).values(input).onConflictDoNothing();
    return { personId: person.id };
  },
});
