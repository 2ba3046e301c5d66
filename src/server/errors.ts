import type { FieldErrors } from '@/core/methods';

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

export interface Answer {
  readonly status: number;
  readonly body: Readonly<Record<string, unknown>>;
}

/** The answer for what went wrong; undefined for what is no expected refusal. */
export function answerOf(error: unknown): Answer | undefined {
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
