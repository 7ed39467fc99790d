import { dirname } from 'node:path';
import { fileURLToPath } from 'node:url';
import { build } from 'esbuild';

const common = {
  absWorkingDir: dirname(fileURLToPath(import.meta.url)),
  bundle: true,
  platform: 'node',
  format: 'esm',
  target: 'node20',
  sourcemap: true,
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
    'better-auth',
    '@better-auth/passkey',
    'prom-client',
  ],
  banner: {
    js: "import { createRequire as requireFrom } from 'node:module'; const require = requireFrom(import.meta.url);",
  },
};

/** Each lies in a folder of its own: to build the commands touches no server that runs. */
const builds = {
  server: {
    outdir: 'dist',
    entryPoints: {
      main: 'src/main.ts',
      'package.worker': 'src/handover/make/worker.ts',
      'database.worker': 'src/db/embedded/thread.ts',
      'heavy.worker': 'src/heavy/thread.ts',
    },
  },
  commands: {
    outdir: 'dist/commands',
    entryPoints: {
      otdr: 'cli/otdr.ts',
      verify: 'cli/verify.ts',
      backup: 'cli/backup.ts',
      restore: 'cli/restore.ts',
      'database.worker': 'src/db/embedded/thread.ts',
    },
    // A command loads what it needs when it needs it.
    splitting: true,
  },
};

const wanted = process.argv.slice(2);
for (const name of wanted.length > 0 ? wanted : Object.keys(builds))
  await build({ ...common, ...builds[name] });
