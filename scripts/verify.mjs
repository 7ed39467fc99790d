import { runCommand } from './setup.mjs';

// Checks the chain of packages: `npm run verify -- PACKAGE.zip`.
await runCommand('verify');
