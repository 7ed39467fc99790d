const { readFileSync, readdirSync } = require('node:fs');
const { join } = require('node:path');

/** Whether a file of tests opens a page: those that do run one after the other, each with both cores for it. */
const opensPage = (name) =>
  /\b(startBrowser|demoOnAPhone)\b/.test(readFileSync(join(__dirname, name), 'utf8'));
const names = readdirSync(__dirname).filter((name) => name.endsWith('.test.ts'));
const matchOf = (list) => list.map((name) => `<rootDir>/${name}`);

const common = {
  rootDir: __dirname,
  testEnvironment: 'node',
  transform: {
    '^.+\\.tsx?$': [
      '@swc/jest',
      { jsc: { parser: { syntax: 'typescript' }, target: 'es2022' }, module: { type: 'es6' } },
    ],
  },
  extensionsToTreatAsEsm: ['.ts'],
};

module.exports = {
  pages: { ...common, displayName: 'e2e', testMatch: matchOf(names.filter(opensPage)) },
  /** The built server without a page; these run beside the API tests. */
  built: {
    ...common,
    displayName: 'built',
    testMatch: matchOf(names.filter((name) => !opensPage(name))),
  },
};
