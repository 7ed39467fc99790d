import { join } from 'node:path';
import { ROOT, npx } from './setup.mjs';

// Typed routes are not written by an export: Expo writes them here in a clean clone.
npx(['expo', 'customize', 'tsconfig.json'], {
  cwd: join(ROOT, 'apps/web'),
  env: { EXPO_NO_TELEMETRY: '1', EXPO_OFFLINE: '1', CI: '1' },
});
// One program a part, each checked once; what was checked before and did not change is passed over.
npx(['tsc', '-b']);
