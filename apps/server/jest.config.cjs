const { MAPPED } = require('./src/testing/packed.cjs');

module.exports = {
  displayName: 'server',
  testEnvironment: 'node',
  globalSetup: '<rootDir>/src/testing/pack.mjs',
  moduleNameMapper: {
    ...MAPPED,
    '^fast-check$': require.resolve('../../packages/core/testing/properties.cjs'),
  },
  transform: {
    '^.+\\.tsx?$': [
      '@swc/jest',
      { jsc: { parser: { syntax: 'typescript' }, target: 'es2022' }, module: { type: 'es6' } },
    ],
  },
  extensionsToTreatAsEsm: ['.ts'],
};
