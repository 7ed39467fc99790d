import { readdirSync, rmSync } from 'node:fs';
import { join } from 'node:path';
import { ROOT, run } from './setup.mjs';

run('npm', ['run', '--silent', 'generate', '--workspace', '@cordel/server']);
// The next migration is worked out from the last picture of the tables alone; each has thousands of lines.
const META = join(ROOT, 'apps/server/drizzle/meta');
const pictures = readdirSync(META).filter((name) => name.endsWith('_snapshot.json'));
for (const name of pictures.sort().slice(0, -1)) rmSync(join(META, name));
