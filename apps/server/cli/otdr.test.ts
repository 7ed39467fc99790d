import { execFile } from 'node:child_process';
import { copyFile, mkdir, mkdtemp, readFile, writeFile } from 'node:fs/promises';
import { tmpdir } from 'node:os';
import { join } from 'node:path';
import { fileURLToPath } from 'node:url';
import { promisify } from 'node:util';
import { writeSor } from '@cordel/core/otdr';
import { IDEAL, type OtdrTask, type Receiver, shootTrace } from '@cordel/standin';

// Builds the commands where their sources have changed.
const CLI = fileURLToPath(new URL('../../../scripts/otdr.mjs', import.meta.url));
const run = (...args: string[]) => promisify(execFile)(process.execPath, [CLI, ...args]);
const lines = (text: string) =>
  text
    .trim()
    .split('\n')
    .map((line) => JSON.parse(line) as never);
const otdr = async (...args: string[]) => lines((await run(...args)).stdout)[0]!;

const shot = {
  seed: 3,
  cableId: 'A',
  fiberId: '17',
  from: 'Ford pit',
  to: 'Mill',
  wavelengthNm: 1550,
  groupIndex: 146_820,
  length: 12_000,
  attenuation: 0.2,
  joints: [{ position: 5000, step: 0.12, reflectance: null }],
  pulseNs: 100,
  spacing: 1,
  samples: 16_000,
  averages: 4,
  noise: 0.01,
  at: 1_777_000_000,
};

interface Found {
  events: { kind: string; positionM: number; lossDb: number; lossSigmaDb: number }[];
  endM: number | null;
}

let folder: string;
const path = (name: string) => join(folder, name);

beforeAll(async () => {
  folder = await mkdtemp(join(tmpdir(), 'cordel-otdr-'));
  await writeFile(path('a.sor'), writeSor(shootTrace(shot)));
  const back = [{ position: 7000, step: 0.08, reflectance: null }];
  await writeFile(path('b.sor'), writeSor(shootTrace({ ...shot, seed: 4, joints: back })));
});

