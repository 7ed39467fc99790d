import { randomInt } from 'node:crypto';
import pg from 'pg';
import { v7 as uuid } from 'uuid';
import { jest } from '@jest/globals';
import { type Server, readApi, removeServer, startServer, until } from './app';
import { attemptOn, evidenceOf, openSplices, postTo } from './evidence';
import { type Postgres, startPostgres } from '../apps/server/src/testing/postgres.ts';

jest.setTimeout(180_000);

let postgres: Postgres;
/** A database that has the demo. */
const LOADED = 'loaded';
beforeAll(async () => {
  postgres = await startPostgres();
  const DATABASE_URL = await postgres.newDatabase(LOADED);
  const server = await startServer({ demo: true, env: { DATABASE_URL } });
  await server.stop();
  await removeServer(server);
});
afterAll(() => postgres.remove());

let servers: Server[] = [];
afterEach(async () => {
  await Promise.all(servers.map(removeServer));
  servers = [];
});

/** Two servers that start at the same moment on one database: a copy of another, or an empty one. */
async function startTwo(name: string, template = LOADED): Promise<[Server, Server]> {
  const DATABASE_URL = await postgres.newDatabase(name, template);
  const start = (demo: boolean) => startServer({ demo, env: { DATABASE_URL } });
  servers = await Promise.all([start(true), start(false)]);
  return servers as [Server, Server];
}

const post = (server: Server, path: string, body: unknown) => postTo(server.url, path, body);

describe('two servers on one PostgreSQL', () => {
  it('start at once on an empty database', async () => {
    const two = await startTwo('empty', 'template1');
    for (const server of two) expect(await readApi(server, '/health')).toEqual({ status: 'ok' });
  });

  it('take the records of many at once, with the roll-ups read meanwhile, and lose none', async () => {
    const two = await startTwo('crowd');
    const { project, ids } = await openSplices(two[0]);
    const acknowledged: string[] = [];
    const answers = new Map<number, number>();
    const count = (status: number) => answers.set(status, (answers.get(status) ?? 0) + 1);
    const writer = async (server: Server) => {
      for (let round = 0; round < 60; round++) {
        // In an order of their own: who locked rows in the order of the list would stop one another.
        const entries = Array.from({ length: 12 }, () => attemptOn(ids[randomInt(ids.length)]!));
        const answer = await post(server, '/evidence', { entries });
        count(answer.status);
        if (answer.ok) acknowledged.push(...entries.map(({ id }) => id));
      }
    };
    const reader = async (server: Server) => {
      for (let round = 0; round < 40; round++)
        count((await fetch(`${server.url}/api/projects/${project}/ledger/closures`)).status);
    };
    await Promise.all([
      ...Array.from({ length: 12 }, (_, index) => writer(two[index % 2]!)),
      ...Array.from({ length: 4 }, (_, index) => reader(two[index % 2]!)),
    ]);
    expect([...answers.keys()]).toEqual([200]);
    const kept = await evidenceOf(two[1], ids);
    expect(acknowledged.filter((id) => !kept.has(id))).toEqual([]);
  });

  it('answer that the database is away while it is, and go on once it is back', async () => {
    const two = await startTwo('away');
    const { ids } = await openSplices(two[0]);
    const acknowledged: string[] = [];
    const statuses = new Set<number>();
    let over = false;
    const writer = async (server: Server) => {
      while (!over) {
        const entry = attemptOn(ids[randomInt(ids.length)]!);
        const answer = await post(server, '/evidence', { entries: [entry, attemptOn(ids[0]!)] });
        statuses.add(answer.status);
        if (answer.ok) acknowledged.push(entry.id);
      }
    };
    const writing = Array.from({ length: 6 }, (_, index) => writer(two[index % 2]!));
    const grown = async () => {
      const before = acknowledged.length;
      return until(async () => acknowledged.length > before + 20, 'more records');
    };
    await grown();
    expect(await postgres.breakConnections('away')).toBeGreaterThan(0);
    await grown();
    // As with a crash of the database: it comes back from its log.
    postgres.restart('immediate');
    await grown();
    over = true;
    await Promise.all(writing);
    expect([...statuses].sort()).toEqual([200, 503]);
    const kept = await evidenceOf(two[1], ids);
    expect(acknowledged.filter((id) => !kept.has(id))).toEqual([]);
    for (const server of two) expect(server.process.exitCode).toBeNull();
  });

  it('take the same list sent to both at once as one', async () => {
    const two = await startTwo('lists');
    const { project } = await openSplices(two[0]);
    const cable = (name: string) => ({
      id: uuid(),
      projectId: project,
      name,
      makeUp: { kind: 'drop', fibers: 12 },
      schemeId: 'tia-598',
    });
    const titles = ['closure', 'tray', 'slot', 'cable A', 'fiber A', 'cable B', 'fiber B'];
    const rows = Array.from({ length: 12 }, (_, at) => `Weir,1,${at + 1},X,${at + 1},Y,${at + 1}`);
    const preview = { text: [titles.join(','), ...rows].join('\n'), importId: uuid() };
    const match = { closure: 0, tray: 1, slot: 2, cableA: 3, fiberA: 4, cableB: 5, fiberB: 6 };
    const body = { ...preview, match, cables: [cable('X'), cable('Y')] };
    const sent = await Promise.all(
      [...two, ...two].map((server) => post(server, `/projects/${project}/splice-list`, body)),
    );
    const results = await Promise.all(sent.map((answer) => answer.json()));
    expect(results).toEqual(Array(4).fill({ splices: 12, closures: 1, cables: 2 }));
  });

  it('tell of a write that is numbered early and done late, and of what waits for it, in one order', async () => {
    const two = await startTwo('changes');
    const { project, ids } = await openSplices(two[0]);
    const url = await postgres
      .newDatabase('unused')
      .then((text) => text.replace('unused', 'changes'));
    const slow = new pg.Client({ connectionString: url });
    await slow.connect();
    const read = (since?: string) =>
      readApi<{ cursor: string; changes: { kind: string; entry?: { id: string } }[] }>(
        two[1],
        `/projects/${project}/changes${since ? `?since=${since}` : ''}`,
      );
    try {
      const { cursor } = await read();
      await slow.query('begin');
      const late = uuid();
      await slow.query(
        `insert into attempts (id, splice_id, by, at, try_id, estimate_mdb, origin, void)
         values ($1, $2, 'M.', now(), $1, 20, 'typed', false)`,
        [late, ids[0]],
      );
      // Another one is numbered later and done first: it waits, so that nobody goes past the one before.
      const early = attemptOn(ids[1]!);
      expect((await post(two[0], '/evidence', { entries: [early] })).status).toBe(200);
      expect((await read(cursor)).changes).toEqual([]);
      await slow.query('commit');
      const { changes } = await read(cursor);
      expect(changes.map(({ entry }) => entry?.id)).toEqual([late, early.id]);
    } finally {
      await slow.end();
    }
  });
});
