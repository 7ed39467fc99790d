import 'fake-indexeddb/auto';
import { IDBFactory } from 'fake-indexeddb';
import { MOST_FAILURES, Outbox, type Write, idsMadeBy } from './outbox';

type Reply = { status: number; body?: unknown } | 'no connection';

/** A server that answers as told and remembers what it was sent. */
function fakeServer() {
  const sent: { path: string; body: unknown }[] = [];
  let replies: Reply[] = [];
  let usual: Reply = { status: 200, body: {} };
  globalThis.fetch = (async (path: string, init: { body: string }) => {
    const reply = replies.shift() ?? usual;
    if (reply === 'no connection') throw new TypeError('Failed to fetch');
    sent.push({ path, body: JSON.parse(init.body) });
    return { ok: reply.status < 400, status: reply.status, json: async () => reply.body ?? {} };
  }) as unknown as typeof fetch;
  return {
    sent,
    then: (...list: Reply[]) => (replies = list),
    always: (reply: Reply) => (usual = reply),
  };
}

const until = async (check: () => boolean) => {
  for (let tries = 0; tries < 300; tries++) {
    if (check()) return;
    await new Promise((resolve) => setTimeout(resolve, 10));
  }
  throw new Error('It did not come about.');
};
const write = (count: number) => ({
  method: 'POST' as const,
  path: '/api/evidence',
  body: { count },
  what: `write ${count}`,
});

let delivered: Write[];
const open = async () => {
  const outbox = new Outbox((entry) => delivered.push(entry));
  await until(() => !outbox.snapshot().loading);
  return outbox;
};

beforeAll(() => {
  globalThis.structuredClone ??= ((value: unknown) =>
    JSON.parse(JSON.stringify(value))) as typeof structuredClone;
});
beforeEach(() => {
  globalThis.indexedDB = new IDBFactory();
  delivered = [];
});

