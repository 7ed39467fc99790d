import { createHash } from 'node:crypto';
import { existsSync, readFileSync } from 'node:fs';
import { rm, writeFile } from 'node:fs/promises';
import { createRequire } from 'node:module';
import { join } from 'node:path';
import { fileURLToPath } from 'node:url';
import { build } from 'esbuild';
import { COMMON, SERVER, THREADS } from '../../builds.mjs';

const { AUTH_ENTRIES, AUTH_FOLDER } = createRequire(import.meta.url)('./packed.cjs');
const THREADS_FOLDER = join(SERVER, 'dist/testing/threads');

/** Packs what would take long to load file by file, before all tests. */
export default async function pack() {
  await Promise.all([packAuth(), packThreads()]);
  process.env.CORDEL_TEST_THREADS = THREADS_FOLDER;
}

/**
 * Jest loads each file of a package by itself, in each file of tests anew: the packages of sign-in have 900. They are
 * packed into a few, as they are in the built server.
 */
async function packAuth() {
  const mark = createHash('sha256')
    .update(readFileSync(join(SERVER, '../../package-lock.json')))
    .update(readFileSync(fileURLToPath(import.meta.url)))
    .digest('hex');
  const markFile = join(AUTH_FOLDER, 'mark');
  if (existsSync(markFile) && readFileSync(markFile, 'utf8') === mark) return;
  await rm(AUTH_FOLDER, { recursive: true, force: true });
  await build({
    ...COMMON,
    entryPoints: AUTH_ENTRIES,
    outdir: AUTH_FOLDER,
    // Jest takes other names for CommonJS.
    outExtension: { '.js': '.mjs' },
    // What others load too is the same for them.
    external: [...COMMON.external, 'drizzle-orm', 'zod', 'hono'],
  });
  await writeFile(markFile, mark);
}

async function packThreads() {
  await rm(THREADS_FOLDER, { recursive: true, force: true });
  await build({ ...COMMON, entryPoints: THREADS, outdir: THREADS_FOLDER });
  await writeFile(join(THREADS_FOLDER, 'package.json'), '{"type":"module"}');
}
