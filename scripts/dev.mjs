import { spawn } from 'node:child_process';
import { join } from 'node:path';
import { ROOT, installPackages } from './setup.mjs';

// The server restarts and the page reloads as files change; the page's server passes /api on.
installPackages();
// The programs themselves, not npx before them: it would not pass a stop on.
const start = (program, args, cwd, env = {}) =>
  spawn(process.execPath, [join(ROOT, 'node_modules', program), ...args], {
    cwd: join(ROOT, cwd),
    stdio: 'inherit',
    env: { ...process.env, ...env },
  });
const parts = [
  start('tsx/dist/cli.mjs', ['watch', 'src/main.ts', '--demo'], 'apps/server', {
    CORDEL_DATA: process.env.CORDEL_DATA ?? join(ROOT, '.cordel'),
  }),
  start('expo/bin/cli', ['start', '--web'], 'apps/web', {
    EXPO_NO_TELEMETRY: '1',
    EXPO_OFFLINE: '1',
  }),
];
const stop = () => parts.forEach((part) => part.kill('SIGTERM'));
for (const signal of ['SIGINT', 'SIGTERM']) process.on(signal, stop);
for (const part of parts) part.on('exit', stop);
