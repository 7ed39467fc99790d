const only = (from, allowed) => ({
  name: `${from.replace(/[^a-z]+/g, '-')}-arrows`,
  comment:
    'Arrows point one way: web -> client, text, core, standin; client -> core; text -> core; server -> core, text, standin, demo; standin -> core; demo -> core, standin.',
  severity: 'error',
  from: { path: `^${from}/` },
  to: { path: '^(apps|packages|e2e)/', pathNot: `^(${[from, ...allowed].join('|')})(/|$)` },
});

module.exports = {
  forbidden: [
    only('packages/core', []),
    only('packages/client', ['packages/core']),
    only('packages/text', ['packages/core']),
    only('packages/standin', ['packages/core']),
    only('packages/demo', ['packages/core', 'packages/standin']),
    only('apps/server', ['packages/core', 'packages/text', 'packages/demo', 'packages/standin']),
    only('apps/web', ['packages/client', 'packages/text', 'packages/core', 'packages/standin']),
    // The PostgreSQL that tests run on and the networks that are drawn for them are those of the API tests.
    only('e2e', [
      'packages/client',
      'packages/text',
      'packages/core',
      'apps/server/src/testing/postgres.ts',
      'apps/server/src/testing/drawnNetwork.ts',
      'apps/server/src/testing/plainFigures.ts',
    ]),
    {
      name: 'no-circular',
      severity: 'error',
      from: {},
      to: { circular: true },
    },
    {
      name: 'core-is-pure',
      comment:
        'Core computes: no React, no network, no files, no clock; Zod and small pure libraries only.',
      severity: 'error',
      from: { path: '^packages/core/src', pathNot: '\\.test\\.ts$' },
      to: {
        path: 'node_modules|^node:',
        pathNot:
          'node_modules/(zod|papaparse|@types/papaparse|@noble/hashes|canonicalize|fflate|saxes|geographiclib-geodesic|uqr|fastest-levenshtein|simple-statistics|@date-fns/tz)/',
      },
    },
    {
      name: 'client-without-react',
      comment: 'How a page talks to the server is told without an interface.',
      severity: 'error',
      from: { path: '^packages/client/src' },
      to: { path: 'node_modules/(react|react-native|@tanstack)' },
    },
    {
      name: 'core-imports-no-node',
      severity: 'error',
      from: { path: '^packages/core/src', pathNot: '\\.test\\.ts$' },
      to: { dependencyTypes: ['core'] },
    },
    {
      name: 'resolvable',
      severity: 'error',
      from: {},
      to: { couldNotResolve: true },
    },
  ],
  options: {
    doNotFollow: { path: 'node_modules' },
    exclude: { path: '(/dist/|/\\.expo/|/drizzle/)' },
    tsPreCompilationDeps: true,
    tsConfig: { fileName: 'tsconfig.json' },
    enhancedResolveOptions: {
      exportsFields: ['exports'],
      conditionNames: ['import', 'require', 'node', 'default', 'types'],
      extensions: ['.ts', '.tsx', '.js', '.mjs', '.cjs', '.json'],
      mainFields: ['module', 'main', 'types'],
    },
  },
};
