import { Invalid } from '@/server/errors';

/** What a use case said was wrong, by field; under the empty name what it said in one sentence; empty when it worked. */
export function errorsOf(promise: Promise<unknown>): Promise<Record<string, string>> {
  return promise.then(
    () => ({}),
    (error: unknown) =>
      error instanceof Invalid
        ? { ...error.errors }
        : { '': error instanceof Error ? error.message : String(error) },
  );
}
