import { spawn } from 'node:child_process';
import { mkdtemp, readFile, readdir, rm, writeFile } from 'node:fs/promises';
import { hostname, tmpdir } from 'node:os';
import { join } from 'node:path';
import { FolderInUse, lockFolder } from './lock.ts';

let folder: string;
beforeEach(async () => {
  folder = await mkdtemp(join(tmpdir(), 'cordel-lock-'));
});
afterEach(() => rm(folder, { recursive: true, force: true }));

const write = (holder: object) => writeFile(join(folder, 'cordel.lock'), JSON.stringify(holder));

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
    expect((await readdir(folder)).filter((name) => name !== 'cordel.lock')).toEqual([]);
  });

  it('is taken over where the pid is now another process', async () => {
    await write({ pid: process.pid, host: hostname(), started: 'another boot 1', token: 'reused' });
    await (await lockFolder(folder)).release();
  });

  it('stands where another machine holds it', async () => {
    await write({ pid: 1, host: 'elsewhere', started: null, token: 'far' });
    await expect(lockFolder(folder)).rejects.toThrow('on elsewhere');
  });

  it('leaves a lock alone that is no longer its own', async () => {
    const lock = await lockFolder(folder);
    await write({ pid: 1, host: 'elsewhere', started: null, token: 'far' });
    await lock.release();
    expect(await readFile(join(folder, 'cordel.lock'), 'utf8')).toContain('far');
  });
});
