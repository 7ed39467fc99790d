const { COMMON, WITHOUT_PAGE } = require('./jest.common.cjs');

/** Stories in the browser. */
module.exports = {
  ...COMMON,
  displayName: 'e2e',
  testPathIgnorePatterns: ['/node_modules/', ...WITHOUT_PAGE.map((name) => `/e2e/${name}\\.test`)],
};
