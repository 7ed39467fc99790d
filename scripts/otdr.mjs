import { runCommand } from './setup.mjs';

// Trace files on the command line: `npm run --silent otdr -- joints FILE.sor`.
runCommand('apps/server/cli/otdr.ts');
