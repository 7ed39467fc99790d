import { spawnSync } from 'node:child_process';
import { mkdtemp, rm, writeFile } from 'node:fs/promises';
import { tmpdir } from 'node:os';
import { basename, join } from 'node:path';
import { buffer } from 'node:stream/consumers';
import { promisify } from 'node:util';
import { verifyWords as say } from '@cordel/text/handover/verifyWords';
import { VERIFY_SCRIPT } from '@cordel/text/handover/verifyScript';
import { type Entry, type ZipFile, open as openZip } from 'yauzl';

/** Checks the chain of a package by its zip, with a program of our own and not the one that lies in it. */
const WANTED = ['project.json', 'chain.jsonl', 'checkpoint.json'];

async function takeOut(path: string, folder: string): Promise<void> {
  const zip = await promisify<string, object, ZipFile>(openZip as never)(path, {
    lazyEntries: true,
  });
  const stream = promisify(zip.openReadStream.bind(zip) as never) as (
    entry: Entry,
  ) => Promise<NodeJS.ReadableStream>;
  const found = new Set<string>();
  await new Promise<void>((resolve, reject) => {
    zip.on('error', reject);
    zip.on('end', resolve);
    zip.on('entry', (entry: Entry) => {
      // The package may lie in a folder of the zip; its own name says nothing of where to write.
      const name = basename(entry.fileName);
      if (!WANTED.includes(name) || found.has(name)) return zip.readEntry();
      found.add(name);
      stream(entry)
        .then(buffer)
        .then((bytes) => writeFile(join(folder, name), bytes))
        .then(() => zip.readEntry(), reject);
    });
    zip.readEntry();
  });
  const missing = WANTED.filter((name) => !found.has(name));
  if (missing.length > 0) throw new Error(say('noChain', { path, missing: missing.join(', ') }));
}

async function verify(path: string): Promise<number> {
  const folder = await mkdtemp(join(tmpdir(), 'cordel-verify-'));
  try {
    await takeOut(path, folder);
    await writeFile(join(folder, 'verify.mjs'), VERIFY_SCRIPT);
    const { status } = spawnSync(process.execPath, [join(folder, 'verify.mjs')], {
      stdio: ['ignore', 'inherit', 'inherit'],
    });
    return status ?? 1;
  } finally {
    await rm(folder, { recursive: true, force: true });
  }
}

const [path] = process.argv.slice(2);
if (!path) {
  console.error(say('usage'));
  process.exit(2);
}
verify(path).then(
  (status) => process.exit(status),
  (error: unknown) => {
    console.error(error instanceof Error ? error.message : error);
    process.exit(1);
  },
);
