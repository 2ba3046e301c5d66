import {
  bigint,
  bigserial,
  boolean,
  index,
  integer,
  pgTable,
  text,
  timestamp,
  uuid,
} from 'drizzle-orm/pg-core';

const at = (name: string) => timestamp(name, { withTimezone: true });

/** Roles decide what a person may do; each use case names the roles that may call it. */
export const ROLES = ['field', 'laboratory', 'reviewer', 'manager', 'client'] as const;
export type Role = (typeof ROLES)[number];

export const people = pgTable('people', {
  id: text('id').primaryKey(),
  name: text('name').notNull(),
  email: text('email').notNull().unique(),
  emailVerified: boolean('email_verified').notNull().default(false),
  image: text('image'),
  role: text('role', { enum: ROLES }).notNull().default('client'),
  /** Shown under a signature. */
  title: text('title'),
  active: boolean('active').notNull().default(true),
  createdAt: at('created_at').notNull().defaultNow(),
  updatedAt: at('updated_at').notNull().defaultNow(),
});

export const sessions = pgTable('sessions', {
  id: text('id').primaryKey(),
  userId: text('user_id')
    .notNull()
    .references(() => people.id),
  token: text('token').notNull().unique(),
  expiresAt: at('expires_at').notNull(),
  ipAddress: text('ip_address'),
  userAgent: text('user_agent'),
  createdAt: at('created_at').notNull().defaultNow(),
  updatedAt: at('updated_at').notNull().defaultNow(),
});

export const accounts = pgTable('accounts', {
  id: text('id').primaryKey(),
  accountId: text('account_id').notNull(),
  providerId: text('provider_id').notNull(),
  userId: text('user_id')
    .notNull()
    .references(() => people.id),
  accessToken: text('access_token'),
  refreshToken: text('refresh_token'),
  idToken: text('id_token'),
  accessTokenExpiresAt: at('access_token_expires_at'),
  refreshTokenExpiresAt: at('refresh_token_expires_at'),
  scope: text('scope'),
  password: text('password'),
  createdAt: at('created_at').notNull().defaultNow(),
  updatedAt: at('updated_at').notNull().defaultNow(),
});

export const verifications = pgTable('verifications', {
  id: text('id').primaryKey(),
  identifier: text('identifier').notNull(),
  value: text('value').notNull(),
  expiresAt: at('expires_at').notNull(),
  createdAt: at('created_at').notNull().defaultNow(),
  updatedAt: at('updated_at').notNull().defaultNow(),
});

export const rateLimits = pgTable('rate_limits', {
  id: text('id').primaryKey(),
  key: text('key').notNull().unique(),
  count: integer('count').notNull(),
  lastRequest: bigint('last_request', { mode: 'number' }).notNull(),
});

/** A way in for somebody who has no password yet, or none that works: opened once, by who has its link. */
export const invitations = pgTable(
  'invitations',
  {
    id: uuid('id').primaryKey().defaultRandom(),
    personId: text('person_id')
      .notNull()
      .references(() => people.id),
    /** Of the secret in its link, SHA-256 in hex: what is kept here opens nothing. */
    secretSha256: text('secret_sha256').notNull().unique(),
    by: text('by')
      .notNull()
      .references(() => people.id),
    at: at('at').notNull(),
    expiresAt: at('expires_at').notNull(),
    usedAt: at('used_at'),
  },
  (table) => [index().on(table.personId, table.at)],
);

/** What came of an attempt to sign in, or that somebody signed out. Append only. */
export const signIns = pgTable(
  'sign_ins',
  {
    id: bigserial('id', { mode: 'number' }).primaryKey(),
    at: at('at').notNull(),
    /** As typed, in small letters. */
    email: text('email').notNull(),
    personId: text('person_id').references(() => people.id),
    address: text('address').notNull().default(''),
    outcome: text('outcome', {
      enum: ['signed in', 'refused', 'held back', 'signed out', 'password set'],
    }).notNull(),
  },
  (table) => [index().on(table.at), index().on(table.email, table.at)],
);
