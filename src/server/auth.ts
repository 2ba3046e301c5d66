import { betterAuth } from 'better-auth';
import { drizzleAdapter } from 'better-auth/adapters/drizzle';
import { database } from '@/db/client';
import { accounts, people, rateLimits, sessions, verifications } from '@/db/schema';
import { ATTEMPTS } from './sign-in-limit';

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
        rateLimit: rateLimits,
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
    rateLimit: {
      enabled: true,
      storage: 'database',
      window: 60,
      max: 200,
      customRules: {
        // For each address, and its count falls back only after a minute without any: a laboratory's people share one
        // address and arrive together. Guessing at one account is held back for that account, in sign-in-limit.ts.
        '/sign-in/email': { window: 60, max: 5 * ATTEMPTS },
      },
    },
    advanced: {
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
