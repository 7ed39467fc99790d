import { resolve } from 'node:path';
import { runCommand } from './setup.mjs';

// Checks the chain of a package: `npm run verify -- PACKAGE.zip`.
process.argv[2] &&= resolve(process.env.INIT_CWD ?? process.cwd(), process.argv[2]);
runCommand('apps/server/cli/verify.ts');
