import { runCommand } from './setup.mjs';

// A backup into an empty data folder or database: `npm run restore -- FILE`.
await runCommand('restore');
