import { execFileSync, spawn, spawnSync } from 'node:child_process';
import { mkdtemp, rm, statfs } from 'node:fs/promises';
import { join } from 'node:path';
import { tmpdir } from 'node:os';
import { v7 as uuid } from 'uuid';
import { jest } from '@jest/globals';
import { MAIN, type Server, freePort, readApi, removeServer, startServer, until } from './app';
import { attemptOn, openSplices, record } from './evidence';

jest.setTimeout(180_000);

const MEGABYTE = 1024 * 1024;
/** Runs a program with mounts of its own, for which it need not be root. */
const OWN_MOUNTS = ['--map-root-user', '--mount'];

const firstSplice = async (server: Pick<Server, 'url'>) => (await openSplices(server, 1)).ids[0]!;

/** Whether this machine lets a test mount a disk of its own. */
const canMount = spawnSync('unshare', [...OWN_MOUNTS, 'true']).status === 0;

describe('a disk that fills up', () => {
  it('stops writes in words while reading goes on, and lets them in again once there is room', async () => {
    const { bavail, bsize } = await statfs(tmpdir());
    const free = Math.floor((bavail * bsize) / MEGABYTE);
    // What other tests write meanwhile, some hundred megabytes, goes not over it; a file of twice as much does.
    const spare = Math.min(3000, Math.floor(free / 4));
    const reserve = free - spare;
    const server = await startServer({ demo: true, env: { CORDEL_RESERVE_MB: String(reserve) } });
    const filler = join(server.folder, 'filler');
    try {
      const spliceId = await firstSplice(server);
      expect((await record(server.url, [attemptOn(spliceId)])).status).toBe(200);
      execFileSync('fallocate', ['-l', `${2 * spare}M`, filler]);
      const refused = await until(async () => {
        const answer = await record(server.url, [attemptOn(spliceId)]);
        return answer.status === 507 && answer;
      }, 'a refusal');
      expect(refused.headers.get('content-type')).toBe('application/problem+json');
      expect(await refused.json()).toMatchObject({
        title: 'No room',
        detail: expect.stringMatching(/disk is nearly full: \d+ MB are free.*Nothing was recorded/),
      });
      const [project] = await readApi<{ id: string }[]>(server, '/projects');
      const asked = await fetch(`${server.url}/api/projects/${project!.id}/packages`, {
        method: 'POST',
        headers: { 'content-type': 'application/json' },
        body: JSON.stringify({
          id: uuid(),
          closureId: null,
          paper: 'A4',
          by: 'M.',
          at: new Date(),
        }),
      });
      expect(asked.status).toBe(507);
      const { evidence } = await readApi<{ evidence: unknown[] }>(server, `/splices/${spliceId}`);
      expect(evidence.length).toBeGreaterThan(0);
      await rm(filler);
      await until(async () => (await record(server.url, [attemptOn(spliceId)])).ok, 'a record');
    } finally {
      await removeServer(server);
    }
  });

  (canMount ? it : it.skip)(
    'that is full to the last byte ends no server, loses nothing, and is got over by itself',
    async () => {
      const folder = await mkdtemp(join(tmpdir(), 'cordel-small-'));
      const port = await freePort();
      // A disk of its own, of 150 MB; nothing is kept back, so that it does run full.
      const start = (size: string) =>
        spawn(
          'unshare',
          [
            ...[...OWN_MOUNTS, 'sh', '-c'],
            `mount -t tmpfs -o size=${size} tmpfs ${folder} && exec ${process.execPath} ${MAIN} --demo`,
          ],
          {
            env: {
              ...process.env,
              ...{
                NODE_OPTIONS: '',
                PORT: String(port),
                CORDEL_DATA: folder,
                CORDEL_RESERVE_MB: '0',
              },
            },
          },
        );
      const tooSmall = start('100m');
      let said = '';
      tooSmall.stderr.on('data', (text) => (said += text));
      expect(await new Promise((resolve) => tooSmall.on('exit', resolve))).toBe(1);
      expect(said).toMatch(
        /too little room to start in .*: 100 MB are free, and 128 MB are needed/,
      );

      const child = start('150m');
      const url = `http://localhost:${port}`;
      const inside = `/proc/${child.pid}/root${folder}`;
      try {
        await until(
          () =>
            fetch(`${url}/api/health`).then(
              ({ ok }) => ok,
              () => false,
            ),
          'a start',
        );
        const spliceId = await firstSplice({ url });
        const acknowledged: string[] = [];
        const refused = async () => {
          const entries = Array.from({ length: 200 }, () => ({
            ...attemptOn(spliceId),
            by: 'M'.repeat(60),
          }));
          const answer = await record(url, entries);
          if (answer.ok) acknowledged.push(...entries.map(({ id }) => id));
          return answer.ok ? null : answer.status;
        };
        // All but a little is taken, then records take the rest.
        const filler = join(inside, 'filler');
        const { bavail, bsize } = await statfs(inside);
        const size = Math.floor(((bavail * bsize) / MEGABYTE) * 0.93);
        execFileSync('fallocate', ['-l', `${size}M`, filler]);
        const status = await until(refused, 'a full disk', 120_000);
        expect([503, 507]).toContain(status);
        expect(acknowledged.length).toBeGreaterThan(0);
        await rm(filler);
        const more = await until(async () => (await refused()) === null, 'records again');
        expect(more).toBe(true);
        const { evidence } = await readApi<{ evidence: { id: string }[] }>(
          { url },
          `/splices/${spliceId}`,
        );
        const kept = new Set(evidence.map(({ id }) => id));
        expect(acknowledged.filter((id) => !kept.has(id))).toEqual([]);
        const ended = new Promise((resolve) => child.on('exit', resolve));
        child.kill('SIGTERM');
        expect(await ended).toBe(0);
      } finally {
        child.kill('SIGKILL');
        await rm(folder, { recursive: true, force: true });
      }
    },
  );
});
