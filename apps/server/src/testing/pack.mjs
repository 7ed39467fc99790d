import { rm, writeFile } from 'node:fs/promises';
import { createRequire } from 'node:module';
import { join } from 'node:path';
import { build } from 'esbuild';
import { COMMON, SERVER, THREADS } from '../../builds.mjs';

const { ENTRIES, PACKAGES_FOLDER } = createRequire(import.meta.url)('./packed.cjs');
const THREADS_FOLDER = join(SERVER, 'dist/testing/threads');

/** Packs what would take long to load file by file, before all tests. */
export default async function pack() {
  await Promise.all([packPackages(), packThreads()]);
  process.env.CORDEL_TEST_THREADS = THREADS_FOLDER;
}

/**
 * Jest loads each file of a package by itself, in each file of tests anew, and there are 1500: together they took longer
 * than most tests. They are packed into a few, as they are in the built server.
 */
async function packPackages() {
  await rm(PACKAGES_FOLDER, { recursive: true, force: true });
  await build({
    ...COMMON,
    entryPoints: ENTRIES,
    outdir: PACKAGES_FOLDER,
    // Jest takes other names for CommonJS.
    outExtension: { '.js': '.mjs' },
    // Names of CommonJS are lost in an entry.
    mainFields: ['module', 'main'],
  });
}

async function packThreads() {
  await rm(THREADS_FOLDER, { recursive: true, force: true });
  await build({ ...COMMON, entryPoints: THREADS, outdir: THREADS_FOLDER });
  await writeFile(join(THREADS_FOLDER, 'package.json'), '{"type":"module"}');
}
