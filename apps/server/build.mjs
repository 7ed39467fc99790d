import { readdir, rm } from 'node:fs/promises';
import { dirname, join } from 'node:path';
import { fileURLToPath } from 'node:url';
import { build } from 'esbuild';

const common = {
  absWorkingDir: dirname(fileURLToPath(import.meta.url)),
  bundle: true,
  platform: 'node',
  format: 'esm',
  // What few need is loaded when they ask for it.
  splitting: true,
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
  },
};

const wanted = process.argv.slice(2);
for (const name of wanted.length > 0 ? wanted : Object.keys(builds)) {
  const folder = join(common.absWorkingDir, builds[name].outdir);
  await removeChunks(folder);
  await build({ ...common, ...builds[name] });
}

/** Shared pieces are named by what is in them: those of the last build would stay. */
async function removeChunks(folder) {
  const names = await readdir(folder).catch(() => []);
  for (const name of names) if (name.startsWith('chunk-')) await rm(join(folder, name));
}
