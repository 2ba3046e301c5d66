import type { FieldErrors } from '@/core/methods';
import { capital } from '@/core/words';

/** What a person's request can run into. Each becomes a status code and words at the boundary, never a server error. */
export class Refused extends Error {
  constructor(message = 'You do not have the right to do this.') {
    super(message);
  }
}

export class NotSignedIn extends Error {
  constructor() {
    super('Sign in first.');
  }
}

export class NotFound extends Error {
  constructor(what = 'This') {
    super(`${what} is not there, or not yours to see.`);
  }
}

/** Something typed is not usable; the messages belong at the fields. */
export class Invalid extends Error {
  constructor(readonly errors: FieldErrors) {
    super(Object.values(errors)[0] ?? 'Something typed is not usable.');
  }
}

/** It cannot be done as things stand: somebody else was faster, a report is signed, a run is complete. */
export class Conflict extends Error {
  constructor(
    message: string,
    readonly details: Readonly<Record<string, unknown>> = {},
  ) {
    super(message);
  }
}

/** The database cannot be reached, or takes too long: nothing was changed. */
export class Unavailable extends Error {
  constructor() {
    super('The database cannot answer now. Nothing was changed: try again in a moment.');
  }
}

/** The database's own refusals as words for the person who ran into them; undefined for what is no such refusal. */
export function refusalOf(error: unknown): Error | undefined {
  const known = databaseError(error);
  if (!known) return undefined;
  const { code, message } = known;
  if (code === 'BR001' || code === 'BR002') return new Conflict(`${capital(message)}.`);
  if (code === '23505') return new Conflict('This is there already: somebody may have entered it just now.');
  if (code === '23503') return new NotFound('Something this belongs to');
  // Data that the database cannot hold: a form should have caught it, but a typed value is never a server error.
  if (code.startsWith('22') || code === '23514' || code === '23502')
    return new Invalid({ '': 'A value cannot be stored as it is: check dates and numbers.' });
  if (code === '40001' || code === '40P01')
    return new Conflict('Somebody changed the same thing at the same moment. Try again.');
  if (code.startsWith('08') || code.startsWith('57') || code.startsWith('53') || code === '55P03')
    return new Unavailable();
  return undefined;
}

export interface Answer {
  readonly status: number;
  readonly body: Readonly<Record<string, unknown>>;
}

/** The answer for what went wrong; undefined for what is no expected refusal. */
export function answerOf(raised: unknown): Answer | undefined {
  const error = refusalOf(raised) ?? raised;
  if (error instanceof Unavailable) return { status: 503, body: { message: error.message } };
  if (error instanceof NotSignedIn) return { status: 401, body: { message: error.message } };
  if (error instanceof Refused) return { status: 403, body: { message: error.message } };
  if (error instanceof NotFound) return { status: 404, body: { message: error.message } };
  if (error instanceof Invalid)
    return { status: 422, body: { message: error.message, errors: error.errors } };
  if (error instanceof Conflict) {
    return { status: 409, body: { message: error.message, ...error.details } };
  }
  return undefined;
}

/** The code and words of a database error, however deep it is wrapped. */
export function databaseError(error: unknown): { code: string; message: string } | undefined {
  let current = error;
  for (let depth = 0; depth < 5 && current instanceof Error; depth += 1) {
    const { code } = current as { code?: unknown };
    if (typeof code === 'string' && /^[0-9A-Z]{5}$/.test(code)) return { code, message: current.message };
    current = current.cause;
  }
  return undefined;
}
