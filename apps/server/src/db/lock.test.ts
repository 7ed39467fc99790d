import { spawn } from 'node:child_process';
import { mkdtemp, readFile, readdir, rm, utimes, writeFile } from 'node:fs/promises';
import { createRequire } from 'node:module';
import { hostname, tmpdir } from 'node:os';
import { join } from 'node:path';
import { pathToFileURL } from 'node:url';
import { FolderInUse, lockFolder } from './lock.ts';

let folder: string;
beforeEach(async () => {
  folder = await mkdtemp(join(tmpdir(), 'cordel-lock-'));
});
afterEach(() => rm(folder, { recursive: true, force: true }));

/** A claim that another process left. */
const write = (holder: {
  pid?: number;
  host: string;
  started: string | null;
  token: string;
  processes?: string | null;
  beats?: true;
}) => writeFile(join(folder, `cordel.lock.${holder.token}`), JSON.stringify(holder));

describe('the lock of a data folder', () => {
  it('lets one in, tells the next who holds it, and is free again', async () => {
    const lock = await lockFolder(folder);
    await expect(lockFolder(folder)).rejects.toThrow(FolderInUse);
    await expect(lockFolder(folder)).rejects.toThrow(`in use by process ${process.pid}`);
    await lock.release();
    await (await lockFolder(folder)).release();
    expect(await readdir(folder)).toEqual([]);
  });

  it('lets one of many in', async () => {
    const outcomes = await Promise.allSettled(Array.from({ length: 12 }, () => lockFolder(folder)));
    expect(outcomes.filter((outcome) => outcome.status === 'fulfilled')).toHaveLength(1);
  });

  it('is taken over from a process that is gone', async () => {
    const child = spawn(process.execPath, ['-e', '']);
    await new Promise((done) => child.on('exit', done));
    await write({ pid: child.pid, host: hostname(), started: null, token: 'gone' });
    const outcomes = await Promise.allSettled(Array.from({ length: 6 }, () => lockFolder(folder)));
    expect(outcomes.filter((outcome) => outcome.status === 'fulfilled')).toHaveLength(1);
    // The claim that was left is gone; the winner's is there.
    expect(await readdir(folder)).toHaveLength(1);
  });

  it('is taken over where the pid is now another process', async () => {
    await write({ pid: process.pid, host: hostname(), started: 'another boot 1', token: 'reused' });
    await (await lockFolder(folder)).release();
  });

  it('stands where another machine holds it', async () => {
    await write({ pid: 1, host: 'elsewhere', started: null, token: 'far' });
    await expect(lockFolder(folder)).rejects.toThrow('on elsewhere');
  });

  it('is taken over on the same machine under another name, as in a container made anew', async () => {
    const child = spawn(process.execPath, ['-e', '']);
    await new Promise((done) => child.on('exit', done));
    const lock = await lockFolder(folder);
    const [name] = await readdir(folder);
    const own = JSON.parse(await readFile(join(folder, name!), 'utf8')) as Parameters<
      typeof write
    >[0];
    await lock.release();
    await write({ ...own, pid: child.pid, host: 'name-of-before', token: 'before' });
    await (await lockFolder(folder)).release();
    expect(await readdir(folder)).toEqual([]);
  });

  it('is taken over from a host that gives no sign of life, and stands while one does', async () => {
    const far = { pid: 1, host: 'elsewhere', started: 'boot 1', processes: 'pid:[1]' };
    await write({ ...far, token: 'silent', beats: true });
    await (await lockFolder(folder)).release();
    await write({ ...far, token: 'living', beats: true });
    const path = join(folder, 'cordel.lock.living');
    const beating = setInterval(() => void utimes(path, new Date(), new Date()), 500);
    await expect(lockFolder(folder)).rejects.toThrow(`delete ${path}`);
    clearInterval(beating);
  }, 30_000);

  it('is known to be lost where it was taken away', async () => {
    const lost = new Promise<void>((resolve) => void lockFolder(folder, resolve));
    let names: string[] = [];
    while (!names.some((one) => one.startsWith('cordel.lock.'))) names = await readdir(folder);
    const name = names.find((one) => one.startsWith('cordel.lock.'));
    await rm(join(folder, name!));
    await lost;
  });

  it('lets one of many in, time after time', async () => {
    for (let round = 0; round < 30; round++) {
      await write({
        pid: 4_194_304 + round,
        host: hostname(),
        started: null,
        token: `gone-${round}`,
      });
      const outcomes = await Promise.allSettled(
        Array.from({ length: 5 }, () => lockFolder(folder)),
      );
      const won = outcomes.flatMap((outcome) =>
        outcome.status === 'fulfilled' ? [outcome.value] : [],
      );
      expect(won).toHaveLength(1);
      await won[0]!.release();
    }
    expect(await readdir(folder)).toEqual([]);
  });

  it('lets one of several processes in', async () => {
    const script = `import(${JSON.stringify(new URL('./lock.ts', import.meta.url).href)})
      .then(({ lockFolder }) => lockFolder(${JSON.stringify(folder)}))
      .then(() => { console.log('in'); setTimeout(() => {}, 4000); }, () => console.log('out'));`;
    const loader = createRequire(import.meta.url).resolve('tsx');
    const said = await Promise.all(
      Array.from({ length: 4 }, async () => {
        const child = spawn(
          process.execPath,
          ['--import', pathToFileURL(loader).href, '--input-type=module', '-e', script],
          {
            env: { ...process.env, NODE_OPTIONS: '' },
          },
        );
        let out = '';
        child.stdout.on('data', (text) => (out += text));
        await new Promise((done) => child.on('exit', done));
        return out.trim();
      }),
    );
    expect(said.sort()).toEqual(['in', 'out', 'out', 'out']);
  }, 30_000);
});
