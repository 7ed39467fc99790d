import { spawn } from 'node:child_process';
import { join } from 'node:path';
import { ROOT, build, installPackages } from './setup.mjs';

// Installs and builds what is missing, loads the demo into an empty data folder, and serves it.
installPackages();
await build();
const server = spawn(process.execPath, [join(ROOT, 'apps/server/dist/main.js'), '--demo'], {
  stdio: 'inherit',
  cwd: ROOT,
});
for (const signal of ['SIGINT', 'SIGTERM']) process.on(signal, () => server.kill(signal));
server.on('exit', (code) => process.exit(code ?? 0));
