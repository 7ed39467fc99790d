import { runCommand } from './setup.mjs';

// Everything that a server has, into a file: `npm run backup -- FILE`.
await runCommand('backup');
