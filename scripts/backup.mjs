import { spawnSync } from 'node:child_process';
import { resolve } from 'node:path';
import { ROOT, installPackages } from './setup.mjs';

// Everything that a server has into a file, or out of one: `npm run backup -- FILE`.
installPackages();
const [command, ...paths] = process.argv.slice(2);
const from = process.env.INIT_CWD ?? process.cwd();
const result = spawnSync(
  'npx',
  [
    '--no-install',
    'tsx',
    'apps/server/cli/backup.ts',
    command,
    ...paths.map((path) => resolve(from, path)),
  ],
  {
    cwd: ROOT,
    stdio: ['ignore', 'inherit', 'inherit'],
    env: { ...process.env, npm_config_loglevel: 'silent' },
  },
);
process.exit(result.status ?? 1);
