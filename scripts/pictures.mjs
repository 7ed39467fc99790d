import { existsSync } from 'node:fs';
import { ROOT, build, installChromium, installDebian, installPackages, npx } from './setup.mjs';

installPackages();
await build();
// Pages of a PDF become pictures by this.
if (!existsSync('/usr/bin/pdftoppm')) installDebian('poppler-utils');
npx(['tsx', 'e2e/pictures.ts'], { cwd: ROOT, env: { CHROMIUM: installChromium() } });
