import { join } from 'node:path';
import { ROOT, npx } from './setup.mjs';

// Typed routes are not written by an export: Expo writes them here in a clean clone.
npx(['expo', 'customize', 'tsconfig.json'], {
  cwd: join(ROOT, 'apps/web'),
  env: { EXPO_NO_TELEMETRY: '1', EXPO_OFFLINE: '1', CI: '1' },
});
for (const part of [
  'packages/core',
  'packages/text',
  'packages/client',
  'packages/standin',
  'packages/demo',
  'apps/server',
  'apps/web',
  'e2e',
])
  npx(['tsc', '-p', part]);