describe('trace files on the command line', () => {
  it('dump: fields in usual units', async () => {
    expect(await otdr('dump', path('a.sor'))).toMatchObject({
      revision: 200,
      general: { cableId: 'A', fiberId: '17', wavelengthNm: 1550, fromLocation: 'Ford pit' },
      fixed: { groupIndex: 1.4682, pulseWidthsNs: [100], sampleSpacingM: 1, sampleCount: 16_000 },
      events: [{ number: 1, positionM: expect.closeTo(5000, 0), lossDb: 0.12 }, { number: 2 }],
      checksum: { ok: true },
      samples: { count: 16_000 },
    });
  });

  it('events: from the samples; pair: both directions; copy: the same bytes', async () => {
    expect(await otdr('events', path('a.sor'))).toMatchObject({
      events: [
        { positionM: expect.closeTo(5000, -1), lossDb: expect.closeTo(0.12, 2), kind: 'splice' },
        { kind: 'end' },
      ],
      endM: expect.closeTo(12_000, 0),
    });
    expect(await otdr('pair', path('a.sor'), path('b.sor'))).toMatchObject({
      events: [{ positionFromAM: expect.closeTo(5000, -1), meanDb: expect.closeTo(0.1, 2) }],
    });
    await otdr('copy', path('a.sor'), path('c.sor'));
    expect(Buffer.compare(await readFile(path('a.sor')), await readFile(path('c.sor')))).toBe(0);
  });

  // What receivers do to noise and light: common practice, no source.
  it.each<[string, Omit<Partial<OtdrTask>, 'receiver'> & { receiver?: Partial<Receiver> }, object]>(
    [
      ['white noise', {}, { sharedSamples: 1 }],
      ['correlated noise', { receiver: { correlation: 0.8 } }, {}],
      ['a moving mean', { receiver: { smoothing: 6 } }, {}],
      ['a tail of 40 m', { receiver: { tail: { meters: 40, part: 0.07 } } }, {}],
      ['samples 4 m apart', { spacing: 4, samples: 4000, pulseNs: 200 }, {}],
      ['levels stored in 0.05 dB', { receiver: { storedStepDb: 0.05 } }, { storedStepDb: 0.05 }],
    ],
  )('events: in %s', async (name, { receiver, ...part }, more) => {
    const file = path(`${name}.sor`);
    const task = { ...shot, noise: 0.004, ...part, receiver: { ...IDEAL, ...receiver } };
    await writeFile(file, writeSor(shootTrace(task)));
    const { events, endM, ...said } = (await otdr('events', file)) as Found;
    expect(events.map(({ kind }) => kind)).toEqual(['splice', 'end']);
    const [{ positionM, lossDb, lossSigmaDb }] = events as [Found['events'][number]];
    expect(Math.abs(positionM - 5000)).toBeLessThan(25);
    expect(Math.abs(lossDb - 0.12)).toBeLessThan(4 * lossSigmaDb);
    expect(Math.abs(endM! - 12_000)).toBeLessThan(25);
    expect(said).toMatchObject(more);
  });

  it('events: a splitter, with noise alone behind it', async () => {
    const joints = [...shot.joints, { position: 8000, step: 14, reflectance: null }];
    await writeFile(path('splitter.sor'), writeSor(shootTrace({ ...shot, joints })));
    const { events } = (await otdr('events', path('splitter.sor'))) as Found;
    expect(events.map(({ kind }) => kind).slice(0, 2)).toEqual(['splice', 'splitter']);
    expect(Math.abs(events[1]!.positionM - 8000)).toBeLessThan(25);
  });

  it('says what is wrong, and with which file', async () => {
    await writeFile(path('no.sor'), 'no trace');
    await expect(otdr('dump', path('no.sor'))).rejects.toThrow(/no\.sor: Map, byte 0/);
    await expect(otdr('fly')).rejects.toMatchObject({ code: 2 });
    await expect(otdr('dump', path('none.sor'))).rejects.toMatchObject({ code: 1 });
  });

  it('reads several files, and a folder with those below it, a line for each; one that fails stops none', async () => {
    const below = join(path('shots'), 'back');
    await mkdir(below, { recursive: true });
    await copyFile(path('a.sor'), join(path('shots'), 'a.SOR'));
    await copyFile(path('b.sor'), join(below, 'b.sor'));
    await writeFile(join(below, 'notes.txt'), 'no trace');
    const files = async (...args: string[]) =>
      lines((await run('events', ...args)).stdout).map(({ file }) => file as string);
    expect(await files(path('shots'))).toEqual([
      join(path('shots'), 'a.SOR'),
      join(below, 'b.sor'),
    ]);
    expect(await files(path('b.sor'), path('a.sor'))).toEqual([path('b.sor'), path('a.sor')]);
    await writeFile(path('no.sor'), 'no trace');
    const failed = run('events', path('no.sor'), path('a.sor'));
    const { code, stdout, stderr } = (await failed.catch((error: unknown) => error)) as {
      code: number;
      stdout: string;
      stderr: string;
    };
    expect(code).toBe(1);
    expect(stderr).toMatch(/no\.sor: Map, byte 0/);
    expect(lines(stdout)).toMatchObject([{ file: path('a.sor') }]);
  });

  it.each(['otdr', 'verify', 'backup', 'restore'])('%s explains itself', async (name) => {
    const bin = fileURLToPath(new URL(`../bin/cordel-${name}.mjs`, import.meta.url));
    const { stdout } = await promisify(execFile)(process.execPath, [bin, '--help']);
    expect(stdout).toMatch(/^Usage: cordel-/);
    expect(stdout).toContain('Exit codes: 0 done, 1 failed, 2 wrong usage.');
  });
});
