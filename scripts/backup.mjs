import { runCommand } from './setup.mjs';

// Everything that a server has into a file, or out of one: `npm run backup -- FILE`.
runCommand('apps/server/cli/backup.ts');
