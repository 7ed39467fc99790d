const { COMMON, WITHOUT_PAGE } = require('./jest.common.cjs');

/** The built server as a process, without a page: with the API tests, two beside each other. */
module.exports = {
  ...COMMON,
  displayName: 'built',
  testMatch: WITHOUT_PAGE.map((name) => `<rootDir>/${name}.test.ts`),
};
