import { spawnSync } from 'node:child_process';
import { chmod, mkdir, mkdtemp, readdir, rm, stat } from 'node:fs/promises';
import { get } from 'node:http';
import { networkInterfaces, tmpdir } from 'node:os';
import { join } from 'node:path';
import { jest } from '@jest/globals';
import { attemptOn, openSplices, record } from './evidence.ts';
import { type Server, newFolder, readApi, startServer, until } from './app.ts';

jest.setTimeout(120_000);

let folder: string;
beforeEach(async () => {
  folder = await newFolder(true);
});
afterEach(() => rm(folder, { recursive: true, force: true }));

const firstSplice = async (server: Server) => (await openSplices(server, 1)).ids[0]!;
const post = (server: Server, entries: unknown[]) => record(server.url, entries);

describe('the server as a process', () => {
  it('has every acknowledged write after kill -9, and loads the demo once', async () => {
    await rm(folder, { recursive: true });
    const first = await startServer({ folder, demo: true });
    const spliceId = await firstSplice(first);
    const acknowledged: string[] = [];
    let killed = false;
    const writing = (async () => {
      while (!killed) {
        const entry = attemptOn(spliceId);
        const answer = await post(first, [entry]).catch(() => null);
        if (answer?.ok) acknowledged.push(entry.id);
      }
    })();
    while (acknowledged.length < 150) await new Promise((resolve) => setTimeout(resolve, 10));
    const exit = first.stop('SIGKILL');
    killed = true;
    await Promise.all([exit, writing]);
    const again = await startServer({ folder, demo: true });
    const { evidence } = await readApi<{ evidence: { id: string }[] }>(
      again,
      `/splices/${spliceId}`,
    );
    const kept = new Set(evidence.map((entry) => entry.id));
    expect(acknowledged.filter((id) => !kept.has(id))).toEqual([]);
    expect(await readApi<unknown[]>(again, '/projects')).toHaveLength(1);
    await again.stop();
  });

  it('refuses a second process on the same data in words', async () => {
    const first = await startServer({ folder });
    await expect(startServer({ folder })).rejects.toThrow(
      /data folder .* is in use by process \d+ .*set CORDEL_DATA/,
    );
    expect(await readApi(first, '/health')).toEqual({ status: 'ok' });
    await first.stop();
  });

  it('stops cleanly on SIGTERM, with what was written, and lets the next one in', async () => {
    const first = await startServer({ folder, demo: true });
    const spliceId = await firstSplice(first);
    expect((await post(first, [attemptOn(spliceId)])).status).toBe(200);
    expect(await first.stop('SIGTERM')).toBe(0);
    const again = await startServer({ folder });
    const { evidence } = await readApi<{ evidence: unknown[] }>(again, `/splices/${spliceId}`);
    expect(evidence).toHaveLength(1);
    await again.stop();
  });

  it('ends after SIGTERM while a stream is open', async () => {
    const server = await startServer({ folder, demo: true });
    const [project] = await readApi<{ id: string }[]>(server, '/projects');
    const stream = await fetch(`${server.url}/api/projects/${project!.id}/changes/stream`);
    expect(stream.status).toBe(200);
    expect(await server.stop()).toBe(0);
    await stream.body?.cancel().catch(() => {});
  });

  it('ends after SIGTERM while a package is made, and leaves nothing half made', async () => {
    const server = await startServer({ folder, demo: true });
    const [project] = await readApi<{ id: string }[]>(server, '/projects');
    const path = `/projects/${project!.id}/packages`;
    const id = '019da9e7-4800-7000-8000-00000000abcd';
    const at = new Date().toISOString();
    const asked = await fetch(`${server.url}/api${path}`, {
      method: 'POST',
      headers: { 'content-type': 'application/json' },
      body: JSON.stringify({ id, closureId: null, paper: 'A4', by: 'M.', at }),
    });
    expect(asked.status).toBe(200);
    const packages = join(folder, 'packages');
    await until(async () => (await readdir(packages)).includes(`${id}.making`), 'the making');
    expect(await server.stop()).toBe(0);
    expect(await readdir(packages)).toEqual([]);
    // What a kill leaves is gone after the next start.
    await mkdir(join(packages, 'left.making'));
    const again = await startServer({ folder });
    expect(await readdir(packages)).toEqual([]);
    expect(await readApi(again, path)).toMatchObject([
      { state: 'failed', problem: 'The server was stopped in the middle: make it again.' },
    ]);
    await again.stop();
  });

  it('answers to names of its own only, and to this machine', async () => {
    await chmod(folder, 0o755);
    const server = await startServer({ folder });
    const { port } = new URL(server.url);
    const ask = (host: string, address = '127.0.0.1') =>
      new Promise<number | string>((resolve) =>
        get({ host: address, port, path: '/api/health', headers: { host } }, (answer) => {
          answer.resume();
          resolve(answer.statusCode!);
        }).on('error', (error: NodeJS.ErrnoException) => resolve(error.code!)),
      );
    expect(await ask(`localhost:${port}`)).toBe(200);
    // A name that somebody pointed at this machine.
    expect(await ask('rebound.example')).toBe(421);
    // A page of another site writes without a body, so that its browser asks nobody first.
    const write = (origin: string) =>
      fetch(`${server.url}/api/projects/some/standins/some/check`, {
        method: 'POST',
        headers: { origin },
      });
    expect((await write('http://evil.example')).status).toBe(403);
    expect((await write(server.url)).status).toBe(422);
    // Nobody else on the machine reads what is recorded.
    expect((await stat(folder)).mode & 0o777).toBe(0o700);
    const outside = Object.values(networkInterfaces())
      .flatMap((list) => list ?? [])
      .find(({ internal, family }) => !internal && family === 'IPv4');
    if (outside) expect(await ask('localhost', outside.address)).toBe('ECONNREFUSED');
    await server.stop();
  });

  it('says it where the port is taken', async () => {
    const first = await startServer({ folder });
    const other = await mkdtemp(join(tmpdir(), 'cordel-data-'));
    const main = new URL('../apps/server/dist/main.js', import.meta.url).pathname;
    const second = spawnSync(process.execPath, [main], {
      env: { ...process.env, NODE_OPTIONS: '', PORT: new URL(first.url).port, CORDEL_DATA: other },
      encoding: 'utf8',
      timeout: 60_000,
    });
    expect(second.status).toBe(1);
    expect(second.stderr).toMatch(/Port \d+ is taken: set PORT to another/);
    await first.stop();
    await rm(other, { recursive: true, force: true });
  });

  it('serves the page for its own addresses only', async () => {
    const server = await startServer({ folder });
    const page = await fetch(`${server.url}/p/some/ledger?view=redo`);
    expect(page.headers.get('content-type')).toMatch(/text\/html/);
    expect((await fetch(`${server.url}/missing.js`)).status).toBe(404);
    expect((await fetch(`${server.url}/api/missing`)).headers.get('content-type')).toMatch(
      /problem\+json/,
    );
    await server.stop();
  });
});
