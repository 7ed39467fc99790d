import { ROOT, build, installChromium, installPackages, npx } from './setup.mjs';

installPackages();
build();
npx(['tsx', 'e2e/pictures.ts'], { cwd: ROOT, env: { CHROMIUM: installChromium() } });
