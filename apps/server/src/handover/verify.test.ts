import { spawnSync } from 'node:child_process';
import { mkdtempSync, readFileSync, rmSync, writeFileSync } from 'node:fs';
import { tmpdir } from 'node:os';
import { join } from 'node:path';
import { type Handover, startHandover } from '../testing/handover.ts';

let handover: Handover;
let folder: string;
let zipPath: string;
const FILES = ['project.json', 'chain.jsonl', 'checkpoint.json', 'verify.mjs'] as const;

beforeAll(async () => {
  handover = await startHandover();
  folder = mkdtempSync(join(tmpdir(), 'cordel-verify-'));
  const id = await handover.ask();
  const zip = await handover.unzipped(id);
  for (const name of FILES)
    writeFileSync(
      join(folder, name),
      await zip.file(new RegExp(`(^|/)${name}$`))[0]!.async('nodebuffer'),
    );
  zipPath = join(folder, 'package.zip');
  const bytes = await handover.api.raw(`/packages/${id}/file.zip`);
  writeFileSync(zipPath, new Uint8Array(bytes));
});
afterAll(async () => {
  rmSync(folder, { recursive: true, force: true });
  await handover.close();
});

const run = (...args: string[]) => {
  const { status, stdout, stderr } = spawnSync(process.execPath, args, {
    encoding: 'utf8',
    env: { ...process.env, NODE_OPTIONS: '' },
  });
  return { status, output: `${stdout}${stderr}` };
};
const verify = () => run(join(folder, 'verify.mjs'));

/** What the program says while a file has another content. */
function verifyWith(name: (typeof FILES)[number], change: (text: string) => string) {
  const path = join(folder, name);
  const whole = readFileSync(path, 'utf8');
  const changed = change(whole);
  expect(changed).not.toBe(whole);
  writeFileSync(path, changed);
  const said = verify();
  writeFileSync(path, whole);
  return said;
}

describe('a package’s own check', () => {
  it('finds the record whole, entry by entry, without Cordel', () => {
    const { status, output } = verify();
    const project = JSON.parse(readFileSync(join(folder, 'project.json'), 'utf8')) as Record<
      string,
      unknown[]
    >;
    const lists = ['evidence', 'closing', 'photos', 'traces', 'tracePlaces', 'setAside'];
    const count = [...lists, 'instrumentLog', 'links'].reduce(
      (sum, list) => sum + project[list]!.length,
      0,
    );
    expect(output).toContain(`Whole: ${count} entries are what was recorded`);
    expect(output).toMatch(/Key (\w{4} ){3}\w{4}; hash \w{16}\./);
    expect(status).toBe(0);
  });

  it.each([
    [
      'a loss',
      'project.json',
      (text: string) => text.replace(/"lossMdb":\s?(\d+)/, '"lossMdb":9$1'),
      /\(reading\) was changed/,
    ],
    [
      'a name',
      'project.json',
      (text: string) => text.replace(/("type":"attempt".*?"by":")/, '$1X'),
      /\(attempt\) was changed/,
    ],
    [
      'an entry that is left out',
      'chain.jsonl',
      (text: string) => text.replace(/\n.*\n/, '\n'),
      /Link 2 is missing/,
    ],
    [
      'one digit of a hash',
      'chain.jsonl',
      (text: string) =>
        text.replace(/"hash":"(.)/, (_, digit: string) => `"hash":"${digit === '0' ? '1' : '0'}`),
      /does not follow/,
    ],
    [
      'a chain that ends early',
      'chain.jsonl',
      (text: string) => text.replace(/[^\n]+\n$/, ''),
      /not what the server signed/,
    ],
    [
      'a moment that was not signed',
      'checkpoint.json',
      (text: string) => text.replace(/"at": "\d{4}/, '"at": "2001'),
      /none of its key/,
    ],
  ] as const)('tells of %s', (_what, name, change, said) => {
    const { status, output } = verifyWith(name, change);
    expect(output).toMatch(said);
    expect(status).toBe(1);
  });

  it('is on the command line too, by the zip', () => {
    const cli = new URL('../../../../scripts/verify.mjs', import.meta.url).pathname;
    const whole = run(cli, zipPath);
    expect(whole.output).toContain('Whole:');
    expect(whole.status).toBe(0);
    expect(run(cli, join(folder, 'none.zip')).status).toBe(1);
    const both = run(cli, '--json', zipPath, zipPath).output.trim().split('\n');
    expect(both.map((line) => JSON.parse(line) as object)).toMatchObject([
      { file: zipPath, isWhole: true },
      { file: zipPath, isWhole: true },
    ]);
  });
});
