import { type Evidence, BUILT_IN_HARDWARE, BUILT_IN_SCHEMES, readCursor } from '@cordel/core';
import type { ProjectDocument } from '@cordel/core/document';
import { sql } from 'drizzle-orm';
import { v7 as uuid } from 'uuid';
import { rowsOf } from '../db/client.ts';
import { type TestApi, startApi } from '../testing/api.ts';
import { attemptOn, smallDocument } from '../testing/small.ts';
import type { ChangesAnswer } from './change.ts';
import { pruneChanges } from './queries.ts';

let api: TestApi;
let document: ProjectDocument;
let path: string;
beforeAll(async () => {
  api = await startApi();
});
afterAll(() => api.close());
beforeEach(async () => {
  document = smallDocument();
  path = `/projects/${document.project.id}`;
  expect((await api.post('/documents', document)).status).toBe(200);
});

/**
 * Waits until no older write is under way: on PostgreSQL the other test file writes into the same cluster,
 * and what may belong before others is held back.
 */
async function settled(): Promise<void> {
  for (let count = 0; count < 400; count++) {
    const [row] = await rowsOf<{ open: boolean }>(
      api.db,
      sql`select exists(
        select from changes where xact >= pg_snapshot_xmin(pg_current_snapshot())) as open`,
    );
    if (!row!.open) return;
    await new Promise((resolve) => setTimeout(resolve, 25));
  }
  throw new Error('another write was under way for ten seconds');
}

const read = async (since?: string): Promise<ChangesAnswer> => {
  await settled();
  const answer = await api.get(`${path}/changes${since ? `?since=${since}` : ''}`);
  expect(answer.status).toBe(200);
  return answer.body;
};
const attempt = (index: number): Evidence => attemptOn(document.splices[index]!.id, 20);

describe('what was written', () => {
  it('is nothing at first, and nothing of what came in with the project', async () => {
    const { cursor, changes } = await read();
    expect(changes).toEqual([]);
    expect(await read(cursor)).toEqual({ cursor, changes: [], reset: false, more: false });
    expect((await api.get(path)).body).toMatchObject({
      cursor: expect.stringMatching(/^\d+-\d+$/),
    });
  });

  it('is every write of every kind, once, in order, with what was appended', async () => {
    const { cursor } = await read();
    const [closure] = document.closures;
    const [cable] = document.cables;
    const entry = attempt(0);
    const at = { by: 'M.', at: '2026-05-04T20:15:00.000Z' };
    const leave = { id: uuid(), closureId: closure!.id, kind: 'leave', done: 'Tray 1.', ...at };
    const scheme = { ...BUILT_IN_SCHEMES[0]!, id: uuid() };
    const hardware = { ...BUILT_IN_HARDWARE[0]!, id: uuid() };
    const writes = [
      await api.record([entry]),
      // The same one again writes nothing.
      await api.record([entry]),
      await api.put(path, { ...document.project, name: 'Weir line' }),
      await api.put(`/closures/${closure!.id}`, { ...closure!, name: 'Weir' }),
      await api.put(`/cables/${cable!.id}`, { ...cable!, name: 'North' }),
      await api.post(`/closures/${closure!.id}/closing`, { entries: [leave] }),
      await api.post(`/assemblies/${closure!.id}/changes`, { kind: 'reach', reach: 20_000 }),
      await api.put(`/schemes/${scheme.id}`, scheme),
      await api.put(`/hardware/${hardware.id}`, hardware),
      await api.put(`/records/cable/${cable!.id}/archived`, { archived: true }),
      await api.put(`/records/cable/${cable!.id}/archived`, { archived: false }),
    ];
    expect(writes.map((answer) => answer?.status ?? 200)).toEqual(writes.map(() => 200));
    const { changes } = await read(cursor);
    expect(changes).toEqual([
      { kind: 'evidence', entry },
      { kind: 'project', id: document.project.id },
      { kind: 'closure', id: closure!.id },
      { kind: 'cable', id: cable!.id },
      { kind: 'closing', entry: leave },
      { kind: 'assembly', id: closure!.id },
      { kind: 'scheme', id: scheme.id },
      { kind: 'hardware', id: hardware.id },
      { kind: 'archive', id: cable!.id },
      { kind: 'archive', id: cable!.id },
    ]);
  });

  it('is a project’s own, but for what all of them share', async () => {
    const other = smallDocument();
    await api.post('/documents', other);
    const { cursor } = await read();
    await api.record([attemptOn(other.splices[0]!.id, 20)]);
    const scheme = { ...BUILT_IN_SCHEMES[0]!, id: uuid() };
    await api.put(`/schemes/${scheme.id}`, scheme);
    expect((await read(cursor)).changes).toEqual([{ kind: 'scheme', id: scheme.id }]);
  });

  it('comes page by page where there is much', async () => {
    const { cursor } = await read();
    const entries = Array.from({ length: 1100 }, (_, index) => attempt(index % 12));
    for (let start = 0; start < entries.length; start += 500)
      await api.record(entries.slice(start, start + 500));
    const ids: string[] = [];
    let place = cursor;
    for (let more = true; more;) {
      const page = await read(place);
      for (const change of page.changes) if (change.kind === 'evidence') ids.push(change.entry.id);
      ({ cursor: place, more } = page);
    }
    expect([...ids].sort()).toEqual(entries.map(({ id }) => id).sort());
  });

  it('tells who was away for too long to ask for everything', async () => {
    const { cursor } = await read();
    for (let count = 0; count < 6; count++) await api.record([attempt(count)]);
    const { cursor: late } = await read(cursor);
    await pruneChanges(api.db, 2);
    const all = await read(cursor);
    expect(all.reset).toBe(true);
    expect(all.cursor).toBe(late);
    expect(await read(late)).toMatchObject({ reset: false, changes: [] });
    const [{ rows }] = [
      (await api.db.execute(sql`select count(*)::int as count from changes`)) as unknown as {
        rows: { count: number }[];
      },
    ];
    expect(rows[0]!.count).toBe(3);
  });

  it('is refused with its place where the cursor is none, or the project', async () => {
    for (const since of ['here', '1', '-1-1', '99999999999999999999-1']) {
      const answer = await api.get(`${path}/changes?since=${since}`);
      expect([since, answer.status]).toEqual([since, 422]);
      expect(answer.body).toMatchObject({ errors: [{ place: '?since' }] });
    }
    expect((await api.get(`/projects/${uuid()}/changes`)).status).toBe(404);
    expect(readCursor('18446744073709551615-1')).toBeNull();
  });
});

