/** The API tests once more, on a real PostgreSQL with two servers before it. */
module.exports = {
  ...require('./jest.config.cjs'),
  displayName: 'postgres',
  globals: { CORDEL_ON_POSTGRES: true },
  globalSetup: '<rootDir>/src/testing/startPostgres.ts',
  globalTeardown: '<rootDir>/src/testing/stopPostgres.ts',
  // What is about the embedded database, files or programs is no other there.
  testPathIgnorePatterns: ['/node_modules/', '/src/db/', '/src/http/', '/cli/', '/file.test.ts$'],
};
