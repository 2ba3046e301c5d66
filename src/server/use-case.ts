import type { FieldErrors } from '@/core/methods';
import type { Database, Queryable } from '@/db/client';
import type { Role } from '@/db/schema';
import { Invalid } from './errors';

/** Who acts. */
export interface Actor {
  readonly id: string;
  readonly name: string;
  readonly role: Role;
}

export type Transaction = Parameters<Parameters<Database['transaction']>[0]>[0];

/** What a use case works with: its transaction, who acts, and the time (passed in, never taken). */
export interface Context {
  readonly tx: Transaction;
  readonly actor: Actor;
  readonly now: Date;
}

/** What a use case waits with: each question to the database takes a connection and gives it back. */
export type Waiting = Omit<Context, 'tx'> & { readonly db: Queryable };

/** One thing a person can do. */
export interface UseCase<I extends object = object, R = unknown> {
  readonly name: string;
  readonly roles: readonly Role[];
  readonly Input: new () => I;
  /**
   * What has to be waited for, before the transaction: nothing waits while it holds a connection, or a few who wait
   * would stop everybody else.
   */
  ready?(waiting: Waiting, input: I): Promise<void>;
  act(context: Context, input: I): Promise<R>;
  /** What follows from it and may take long, in transactions of its own: nobody waits for its locks meanwhile. */
  after?(following: Omit<Context, 'tx'> & { readonly db: Database }, input: I): Promise<void>;
}

/** Declares a use case; only for the types to be inferred. */
export function defineUseCase<I extends object, R>(definition: UseCase<I, R>): UseCase<I, R> {
  return definition;
}

export const STAFF: readonly Role[] = ['field', 'laboratory', 'reviewer', 'manager'];
export const BENCH: readonly Role[] = ['laboratory', 'reviewer', 'manager'];
export const SIGNERS: readonly Role[] = ['reviewer'];
export const MANAGERS: readonly Role[] = ['manager'];

/** Throws an error for fields that only the database can judge. */
export function refuseFields(errors: FieldErrors): never {
  throw new Invalid(errors);
}