describe('the stream', () => {
  /** Reads events until there are so many changes. */
  async function listen(since: string, count: number, lastId?: string): Promise<ChangesAnswer[]> {
    const stop = new AbortController();
    const response = await api.open(`${path}/changes/stream?since=${since}`, {
      signal: stop.signal,
      headers: lastId === undefined ? {} : { 'last-event-id': lastId },
    });
    const reader = response.body!.getReader();
    const decoder = new TextDecoder();
    let text = '';
    const told = () =>
      [...text.matchAll(/event: changes\ndata: (.*)\nid: (.*)\n/g)].map(([, data, id]) => {
        const answer = JSON.parse(data!) as ChangesAnswer;
        expect(answer.cursor).toBe(id);
        return answer;
      });
    const changes = () => told().flatMap((one) => one.changes);
    while (changes().length < count) text += decoder.decode((await reader.read()).value);
    stop.abort();
    await reader.cancel();
    return told();
  }
  const ids = (told: readonly ChangesAnswer[]) =>
    told.flatMap(({ changes }) =>
      changes.map((change) => ('entry' in change ? change.entry.id : change.kind)),
    );

  it('brings what was there, then what is written, and goes on where it was cut off', async () => {
    const { cursor } = await read();
    const entries = Array.from({ length: 6 }, (_, index) => attempt(index));
    await api.record(entries.slice(0, 2));
    const heard = listen(cursor, 5);
    for (const entry of entries.slice(2, 5)) {
      await new Promise((resolve) => setTimeout(resolve, 30));
      await api.record([entry]);
    }
    const told = await heard;
    expect(ids(told)).toEqual(entries.slice(0, 5).map(({ id }) => id));
    await api.record([entries[5]!]);
    // A client that comes back says how far it got, whatever its address still says.
    expect(ids(await listen(cursor, 1, told.at(-1)!.cursor))).toEqual([entries[5]!.id]);
  });

  it('brings each of many writes once to each of many who listen', async () => {
    const { cursor } = await read();
    const entries = Array.from({ length: 60 }, (_, index) => attempt(index % 12));
    const heard = Array.from({ length: 12 }, () => listen(cursor, entries.length));
    await Promise.all(entries.map((entry) => api.record([entry])));
    for (const told of await Promise.all(heard))
      expect([...ids(told)].sort()).toEqual(entries.map(({ id }) => id).sort());
  });

  it('reads nothing from the database while nobody writes', async () => {
    const { cursor } = await read();
    const heard = listen(cursor, 1);
    let asked = 0;
    const own = api.dbs.map((db) => {
      const execute = db.execute.bind(db);
      db.execute = ((query: never) => {
        asked++;
        return execute(query);
      }) as typeof db.execute;
      return execute;
    });
    // Whoever asks again and again never leaves it alone for so long.
    let alone = false;
    for (let rounds = 0; !alone && rounds < 20; rounds++) {
      const before = asked;
      await new Promise((resolve) => setTimeout(resolve, 500));
      alone = asked === before;
    }
    expect(alone).toBe(true);
    const before = asked;
    await api.record([attempt(0)]);
    await heard;
    expect(asked).toBeGreaterThan(before);
    api.dbs.forEach((db, index) => (db.execute = own[index]!));
  });
});
