export interface Failure {
  readonly ok: false;
  /** 0 when the server could not be reached. */
  readonly status: number;
  readonly message: string;
  readonly errors: Readonly<Record<string, string>>;
  readonly details: Readonly<Record<string, unknown>>;
}
export type Reply<T> = { readonly ok: true; readonly data: T } | Failure;

async function send<T>(path: string, data: unknown): Promise<Reply<T>> {
  let response: Response;
  try {
    response = await fetch(path, {
      method: 'POST',
      headers: { 'content-type': 'application/json' },
      body: JSON.stringify(data),
    });
  } catch {
    return {
      ok: false,
      status: 0,
      message:
        'The server cannot be reached. What you entered is kept here: try again when you are connected.',
      errors: {},
      details: {},
    };
  }
  const body = (await response.json().catch(() => ({}))) as Record<string, unknown>;
  if (response.ok) return { ok: true, data: body as T };
  if (response.status === 401)
    window.location.assign(`/sign-in?then=${encodeURIComponent(window.location.pathname)}`);
  return {
    ok: false,
    status: response.status,
    message: String(body.message ?? 'This did not work. Try again.'),
    errors: (body.errors as Record<string, string> | undefined) ?? {},
    details: body,
  };
}

/** Asks the server to carry out a use case. Never throws: what went wrong comes back in words. */
export function perform<T = Record<string, unknown>>(name: string, data: unknown): Promise<Reply<T>> {
  return send<T>(`/api/do/${name}`, data);
}

/** Posts JSON to one of our own addresses. */
export function post<T>(path: string, data: unknown): Promise<Reply<T>> {
  return send<T>(path, data);
}
