const { join } = require('node:path');

/** Where the packages of sign-in are packed to, for tests. */
const AUTH_FOLDER = join(__dirname, '../../dist/testing/auth');

/** Their entries, by the names of their packs. */
const AUTH_ENTRIES = {
  'better-auth': 'better-auth',
  'better-auth-api': 'better-auth/api',
  'better-auth-cookies': 'better-auth/cookies',
  'better-auth-drizzle': 'better-auth/adapters/drizzle',
  'better-auth-passkey': '@better-auth/passkey',
};

module.exports = { AUTH_FOLDER, AUTH_ENTRIES };
