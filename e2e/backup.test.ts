import { execFile } from 'node:child_process';
import { mkdtemp, readFile, rm } from 'node:fs/promises';
import { tmpdir } from 'node:os';
import { join } from 'node:path';
import { fileURLToPath } from 'node:url';
import { promisify } from 'node:util';
import { gunzipSync } from 'node:zlib';
import { jest } from '@jest/globals';
import { type Server, readApi, removeServer, startServer } from './app.ts';

jest.setTimeout(180_000);

const ROOT = fileURLToPath(new URL('..', import.meta.url));
const run = (command: string, files: string[], env: Record<string, string>) =>
  promisify(execFile)(process.execPath, [`scripts/${command}.mjs`, ...files], {
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

/** The key that a server signs checkpoints with. */
const signsWith = async (server: Server): Promise<string> => {
  const [project] = await readApi<{ id: string }[]>(server, '/projects');
  const { checkpoint } = await readApi<{ checkpoint: { publicKey: string } }>(
    server,
    `/projects/${project!.id}/chain`,
  );
  return checkpoint.publicKey;
};

it('a running server is backed up, restored into an empty folder, and is all there', async () => {
  const server = await startServer({ demo: true });
  servers.push(server);
  const file = join(folder, 'cordel.backup');
  const keys = join(folder, 'cordel.keys');
  const told = await run('backup', [file, keys], {
    CORDEL_DATA: server.folder,
    CORDEL_SERVER: server.url,
  });
  expect(told.stdout).toContain(`The backup is in ${file}.`);
  expect(told.stdout).toContain('Keep this file apart');
  // The backup itself does not have them.
  const lines = gunzipSync(await readFile(file)).toString();
  expect(lines).not.toContain(
    (JSON.parse(await readFile(keys, 'utf8')) as { checkpoints: string }).checkpoints,
  );
  const data = join(folder, 'restored');
  await expect(run('restore', [file, file], { CORDEL_DATA: data })).rejects.toMatchObject({
    stderr: expect.stringMatching(/holds no keys/) as string,
  });
  expect((await run('restore', [file, keys], { CORDEL_DATA: data })).stdout).toMatch(
    /rows of .* restored/,
  );
  const other = await startServer({ folder: data });
  servers.push(other);
  expect(await everything(other)).toEqual(await everything(server));
  expect(await signsWith(other)).toBe(await signsWith(server));
  await other.stop();
  await expect(run('restore', [file], { CORDEL_DATA: data })).rejects.toMatchObject({
    code: 1,
    stderr: expect.stringMatching(/There are projects or accounts here already/) as string,
  });
});
