const { AUTH_ENTRIES, AUTH_FOLDER } = require('./src/testing/packed.cjs');

module.exports = {
  displayName: 'server',
  testEnvironment: 'node',
  globalSetup: '<rootDir>/src/testing/pack.mjs',
  moduleNameMapper: Object.fromEntries(
    Object.entries(AUTH_ENTRIES).map(([pack, name]) => [`^${name}$`, `${AUTH_FOLDER}/${pack}.mjs`]),
  ),
  transform: {
    '^.+\\.tsx?$': [
      '@swc/jest',
      { jsc: { parser: { syntax: 'typescript' }, target: 'es2022' }, module: { type: 'es6' } },
    ],
  },
  extensionsToTreatAsEsm: ['.ts'],
};
