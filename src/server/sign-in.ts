import { eq } from 'drizzle-orm';
import { DEMO_PASSWORD } from '@/core/identity/demo-password';
import { type Database, database } from '@/db/client';
import { people, signIns } from '@/db/schema';
import { auth } from './auth';
import { NotFound, Refused } from './errors';
import { isOwnOrigin, ownJson } from './http';
import { actorOf } from './session';
import { beginAttempt, deviceToken, isKnownDevice, signedIn } from './sign-in-limit';

const DEVICE_COOKIE = 'bricole_device';
/** Accounts that one shared device remembers; the oldest is forgotten first. */
const REMEMBERED = 8;
const YEAR_S = 365 * 86_400;

/** Where the connection came from, by the gateway's word; anything a client claims of itself is not asked. */
export function addressOf(headers: Headers): string {
  return headers.get('x-bricole-address') ?? '';
}

function deviceTokens(headers: Headers): string[] {
  const all = headers.get('cookie') ?? '';
  const own = all.split(/;\s*/u).find((part) => part.startsWith(`${DEVICE_COOKIE}=`));
  return own
    ? own
        .slice(DEVICE_COOKIE.length + 1)
        .split('~')
        .slice(0, REMEMBERED)
    : [];
}

async function keep(
  db: Database,
  row: Pick<typeof signIns.$inferInsert, 'email' | 'outcome' | 'personId' | 'address'>,
): Promise<void> {
  await db.insert(signIns).values({ ...row, at: new Date() });
}

/** Signs a person in by e-mail and password: held back after failures, on record whatever comes of it. */
export async function signIn(request: Request): Promise<Response> {
  const body = (await ownJson(request.clone())) as { email?: unknown; password?: unknown } | null;
  const email = typeof body?.email === 'string' ? body.email.trim().toLowerCase().slice(0, 200) : '';
  const db = database();
  const secret = process.env.BRICOLE_SECRET ?? '';
  const tokens = deviceTokens(request.headers);
  const address = addressOf(request.headers);
  const attempt = { email, address, known: isKnownDevice(secret, email, tokens) };
  const wait = await beginAttempt(db, attempt, Date.now());
  if (wait > 0) {
    await keep(db, { email, address, outcome: 'held back' });
    const seconds = Math.ceil(wait / 1000);
    return Response.json(
      {
        message: `Too many attempts. Try again in ${seconds < 90 ? `${seconds} s` : `${Math.ceil(seconds / 60)} min`}.`,
      },
      { status: 429, headers: { 'retry-after': String(seconds) } },
    );
  }
  // Printed with the demo: outside it a password that everybody knows.
  const known = body?.password === DEMO_PASSWORD && process.env.BRICOLE_DEMO !== '1';
  const answer = known
    ? Response.json(
        { message: 'This password is the demo’s: a manager must give a new one.' },
        { status: 403 },
      )
    : await auth().handler(request);
  const [person] = await db.select({ id: people.id }).from(people).where(eq(people.email, email));
  const personId = person?.id ?? null;
  await keep(db, { email, address, personId, outcome: answer.ok ? 'signed in' : 'refused' });
  if (!answer.ok) return answer;
  await signedIn(db, attempt);
  const headers = new Headers(answer.headers);
  const rest = tokens.filter((token) => !isKnownDevice(secret, email, [token]));
  const value = [deviceToken(secret, email), ...rest].slice(0, REMEMBERED).join('~');
  const secure = process.env.BRICOLE_URL?.startsWith('https://') ? '; Secure' : '';
  headers.append(
    'set-cookie',
    `${DEVICE_COOKIE}=${value}; Path=/api/auth; Max-Age=${YEAR_S}; HttpOnly; SameSite=Lax${secure}`,
  );
  return new Response(answer.body, { status: answer.status, headers });
}

/** Signs a person out, on record. */
export async function signOut(request: Request): Promise<Response> {
  if (!isOwnOrigin(request)) throw new Refused();
  const actor = await actorOf(request.headers);
  const answer = await auth().handler(request);
  if (actor && answer.ok) {
    const db = database();
    const [person] = await db.select({ email: people.email }).from(people).where(eq(people.id, actor.id));
    await keep(db, {
      email: person?.email ?? '',
      address: addressOf(request.headers),
      personId: actor.id,
      outcome: 'signed out',
    });
  }
  return answer;
}

/** The two doors of the sign-in service that are used; all its others are shut. */
export function signInService(request: Request): Promise<Response> {
  const path = new URL(request.url).pathname;
  if (path === '/api/auth/sign-in/email') return signIn(request);
  if (path === '/api/auth/sign-out') return signOut(request);
  throw new NotFound('This');
}
