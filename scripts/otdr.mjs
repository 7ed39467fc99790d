import { runCommand } from './setup.mjs';

// Trace files on the command line: `npm run --silent otdr -- events FILE.sor`.
await runCommand('otdr');
