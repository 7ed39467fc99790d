import { sql } from 'drizzle-orm';
import {
  bigserial,
  boolean,
  index,
  integer,
  jsonb,
  pgTable,
  primaryKey,
  text,
  timestamp,
  uniqueIndex,
  uuid,
} from 'drizzle-orm/pg-core';
import type { Role } from '@cordel/core';
import { projects } from './plant.ts';

const moment = (name: string) => timestamp(name, { withTimezone: true });
const created = (name = 'created_at') => moment(name).notNull().defaultNow();

/** People who sign in. */
export const people = pgTable(
  'people',
  {
    id: uuid().primaryKey(),
    name: text().notNull(),
    /** In small letters. */
    email: text().notNull().unique(),
    emailVerified: boolean('email_verified').notNull().default(false),
    image: text(),
    /** The owner of the server: may do all in every project, and back it up. */
    ownsServer: boolean('owns_server').notNull().default(false),
    createdAt: created(),
    updatedAt: created('updated_at'),
  },
  // What is signed names one person.
  (table) => [uniqueIndex('people_name').on(sql`lower(${table.name})`)],
);

const personId = () =>
  uuid('person_id')
    .notNull()
    .references(() => people.id);

/** Phones and computers on which people have signed in. */
export const devices = pgTable('devices', {
  id: uuid().primaryKey(),
  /** SHA-256 of the secret in the device's cookie. */
  secretHash: text('secret_hash').notNull().unique(),
  /** The one before, until the new one has been used for a while: an answer that brought it may be lost. */
  previousHash: text('previous_hash').unique(),
  /** When the secret was made. */
  renewedAt: created('renewed_at'),
  /** As its browser names itself. */
  name: text().notNull(),
  createdAt: created(),
  /** Since when nobody may use it: it was lost. */
  lockedOutAt: moment('locked_out_at'),
});

/** People who are signed in on a device. */
export const sessions = pgTable(
  'sessions',
  {
    id: uuid().primaryKey(),
    token: text().notNull().unique(),
    personId: personId(),
    deviceId: uuid('device_id').references(() => devices.id),
    expiresAt: moment('expires_at').notNull(),
    ipAddress: text('ip_address'),
    userAgent: text('user_agent'),
    createdAt: created(),
    updatedAt: created('updated_at'),
    /** SHA-256 of what shows, for a shift, that the person was at the device: what they made is sent in another's turn. */
    proofHash: text('proof_hash'),
    proofUntil: moment('proof_until'),
    /** When the person last typed their PIN or password to sign a record. */
    confirmedAt: moment('confirmed_at'),
  },
  (table) => [
    index('sessions_person').on(table.personId),
    index('sessions_device').on(table.deviceId),
  ],
);

/** Passwords, as argon2 has them; the other columns are for ways of signing in that are not used. */
export const credentials = pgTable(
  'credentials',
  {
    id: uuid().primaryKey(),
    personId: personId(),
    accountId: text('account_id').notNull(),
    providerId: text('provider_id').notNull(),
    password: text(),
    accessToken: text('access_token'),
    refreshToken: text('refresh_token'),
    idToken: text('id_token'),
    accessTokenExpiresAt: moment('access_token_expires_at'),
    refreshTokenExpiresAt: moment('refresh_token_expires_at'),
    scope: text(),
    createdAt: created(),
    updatedAt: created('updated_at'),
  },
  (table) => [index('credentials_person').on(table.personId)],
);

/** Challenges of passkeys that wait to be answered. */
export const verifications = pgTable(
  'verifications',
  {
    id: uuid().primaryKey(),
    identifier: text().notNull(),
    value: text().notNull(),
    expiresAt: moment('expires_at').notNull(),
    createdAt: created(),
    updatedAt: created('updated_at'),
  },
  (table) => [index('verifications_identifier').on(table.identifier)],
);

/** Passkeys (W3C Web Authentication). */
export const passkeys = pgTable(
  'passkeys',
  {
    id: uuid().primaryKey(),
    personId: personId(),
    name: text(),
    publicKey: text('public_key').notNull(),
    credentialId: text('credential_id').notNull(),
    counter: integer().notNull(),
    deviceType: text('device_type').notNull(),
    backedUp: boolean('backed_up').notNull(),
    transports: text(),
    aaguid: text(),
    createdAt: created(),
  },
  (table) => [
    index('passkeys_person').on(table.personId),
    index('passkeys_credential').on(table.credentialId),
  ],
);

/** Short codes by which people take turns on a phone that they share. */
export const pins = pgTable('pins', {
  personId: personId().primaryKey(),
  hash: text().notNull(),
});

/** What people are in projects. */
export const members = pgTable(
  'members',
  {
    projectId: uuid('project_id')
      .notNull()
      .references(() => projects.id, { onDelete: 'cascade' }),
    personId: personId(),
    role: text().$type<Role>().notNull(),
    since: created('since'),
  },
  (table) => [
    primaryKey({ columns: [table.projectId, table.personId] }),
    index('members_person').on(table.personId),
  ],
);

/** Links by which people join: used once, by whoever has it. */
export const invitations = pgTable('invitations', {
  id: uuid().primaryKey(),
  /** SHA-256 of the secret in the link. */
  secretHash: text('secret_hash').notNull().unique(),
  /** Whose password it sets anew; null where it is for somebody new. */
  forPersonId: uuid('for_person_id').references(() => people.id),
  /** Null where it makes the owner of the server, or sets a password. */
  projectId: uuid('project_id').references(() => projects.id, { onDelete: 'cascade' }),
  role: text().$type<Role>().notNull(),
  /** For whom it is, as whoever invited wrote it. */
  note: text().notNull(),
  invitedBy: uuid('invited_by').references(() => people.id),
  createdAt: created(),
  expiresAt: moment('expires_at').notNull(),
  usedAt: moment('used_at'),
  usedBy: uuid('used_by').references(() => people.id),
  revokedAt: moment('revoked_at'),
});

/** Tries of what may be tried only so often in a time. */
export const tries = pgTable('tries', {
  /** What is tried, and by whom. */
  key: text().primaryKey(),
  count: integer().notNull(),
  /** When the count begins anew. */
  until: moment('until').notNull(),
});

/** Keys of the server, made at its first start. */
export const serverKeys = pgTable('server_keys', {
  name: text().primaryKey(),
  value: text().notNull(),
  createdAt: created(),
});

/** Who sent an entry, from where, and when it came: the server's own word. Appended only. */
export const receipts = pgTable(
  'receipts',
  {
    entryId: uuid('entry_id').primaryKey(),
    projectId: uuid('project_id').notNull(),
    personId: uuid('person_id'),
    deviceId: uuid('device_id'),
    /** Made on a device before it was locked out, and sent from it after. */
    afterLockout: boolean('after_lockout').notNull().default(false),
    receivedAt: moment('received_at')
      .notNull()
      .default(sql`now()`),
  },
  (table) => [index('receipts_project').on(table.projectId)],
);

/** Who signed in, gave roles, changed limits and plans, and took copies. Appended only. */
export const audit = pgTable(
  'audit',
  {
    seq: bigserial({ mode: 'number' }).primaryKey(),
    at: created('at'),
    code: text().notNull(),
    projectId: uuid('project_id'),
    personId: uuid('person_id'),
    deviceId: uuid('device_id'),
    parameters: jsonb().$type<Record<string, unknown>>().notNull(),
  },
  (table) => [index('audit_project').on(table.projectId, table.seq)],
);
