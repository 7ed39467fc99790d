import { dirname } from 'node:path';
import { fileURLToPath } from 'node:url';

/** The server's own folder. */
export const SERVER = dirname(fileURLToPath(import.meta.url));

/** How esbuild puts anything of the server into few files. */
export const COMMON = {
  absWorkingDir: SERVER,
  bundle: true,
  platform: 'node',
  format: 'esm',
  // What few need is loaded when they ask for it.
  splitting: true,
  target: 'node20',
  logLevel: 'warning',
  external: [
    '@electric-sql/pglite',
    'pg',
    'pg-native',
    'pino',
    'pdfkit',
    'fontkit',
    'exceljs',
    '@node-rs/argon2',
    'prom-client',
  ],
  banner: {
    js: "import { createRequire as requireFrom } from 'node:module'; const require = requireFrom(import.meta.url);",
  },
};

/** What runs on threads of its own, by the names under which the server looks for it. */
export const THREADS = {
  'package.worker': 'src/handover/make/worker.ts',
  'database.worker': 'src/db/embedded/thread.ts',
  'heavy.worker': 'src/heavy/thread.ts',
};
