/**
 * The API tests in which the engine matters once more, on a real PostgreSQL with two servers before it: locks and races,
 * notifications, what may only be appended, large reads and writes, migrations, packages and backup. Every route is called
 * there by `e2e/fuzz.test.ts`.
 */
module.exports = {
  ...require('./jest.config.cjs'),
  displayName: 'postgres',
  globals: { CORDEL_ON_POSTGRES: true },
  globalSetup: '<rootDir>/src/testing/startPostgres.ts',
  globalTeardown: '<rootDir>/src/testing/stopPostgres.ts',
  testMatch: [
    'races',
    'migrations',
    'accounts/accounts',
    'backup/backup',
    'chain/chain',
    'changes/changes',
    'closing/closing',
    'conflicts/conflicts',
    'evidence/appendOnly',
    'evidence/evidence',
    'exchange/import/import',
    'handover/handover',
    'ledger/ledger',
    'merge/merge',
    'plans/retire',
    'removal/removal',
    'splices/list',
    'uploads/uploads',
  ].map((name) => `<rootDir>/src/${name}.test.ts`),
};
