import { installPackages, npx } from './setup.mjs';

// The types of the client come from the server's own description of its API.
installPackages();
npx(['tsx', 'apps/server/cli/paths.ts', 'packages/client/src/api/paths.ts']);
