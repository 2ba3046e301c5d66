import { betterAuth } from 'better-auth';
import { drizzleAdapter } from 'better-auth/adapters/drizzle';
import { APIError } from 'better-auth/api';
import { eq } from 'drizzle-orm';
import { database } from '@/db/client';
import { accounts, people, sessions, verifications } from '@/db/schema';

function create() {
  const baseURL = process.env.BRICOLE_URL ?? 'http://127.0.0.1:3000';
  return betterAuth({
    baseURL,
    // The same machine by its other name; a page opened so must be able to sign in.
    trustedOrigins: [baseURL, baseURL.replace('//127.0.0.1', '//localhost')],
    secret: process.env.BRICOLE_SECRET ?? '',
    telemetry: { enabled: false },
    database: drizzleAdapter(database(), {
      provider: 'pg',
      schema: {
        user: people,
        session: sessions,
        account: accounts,
        verification: verifications,
      },
    }),
    emailAndPassword: {
      enabled: true,
      // People are entered by a manager; nobody signs themselves up.
      disableSignUp: true,
      minPasswordLength: 10,
      maxPasswordLength: 128,
    },
    user: {
      additionalFields: {
        role: { type: 'string', input: false },
        title: { type: 'string', input: false, required: false },
        active: { type: 'boolean', input: false },
      },
    },
    session: { expiresIn: 60 * 60 * 24 * 7, updateAge: 60 * 60 * 24 },
    // Guessing is held back in sign-in-limit.ts, by account and by where the connection really came from: the service's
    // own limit believes the address that a request claims.
    rateLimit: { enabled: false },
    databaseHooks: {
      session: {
        create: {
          before: async ({ userId }) => {
            const [person] = await database()
              .select({ active: people.active })
              .from(people)
              .where(eq(people.id, userId));
            if (!person?.active) {
              throw new APIError('FORBIDDEN', {
                message: 'This account has no access any more: ask a manager.',
              });
            }
          },
        },
      },
    },
    advanced: {
      // By the gateway's word: what a request claims of itself is not asked.
      ipAddress: { ipAddressHeaders: ['x-bricole-address'] },
      // On loopback the application speaks plain HTTP; behind TLS the cookies are Secure with the __Secure- prefix.
      useSecureCookies: baseURL.startsWith('https://'),
      defaultCookieAttributes: { httpOnly: true, sameSite: 'lax' },
      cookiePrefix: 'bricole',
    },
  });
}

type Auth = ReturnType<typeof create>;
const shared = globalThis as { bricoleAuth?: Auth };

/** The sign-in service, made on first use so that building the application needs no database. */
export function auth(): Auth {
  shared.bricoleAuth ??= create();
  return shared.bricoleAuth;
}
