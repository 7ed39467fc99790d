const COMMON = {
  testEnvironment: 'node',
  transform: {
    '^.+\\.tsx?$': [
      '@swc/jest',
      { jsc: { parser: { syntax: 'typescript' }, target: 'es2022' }, module: { type: 'es6' } },
    ],
  },
  extensionsToTreatAsEsm: ['.ts'],
};

/** Files that open no page. */
const WITHOUT_PAGE = ['backup', 'client', 'disk', 'fuzz', 'postgres', 'serve', 'server'];

module.exports = { COMMON, WITHOUT_PAGE };
