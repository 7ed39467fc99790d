const { readFileSync, readdirSync } = require('node:fs');
const { join } = require('node:path');

const SERVER = join(__dirname, '../..');
const FOLDER = join(SERVER, 'dist/testing/packages');

/** Packages of many files, all of them ES modules. */
const LARGE =
  /from '((?:@cordel|zod|drizzle-orm|hono|@hono|@asteasolutions|better-auth|@better-auth)(?:\/[^']*)?)'/g;

function* sourcesBelow(folder) {
  for (const entry of readdirSync(folder, { withFileTypes: true })) {
    const path = join(folder, entry.name);
    if (entry.isDirectory()) yield* sourcesBelow(path);
    else if (entry.name.endsWith('.ts')) yield path;
  }
}

/** What the server and its tests import of them. */
const NAMES = new Set(
  ['src', 'cli'].flatMap((folder) =>
    [...sourcesBelow(join(SERVER, folder))].flatMap((path) =>
      [...readFileSync(path, 'utf8').matchAll(LARGE)].map(([, name]) => name),
    ),
  ),
);
const packOf = (name) => name.replace(/\W+/g, '-').replace(/^-/, '');

module.exports = {
  /** Where the packages are packed to. */
  PACKAGES_FOLDER: FOLDER,
  /** Entries of the packs: what is imported, by the name of its pack. */
  ENTRIES: Object.fromEntries([...NAMES].map((name) => [packOf(name), name])),
  /** Where Jest finds each. */
  MAPPED: Object.fromEntries(
    [...NAMES].map((name) => [`^${name}$`, join(FOLDER, `${packOf(name)}.mjs`)]),
  ),
};
