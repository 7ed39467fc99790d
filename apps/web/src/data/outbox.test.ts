import 'fake-indexeddb/auto';
import { IDBFactory } from 'fake-indexeddb';
import { Outbox, type Write } from './outbox';

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
