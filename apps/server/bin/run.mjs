import { execFileSync } from 'node:child_process';
import { existsSync } from 'node:fs';
import { dirname } from 'node:path';
import { fileURLToPath } from 'node:url';

/** Runs a command, and builds it first where it is not built yet. */
export async function run(name) {
  const built = new URL(`../dist/commands/${name}.js`, import.meta.url);
  if (!existsSync(built)) {
    const cwd = dirname(dirname(fileURLToPath(import.meta.url)));
    execFileSync(process.execPath, ['build.mjs', 'commands'], { cwd, stdio: 'inherit' });
  }
  await import(built.href);
}
