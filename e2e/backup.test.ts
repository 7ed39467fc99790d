import { execFile } from 'node:child_process';
import { mkdtemp, rm } from 'node:fs/promises';
import { tmpdir } from 'node:os';
import { join } from 'node:path';
import { fileURLToPath } from 'node:url';
import { promisify } from 'node:util';
import { jest } from '@jest/globals';
import { type Server, readApi, removeServer, startServer } from './app.ts';

jest.setTimeout(180_000);

const ROOT = fileURLToPath(new URL('..', import.meta.url));
const run = (command: string, file: string, env: Record<string, string>) =>
  promisify(execFile)('npx', ['--no-install', 'tsx', 'apps/server/cli/backup.ts', command, file], {
    cwd: ROOT,
    env: { ...process.env, NODE_OPTIONS: '', ...env },
  });

let folder: string;
const servers: Server[] = [];
beforeAll(async () => {
  folder = await mkdtemp(join(tmpdir(), 'cordel-backup-'));
});
afterAll(async () => {
  for (const server of servers) await removeServer(server);
  await rm(folder, { recursive: true, force: true });
});

const everything = async (server: Server) => {
  const [project] = await readApi<{ id: string }[]>(server, '/projects');
  return Promise.all(
    ['/document.json', '/ledger/closures', '/ledger/redo', '/budget'].map((path) =>
      readApi(server, `/projects/${project!.id}${path}`),
    ),
  );
};

it('a running server is backed up, restored into an empty folder, and is all there', async () => {
  const server = await startServer({ demo: true });
  servers.push(server);
  const file = join(folder, 'cordel.backup');
  const told = await run('backup', file, { CORDEL_DATA: server.folder, CORDEL_SERVER: server.url });
  expect(told.stdout).toContain(`Everything is in ${file}.`);
  const data = join(folder, 'restored');
  expect((await run('restore', file, { CORDEL_DATA: data })).stdout).toMatch(/rows of .* are here/);
  const other = await startServer({ folder: data });
  servers.push(other);
  expect(await everything(other)).toEqual(await everything(server));
  await other.stop();
  await expect(run('restore', file, { CORDEL_DATA: data })).rejects.toMatchObject({
    code: 1,
    stderr: expect.stringMatching(/There are projects or accounts here already/) as string,
  });
});
