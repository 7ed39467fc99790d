import { execFileSync } from 'node:child_process';
import { mkdtemp, rm, writeFile } from 'node:fs/promises';
import { tmpdir } from 'node:os';
import { join } from 'node:path';
import { fileURLToPath } from 'node:url';
import { writeSor } from '@cordel/core/otdr';
import { shootTrace } from '@cordel/standin';
import { median } from './figure.ts';

/** How often each command is started, in turn with Node. */
const RUNS = 15;
const LIMIT = 6;

const folder = await mkdtemp(join(tmpdir(), 'cordel-bench-'));
const file = join(folder, 'a.sor');
await writeFile(
  file,
  writeSor(
    shootTrace({
      seed: 1,
      cableId: 'A',
      fiberId: '1',
      from: 'A',
      to: 'B',
      wavelengthNm: 1550,
      groupIndex: 146_820,
      length: 2000,
      attenuation: 0.2,
      joints: [],
      pulseNs: 100,
      spacing: 1,
      samples: 4000,
      averages: 4,
      noise: 0.01,
      at: 1_777_000_000,
    }),
  ),
);

const bin = (name: string) => fileURLToPath(new URL(`../bin/cordel-${name}.mjs`, import.meta.url));
const KINDS: [string, string[]][] = [
  ['node', ['-e', '0']],
  ['otdr, a file of 4000 samples', [bin('otdr'), 'events', file]],
  ['verify', [bin('verify'), '--help']],
  ['backup', [bin('backup'), '--help']],
  ['restore', [bin('restore'), '--help']],
];
const times = KINDS.map((): number[] => []);
for (let run = 0; run <= RUNS; run++)
  for (const [index, [, args]] of KINDS.entries()) {
    const start = performance.now();
    execFileSync(process.execPath, args, { stdio: 'ignore' });
    // The first builds the commands where they are not built yet.
    if (run > 0) times[index]!.push(performance.now() - start);
  }
await rm(folder, { recursive: true, force: true });

const [node, ...others] = times.map(median) as [number, ...number[]];
const ratios = others.map((ms) => ms / node);
const worst = Math.max(...ratios);
const each = ratios.map((ratio, index) => `${KINDS[index + 1]![0]} ${ratio.toFixed(2)}`).join(', ');
console.log(
  `command-start  ${worst.toFixed(2)}  limit ${LIMIT}  ${worst <= LIMIT ? 'ok' : 'MISS'}  (the slowest command against node -e 0: ${each})`,
);
process.exit(worst <= LIMIT ? 0 : 3);
