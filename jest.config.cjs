/** Core, demo and server run in Node as they are; the web app through jest-expo. */
const swc = {
  '^.+\\.tsx?$': ['@swc/jest', { jsc: { parser: { syntax: 'typescript' }, target: 'es2022' } }],
};
const node = { testEnvironment: 'node', transform: swc, extensionsToTreatAsEsm: [] };

module.exports = {
  projects: [
    {
      ...node,
      displayName: 'core',
      rootDir: 'packages/core',
      moduleNameMapper: {
        '^fast-check$': require.resolve('./packages/core/testing/properties.cjs'),
      },
    },
    {
      ...node,
      displayName: 'client',
      rootDir: 'packages/client',
      // ES modules only.
      transformIgnorePatterns: ['/node_modules/(?!(uuid|idb|openapi-fetch|@cordel/.*)/)'],
      transform: {
        '^.+\\.[jt]sx?$|\\.mjs$': swc['^.+\\.tsx?$'],
      },
    },
    {
      ...node,
      displayName: 'text',
      rootDir: 'packages/text',
      // ES modules only.
      transformIgnorePatterns: ['/node_modules/(?!(intl-messageformat|@formatjs|@cordel)/)'],
      transform: { '^.+\\.[jt]sx?$': swc['^.+\\.tsx?$'] },
    },
    { ...node, displayName: 'standin', rootDir: 'packages/standin' },
    { ...node, displayName: 'demo', rootDir: 'packages/demo' },
    '<rootDir>/apps/server/jest.config.cjs',
    '<rootDir>/apps/server/jest.postgres.cjs',
    '<rootDir>/apps/web/jest.config.cjs',
    '<rootDir>/e2e/jest.built.cjs',
    '<rootDir>/e2e/jest.config.cjs',
  ],
};