describe('the outbox', () => {
  it('sends in the order in which it was filled, and is empty then', async () => {
    const server = fakeServer();
    const outbox = await open();
    const outcomes = await Promise.all([1, 2, 3, 4].map((count) => outbox.add(write(count))));
    expect(server.sent.map(({ body }) => body)).toEqual([1, 2, 3, 4].map((count) => ({ count })));
    expect(outcomes.every((outcome) => 'answer' in outcome)).toBe(true);
    expect(delivered).toHaveLength(4);
    await until(() => outbox.snapshot().writes.length === 0);
  });

  it('keeps what cannot be sent, says that it is offline, and sends it later in order', async () => {
    const server = fakeServer();
    server.always('no connection');
    const outbox = await open();
    void outbox.add(write(1));
    void outbox.add(write(2));
    await until(() => outbox.snapshot().offline);
    expect(outbox.snapshot().writes).toHaveLength(2);
    server.always({ status: 200 });
    await outbox.flush();
    await until(() => outbox.snapshot().writes.length === 0);
    expect(server.sent.map(({ body }) => body)).toEqual([{ count: 1 }, { count: 2 }]);
    expect(outbox.snapshot().offline).toBe(false);
  });

  it('goes on after a reload where the page before left off', async () => {
    const server = fakeServer();
    server.always('no connection');
    const before = await open();
    void before.add(write(1));
    void before.add(write(2));
    await until(() => before.snapshot().offline);
    server.always({ status: 200 });
    const after = await open();
    await until(() => after.snapshot().writes.length === 0);
    expect(server.sent.slice(-2).map(({ body }) => body)).toEqual([{ count: 1 }, { count: 2 }]);
  });

  it('tries again where the server has trouble: that is no refusal', async () => {
    const server = fakeServer();
    server.then({ status: 503 });
    const outbox = await open();
    const outcome = outbox.add(write(1));
    await until(() => outbox.snapshot().offline);
    expect(outbox.snapshot().writes[0]?.state).toBe('waiting');
    await outbox.flush();
    expect(await outcome).toEqual({ answer: {} });
  });

  it('keeps all that waits while the server has no room, and sends it once there is', async () => {
    const server = fakeServer();
    server.always({ status: 507, body: { detail: 'The server’s disk is nearly full.' } });
    const outbox = await open();
    const outcome = outbox.add(write(1));
    for (let tries = 0; tries <= MOST_FAILURES; tries++) {
      await until(() => outbox.snapshot().noRoom !== undefined);
      await outbox.flush();
    }
    expect(outbox.snapshot()).toMatchObject({
      noRoom: 'The server’s disk is nearly full.',
      writes: [{ state: 'waiting' }],
    });
    server.always({ status: 200 });
    await outbox.flush();
    expect(await outcome).toEqual({ answer: {} });
    expect(outbox.snapshot().noRoom).toBeUndefined();
  });

  it('sets a write aside that the server fails over again and again, and goes on with the next', async () => {
    const server = fakeServer();
    server.then(...Array.from({ length: MOST_FAILURES }, () => ({ status: 500 })));
    const outbox = await open();
    const failing = outbox.add(write(1));
    const next = outbox.add(write(2));
    for (let tries = 1; tries < MOST_FAILURES; tries++) {
      await until(() => outbox.snapshot().writes[0]?.failures === tries);
      expect(outbox.snapshot()).toMatchObject({ failing: true, offline: false });
      await outbox.flush();
    }
    expect(await failing).toMatchObject({ refused: { status: 500 } });
    expect(await next).toEqual({ answer: {} });
    expect(outbox.snapshot().writes).toMatchObject([
      { what: 'write 1', state: 'set aside', problem: 'The server failed over it (500).' },
    ]);
    await outbox.retry(outbox.snapshot().writes[0]!.id);
    await until(() => outbox.snapshot().writes.length === 0);
  });

  it('holds back what needs a write that was set aside, until that one is through', async () => {
    const server = fakeServer();
    const id = '019da9e7-4800-7000-8000-000000000009';
    server.then(...Array.from({ length: MOST_FAILURES }, () => ({ status: 500 })));
    const outbox = await open();
    const put = { method: 'PUT' as const, path: `/api/closures/${id}`, body: { id }, what: 'Mill' };
    const failing = outbox.add(put);
    void outbox.add({ ...write(2), body: { closureId: id } });
    const other = outbox.add(write(3));
    for (let tries = 1; tries < MOST_FAILURES; tries++) {
      await until(() => outbox.snapshot().writes[0]?.failures === tries);
      await outbox.flush();
    }
    await failing;
    expect(await other).toEqual({ answer: {} });
    expect(outbox.snapshot().writes.map(({ state }) => state)).toEqual(['set aside', 'waiting']);
    await outbox.retry(outbox.snapshot().writes[0]!.id);
    await until(() => outbox.snapshot().writes.length === 0);
    expect(server.sent.slice(-2).map(({ path }) => path)).toEqual([put.path, '/api/evidence']);
  });

  it('keeps a refused write in sight with its reason, and goes on with the next', async () => {
    const server = fakeServer();
    server.then({ status: 422, body: { detail: 'There is no such splice.' } });
    const outbox = await open();
    const refused = outbox.add(write(1));
    const next = outbox.add(write(2));
    expect(await refused).toMatchObject({ refused: { message: 'There is no such splice.' } });
    expect(await next).toEqual({ answer: {} });
    expect(outbox.snapshot().writes).toMatchObject([
      { what: 'write 1', state: 'refused', problem: 'There is no such splice.' },
    ]);
    await outbox.retry(outbox.snapshot().writes[0]!.id);
    await until(() => outbox.snapshot().writes.length === 0);
  });

  it('lets a refused write go for good', async () => {
    const server = fakeServer();
    server.then({ status: 409, body: { detail: 'It is here already.' } });
    const outbox = await open();
    await outbox.add(write(1));
    await outbox.discard(outbox.snapshot().writes[0]!.id);
    expect(outbox.snapshot().writes).toEqual([]);
    expect((await open()).snapshot().writes).toEqual([]);
  });

  it('works without IndexedDB for as long as the page is open', async () => {
    const server = fakeServer();
    globalThis.indexedDB = {
      open: () => {
        throw new Error('forbidden');
      },
    } as unknown as IDBFactory;
    const outbox = await open();
    expect(await outbox.add(write(1))).toEqual({ answer: {} });
    expect(server.sent).toHaveLength(1);
  });

  it('sends from memory what storage has no room for, and says that it is not safe', async () => {
    const server = fakeServer();
    const put = jest.spyOn(IDBObjectStore.prototype, 'put').mockImplementation(() => {
      throw new DOMException('Full', 'QuotaExceededError');
    });
    server.always('no connection');
    const outbox = await open();
    void outbox.add(write(1));
    await until(() => outbox.snapshot().offline);
    expect(outbox.snapshot().writes).toMatchObject([{ what: 'write 1', unsafe: true }]);
    await outbox.flush();
    expect(outbox.snapshot().writes).toHaveLength(1);
    server.always({ status: 200 });
    await outbox.flush();
    await until(() => outbox.snapshot().writes.length === 0);
    expect(server.sent).toEqual([{ path: '/api/evidence', body: { count: 1 } }]);
    put.mockRestore();
  });

  it('does not send a refused write again where its refusal cannot be stored', async () => {
    const server = fakeServer();
    const outbox = await open();
    server.always('no connection');
    const refused = outbox.add(write(1));
    await until(() => outbox.snapshot().offline);
    const put = jest.spyOn(IDBObjectStore.prototype, 'put').mockImplementation(() => {
      throw new DOMException('Full', 'QuotaExceededError');
    });
    server.always({ status: 422, body: { detail: 'No.' } });
    await outbox.flush();
    expect(await refused).toMatchObject({ refused: { message: 'No.' } });
    await outbox.flush();
    expect(server.sent).toHaveLength(1);
    expect(outbox.snapshot().writes).toMatchObject([{ state: 'refused' }]);
    put.mockRestore();
  });

  it('tells those who listen of every change', async () => {
    fakeServer();
    const outbox = await open();
    const seen: number[] = [];
    const stop = outbox.subscribe(() => seen.push(outbox.snapshot().writes.length));
    await outbox.add(write(1));
    await until(() => outbox.snapshot().writes.length === 0);
    expect(seen[0]).toBe(1);
    expect(seen.at(-1)).toBe(0);
    stop();
  });
});

describe('what a write brings', () => {
  const id = (last: number) => `019da9e7-4800-7000-8000-00000000000${last}`;

  it('is named by its path, its own ids, and those of its entries', () => {
    expect(idsMadeBy({ method: 'PUT', path: `/api/cables/${id(1)}`, body: {} })).toEqual([id(1)]);
    expect(
      idsMadeBy({
        method: 'POST',
        path: `/api/projects/${id(1)}/splice-list`,
        body: { importId: id(2), cables: [{ id: id(3), projectId: id(1) }] },
      }),
    ).toEqual([id(2), id(3)]);
  });
});
