import { randomUUID } from 'node:crypto';
import { hashPassword } from 'better-auth/crypto';
import {
  IsBoolean,
  IsEmail,
  IsIn,
  IsNotEmpty,
  IsOptional,
  IsString,
  MaxLength,
  MinLength,
} from 'class-validator';
import { and, eq } from 'drizzle-orm';
import { accounts, jobClients, jobs, people, ROLES, type Role, sessions } from '@/db/schema';
import { Conflict, NotFound } from '../errors';
import { defineUseCase, MANAGERS, refuseFields } from '../use-case';

export class AddPersonInput {
  @IsNotEmpty({ message: 'Name is needed.' })
  @IsString()
  @MaxLength(80, { message: 'Name: at most 80 characters.' })
  name: string;
  @IsEmail({}, { message: 'E-mail: not an address.' }) email: string;
  @IsIn(ROLES, { message: 'Role: choose one.' }) role: Role;
  @IsOptional() @IsString() @MaxLength(80, { message: 'Title: at most 80 characters.' }) title?: string;
  @IsString()
  @MinLength(10, { message: 'Password: at least 10 characters.' })
  @MaxLength(128, { message: 'Password: at most 128 characters.' })
  password: string;
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
}

/** Another role, or no more access. A person who loses access is signed out everywhere at once. */
export const changePerson = defineUseCase({
  name: 'change person',
  roles: MANAGERS,
  Input: ChangePersonInput,
  async act({ tx, actor }, { personId, role, active }) {
    if (personId === actor.id) throw new Conflict('Your own role and access are changed by another manager.');
    const changed = await tx
      .update(people)
      .set({ ...(role ? { role } : {}), ...(active === undefined ? {} : { active }) })
      .where(eq(people.id, personId))
      .returning({ id: people.id });
    if (changed.length === 0) throw new NotFound('This person');
    if (active === false) await tx.delete(sessions).where(eq(sessions.userId, personId));
    return { personId };
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
    await tx.insert(jobClients).values(input).onConflictDoNothing();
    return { personId: person.id };
  },
});
