import { spawnSync } from 'node:child_process';
import { mkdtemp, rm, writeFile } from 'node:fs/promises';
import { tmpdir } from 'node:os';
import { basename, join } from 'node:path';
import { buffer } from 'node:stream/consumers';
import { promisify } from 'node:util';
import { verifyWords as say } from '@cordel/text/handover/verifyWords';
import { VERIFY_SCRIPT } from '@cordel/text/handover/verifyScript';
import { type Entry, type ZipFile, open as openZip } from 'yauzl';
import { filesOf, newCommand, runCommand, withEach } from './command.ts';

/** Checks the chain of packages by their zips, with a program of our own and not the one that lies in them. */
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

/** What the program says of a package, and whether its record is whole. */
async function check(path: string): Promise<{ isWhole: boolean; said: string }> {
  const folder = await mkdtemp(join(tmpdir(), 'cordel-verify-'));
  try {
    await takeOut(path, folder);
    await writeFile(join(folder, 'verify.mjs'), VERIFY_SCRIPT);
    const { status, stdout, stderr } = spawnSync(process.execPath, [join(folder, 'verify.mjs')], {
      encoding: 'utf8',
    });
    return { isWhole: status === 0, said: `${stdout}${stderr}`.trim() };
  } finally {
    await rm(folder, { recursive: true, force: true });
  }
}

async function verify(paths: string[], { json = false }: { json?: boolean }): Promise<void> {
  const files = await filesOf(paths, '.zip');
  await withEach(files, async (file) => {
    const { isWhole, said } = await check(file);
    if (!isWhole) process.exitCode = 1;
    if (json) console.log(JSON.stringify({ file, isWhole, messages: said.split('\n') }));
    else console.log(files.length > 1 ? `${file}\n${said}\n` : said);
  });
}

await runCommand(
  newCommand('cordel-verify', say('about'))
    .argument('<paths...>', say('paths'))
    .option('--json', say('json'))
    .action(verify),
);
