import { readdir, rm } from 'node:fs/promises';
import { join } from 'node:path';
import { build } from 'esbuild';
import { COMMON, SERVER, THREADS } from './builds.mjs';

/** Each lies in a folder of its own: to build the commands touches no server that runs. */
const BUILDS = {
  server: {
    outdir: 'dist',
    entryPoints: {
      main: 'src/main.ts',
      'empty-database': 'src/db/embedded/makeEmpty.ts',
      ...THREADS,
    },
  },
  commands: {
    outdir: 'dist/commands',
    entryPoints: {
      otdr: 'cli/otdr.ts',
      verify: 'cli/verify.ts',
      backup: 'cli/backup.ts',
      restore: 'cli/restore.ts',
      'database.worker': THREADS['database.worker'],
    },
  },
};

const wanted = process.argv.slice(2);
for (const name of wanted.length > 0 ? wanted : Object.keys(BUILDS)) {
  await removeChunks(join(SERVER, BUILDS[name].outdir));
  await build({ ...COMMON, ...BUILDS[name], sourcemap: true });
  if (name === 'server') await import('./dist/empty-database.js');
}

/** Shared pieces are named by what is in them: those of the last build would stay. */
async function removeChunks(folder) {
  const names = await readdir(folder).catch(() => []);
  for (const name of names) if (name.startsWith('chunk-')) await rm(join(folder, name));
}
