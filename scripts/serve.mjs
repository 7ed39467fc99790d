import { spawn } from 'node:child_process';
import { join } from 'node:path';
import { ROOT, build, installPackages } from './setup.mjs';

// Installs and builds what is missing, and serves real work: people sign in. `-- --no-build` serves what is built.
if (!process.argv.includes('--no-build')) {
  installPackages();
  await build();
}
const server = spawn(process.execPath, [join(ROOT, 'apps/server/dist/main.js'), '--serve'], {
  stdio: 'inherit',
  cwd: ROOT,
});
for (const signal of ['SIGINT', 'SIGTERM']) process.on(signal, () => server.kill(signal));
server.on('exit', (code) => process.exit(code ?? 0));
