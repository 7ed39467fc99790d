import 'fake-indexeddb/auto';
import { IDBFactory } from 'fake-indexeddb';
import { openDB } from 'idb';
import { v7 as uuid } from 'uuid';
import { z } from 'zod';
import { answerOf, createApi } from '../api/api.ts';
import { type Command, command } from '../commands/command.ts';
import { COMMANDS } from '../commands/index.ts';
import { attemptEntry } from './attempt.testing.ts';
import { serverAnswer } from '../api/serverAnswer.testing.ts';
import { MOST_FAILURES, Outbox } from './outbox.ts';
import { SentStore } from './sent.ts';
import { WriteStore } from './store.ts';
import { type Write, idsMadeBy } from './write.ts';

type Reply = { status: number; body?: unknown } | 'no connection';

/** A server that answers as told and remembers what it was sent. */
function fakeServer() {
  const sent: { path: string; body: unknown }[] = [];
  let replies: Reply[] = [];
  let usual: Reply = { status: 200, body: {} };
  const answer = async (request: Request): Promise<Response> => {
    const reply = replies.shift() ?? usual;
    if (reply === 'no connection') throw new TypeError('Failed to fetch');
    sent.push({ path: new URL(request.url).pathname, body: await request.json() });
    return serverAnswer(reply.body ?? {}, reply.status);
  };
  const api = createApi({ origin: 'http://cordel.test', fetch: answer });
  return {
    api,
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

/** Tries again without a pause until the first write is set aside. */
const untilAside = (outbox: Outbox) =>
  until(() => {
    void outbox.flush();
    return outbox.snapshot().writes[0]?.state === 'set aside';
  });

/** A command that takes anything, so that the outbox is seen to know nothing of what it sends. */
const count = command({
  name: 'test.count',
  needs: () => ({ right: 'record' }),
  schema: z.record(z.string(), z.unknown()),
  send: (api, input) => answerOf(api.POST('/api/evidence', { body: input as never })),
});
const commands = new Map<string, Command>([...COMMANDS, [count.name, count as Command]]);
const add = (outbox: Outbox, number: number) =>
  outbox.add(count, { count: number }, `write ${number}`);

let delivered: Write[];
let opened: Outbox[] = [];
const open = async (server: Pick<ReturnType<typeof fakeServer>, 'api'>) => {
  const outbox = new Outbox({
    api: server.api,
    commands,
    person: () => 'T. Marsh',
    onDelivered: (entry) => delivered.push(entry),
  });
  opened.push(outbox);
  await until(() => !outbox.snapshot().loading);
  return outbox;
};

beforeEach(() => {
  globalThis.indexedDB = new IDBFactory();
  delivered = [];
});
afterEach(() => {
  opened.forEach((outbox) => outbox.close());
  opened = [];
});

describe('the outbox', () => {
  it('sends in the order in which it was filled, and is empty then', async () => {
    const server = fakeServer();
    const outbox = await open(server);
    const outcomes = await Promise.all([1, 2, 3, 4].map((count) => add(outbox, count)));
    expect(server.sent.map(({ body }) => body)).toEqual([1, 2, 3, 4].map((count) => ({ count })));
    expect(outcomes.every((outcome) => 'answer' in outcome)).toBe(true);
    expect(delivered).toHaveLength(4);
    await until(() => outbox.snapshot().writes.length === 0);
  });

  it('keeps what cannot be sent, says that it is offline, and sends it later in order', async () => {
    const server = fakeServer();
    server.always('no connection');
    const outbox = await open(server);
    void add(outbox, 1);
    void add(outbox, 2);
    await until(() => outbox.snapshot().offline);
    expect(outbox.snapshot().writes).toHaveLength(2);
    server.always({ status: 200 });
    await outbox.flush();
    await until(() => outbox.snapshot().writes.length === 0);
    expect(server.sent.map(({ body }) => body)).toEqual([{ count: 1 }, { count: 2 }]);
    expect(outbox.snapshot().offline).toBe(false);
  });

  it('sends what was made before a clock was set right first, though its id says that it is from later', async () => {
    const server = fakeServer();
    server.always('no connection');
    const before = await open(server);
    void add(before, 1);
    await until(() => before.snapshot().offline);
    const [write] = before.snapshot().writes;
    before.close();
    // The same as a page would have made it whose clock was an hour ahead.
    const store = new WriteStore();
    await store.delete([write!.id]);
    await store.put({ ...write!, id: uuid({ msecs: Date.now() + 3_600_000 }) });
    const outbox = await open(server);
    void add(outbox, 2);
    // One that is made while the page still reads comes behind them too.
    const early = new Outbox({
      api: server.api,
      commands,
      person: () => 'T. Marsh',
      onDelivered: () => undefined,
    });
    opened.push(early);
    void add(early, 3);
    await until(() => outbox.snapshot().offline && !early.snapshot().loading);
    await until(() => early.snapshot().writes.length === 3);
    server.always({ status: 200 });
    await early.flush();
    await until(() => early.snapshot().writes.length === 0);
    expect(server.sent.map(({ body }) => body)).toEqual([1, 2, 3].map((count) => ({ count })));
  });

  it('goes on after a reload where the page before left off', async () => {
    const server = fakeServer();
    server.always('no connection');
    const before = await open(server);
    void add(before, 1);
    void add(before, 2);
    await until(() => before.snapshot().offline);
    server.always({ status: 200 });
    const after = await open(server);
    await until(() => after.snapshot().writes.length === 0);
    expect(server.sent.slice(-2).map(({ body }) => body)).toEqual([{ count: 1 }, { count: 2 }]);
  });

  it('tries again where the server has trouble: that is no refusal', async () => {
    const server = fakeServer();
    server.then({ status: 503 });
    const outbox = await open(server);
    const outcome = add(outbox, 1);
    await until(() => outbox.snapshot().offline);
    expect(outbox.snapshot().writes[0]?.state).toBe('waiting');
    await outbox.flush();
    expect(await outcome).toEqual({ answer: {} });
  });

  it('keeps all that waits while the server has no room, and sends it once there is', async () => {
    const server = fakeServer();
    server.always({ status: 507, body: { detail: 'The server’s disk is nearly full.' } });
    const outbox = await open(server);
    const outcome = add(outbox, 1);
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
    const outbox = await open(server);
    const failing = add(outbox, 1);
    const next = add(outbox, 2);
    await until(() => outbox.snapshot().failing);
    expect(outbox.snapshot().offline).toBe(false);
    await untilAside(outbox);
    expect(await failing).toMatchObject({ refused: { status: 500 } });
    expect(await next).toEqual({ answer: {} });
    expect(outbox.snapshot().writes).toMatchObject([
      { label: 'write 1', state: 'set aside', problem: { code: 'serverFailed', status: 500 } },
    ]);
    await outbox.retry(outbox.snapshot().writes[0]!.id);
    await until(() => outbox.snapshot().writes.length === 0);
  });

  it('holds back what needs a write that was set aside, until that one is through', async () => {
    const server = fakeServer();
    const id = '019da9e7-4800-7000-8000-000000000009';
    server.then(...Array.from({ length: MOST_FAILURES }, () => ({ status: 500 })));
    const outbox = await open(server);
    const failing = outbox.add(count, { id }, 'Mill');
    void outbox.add(count, { closureId: id }, 'At the mill');
    const other = add(outbox, 3);
    await untilAside(outbox);
    await failing;
    expect(await other).toEqual({ answer: {} });
    expect(outbox.snapshot().writes.map(({ state }) => state)).toEqual(['set aside', 'waiting']);
    await outbox.retry(outbox.snapshot().writes[0]!.id);
    await until(() => outbox.snapshot().writes.length === 0);
    expect(server.sent.slice(-2).map(({ body }) => body)).toEqual([{ id }, { closureId: id }]);
  });

  it('keeps a refused write in sight with its reason, and goes on with the next', async () => {
    const server = fakeServer();
    server.then({ status: 422, body: { detail: 'There is no such splice.' } });
    const outbox = await open(server);
    const refused = add(outbox, 1);
    const next = add(outbox, 2);
    expect(await refused).toMatchObject({ refused: { message: 'There is no such splice.' } });
    expect(await next).toEqual({ answer: {} });
    expect(outbox.snapshot().writes).toMatchObject([
      { label: 'write 1', state: 'refused', problem: 'There is no such splice.' },
    ]);
    await outbox.retry(outbox.snapshot().writes[0]!.id);
    await until(() => outbox.snapshot().writes.length === 0);
  });

  it('lets a refused write go for good', async () => {
    const server = fakeServer();
    server.then({ status: 409, body: { detail: 'It is here already.' } });
    const outbox = await open(server);
    await add(outbox, 1);
    await outbox.discard(outbox.snapshot().writes[0]!.id);
    expect(outbox.snapshot().writes).toEqual([]);
    expect((await open(server)).snapshot().writes).toEqual([]);
  });

  it('works without IndexedDB for as long as the page is open', async () => {
    const server = fakeServer();
    globalThis.indexedDB = {
      open: () => {
        throw new Error('forbidden');
      },
    } as unknown as IDBFactory;
    const outbox = await open(server);
    expect(await add(outbox, 1)).toEqual({ answer: {} });
    expect(server.sent).toHaveLength(1);
  });

  it('sends from memory what storage has no room for, and says that it is not safe', async () => {
    const server = fakeServer();
    const put = jest.spyOn(IDBObjectStore.prototype, 'put').mockImplementation(() => {
      throw new DOMException('Full', 'QuotaExceededError');
    });
    server.always('no connection');
    const outbox = await open(server);
    void add(outbox, 1);
    await until(() => outbox.snapshot().offline);
    expect(outbox.snapshot().writes).toMatchObject([{ label: 'write 1', unsafe: true }]);
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
    const outbox = await open(server);
    server.always('no connection');
    const refused = add(outbox, 1);
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
    const outbox = await open(fakeServer());
    const seen: number[] = [];
    const stop = outbox.subscribe(() => seen.push(outbox.snapshot().writes.length));
    await add(outbox, 1);
    await until(() => outbox.snapshot().writes.length === 0);
    expect(seen[0]).toBe(1);
    expect(seen.at(-1)).toBe(0);
    stop();
  });
});

describe('what a write brings', () => {
  const id = (last: number) => `019da9e7-4800-7000-8000-00000000000${last}`;

  it('is named by its own ids and those of its entries', () => {
    expect(idsMadeBy({ input: { id: id(1), projectId: id(2) } })).toEqual([id(1)]);
    expect(
      idsMadeBy({
        input: {
          projectId: id(1),
          importId: id(2),
          cables: [{ id: id(3), projectId: id(1) }],
        },
      }),
    ).toEqual([id(2), id(3)]);
  });
});

describe('what other versions of the page left', () => {
  const stored = async (name: string, value: object) => {
    const database = await openDB(name, 1, {
      upgrade: (db) => void db.createObjectStore('writes', { keyPath: 'id' }),
    });
    await database.put('writes', value);
    database.close();
  };

  it('is sent as the command that it was, once, where a page had no commands yet', async () => {
    const server = fakeServer();
    const id = '019da9e7-4800-7000-8000-000000000001';
    const ruling = {
      type: 'ruling',
      id,
      spliceId: id,
      tryId: null,
      kind: 'waive',
      why: 'Agreed with the lead.',
      by: 'A. Reed',
      at: '2026-05-04T20:15:00.000Z',
    };
    const body = { entries: [ruling] };
    const old = { method: 'POST', path: '/api/evidence', body, what: 'A 12: waived' };
    server.always('no connection');
    await stored('cordel-outbox', { id, ...old, state: 'waiting' });
    const first = await open(server);
    await until(() => first.snapshot().offline);
    expect(first.snapshot().writes).toMatchObject([
      { id, command: 'evidence.record', person: 'A. Reed', label: 'A 12: waived' },
    ]);
    first.close();
    server.always({ status: 200 });
    const second = await open(server);
    await until(() => second.snapshot().writes.length === 0);
    expect((await open(server)).snapshot().writes).toEqual([]);
    expect(server.sent).toEqual([{ path: '/api/evidence', body }]);
  });

  it('is brought to what the command takes now, and is shown and sent so', async () => {
    const server = fakeServer();
    const id = '019da9e7-4800-7000-8000-000000000001';
    const practice = { redos: 3, redoEats: 400 };
    const input = { id, name: 'Weir lane', practice, base: { id, name: 'Weir', practice } };
    server.always('no connection');
    const write = { id, command: 'project.save', input, person: 'A. Reed', label: 'Weir lane' };
    await stored('cordel-commands', {
      ...write,
      madeAt: '2026-11-28T10:00:00.000Z',
      state: 'waiting',
    });
    const outbox = await open(server);
    await until(() => outbox.snapshot().offline || outbox.snapshot().writes.length > 0);
    const now = { redos: 3, redoConsumption: 400 };
    expect(outbox.snapshot().writes[0]!.input).toEqual({
      id,
      name: 'Weir lane',
      practice: now,
      base: { id, name: 'Weir', practice: now },
    });
  });

  it('is told where it is not what the command takes, and is not sent', async () => {
    const server = fakeServer();
    const body = { entries: [{ type: 'ruling' }] };
    const old = { method: 'POST', path: '/api/evidence', body, what: 'A 12: waived' };
    const id = '019da9e7-4800-7000-8000-000000000001';
    await stored('cordel-outbox', { id, ...old, state: 'waiting' });
    const outbox = await open(server);
    await until(() => outbox.snapshot().writes[0]?.state === 'refused');
    expect(outbox.snapshot().writes[0]!.problem).toEqual({
      code: 'outdatedWrite',
      place: 'entries.0.id',
    });
    expect(server.sent).toEqual([]);
  });

  it('is kept and not sent where a newer page made it, and so is what needs it', async () => {
    const server = fakeServer();
    const id = '019da9e7-4800-7000-8000-000000000001';
    await stored('cordel-commands', {
      id,
      command: 'drone.fly',
      input: { id },
      person: '',
      madeAt: '2026-11-28T10:00:00.000Z',
      label: 'A flight',
      state: 'waiting',
    });
    const outbox = await open(server);
    void outbox.add(count, { closureId: id }, 'needs it');
    expect(await add(outbox, 2)).toEqual({ answer: {} });
    expect(outbox.snapshot().writes).toMatchObject([
      { command: 'drone.fly', unknown: true },
      { label: 'needs it', state: 'waiting' },
    ]);
    expect(server.sent.map(({ body }) => body)).toEqual([{ count: 2 }]);
  });

  it.each([
    ['a page of the network', new Response('<html>Sign in to this network</html>')],
    ['JSON of the network', Response.json({ id: 'any', recorded: 1 })],
    ['a refusal of a proxy', Response.json({ detail: 'no' }, { status: 403 })],
    ['a page that a proxy does not find', new Response('', { status: 404 })],
    ['a network to sign in to first', new Response('', { status: 511 })],
  ])('waits where what answers is no server of ours: %s', async (_what, answer) => {
    const api = createApi({ origin: 'http://cordel.test', fetch: async () => answer.clone() });
    const outbox = await open({ api });
    void add(outbox, 1);
    await until(() => outbox.snapshot().offline);
    expect(outbox.snapshot().writes).toMatchObject([{ state: 'waiting' }]);
  });
});

describe('what was recorded without a connection', () => {
  const attempts = (entries: number): object => ({
    entries: Array.from({ length: entries }, attemptEntry),
  });
  const evidence = commands.get('evidence.record')!;
  const sizesOf = ({ sent }: { sent: { body: unknown }[] }) =>
    sent.map(({ body }) => (body as { entries?: unknown[] }).entries?.length);
  const night = async (server: ReturnType<typeof fakeServer>, sizes: readonly number[]) => {
    server.always('no connection');
    const outbox = await open(server);
    const outcomes = sizes.map((size) => outbox.add(evidence, attempts(size), 'attempts'));
    await until(() => outbox.snapshot().offline);
    const waiting = outbox
      .snapshot()
      .writes.flatMap(({ input }) => (input as { entries: object[] }).entries);
    return { outbox, outcomes, waiting };
  };

  it('goes a hundred at a time, in its order, and each is answered', async () => {
    const server = fakeServer();
    const { outbox, outcomes, waiting } = await night(
      server,
      Array.from({ length: 250 }, () => 1),
    );
    server.always({ status: 200, body: { recorded: 1 } });
    await outbox.flush();
    await until(() => outbox.snapshot().writes.length === 0);
    expect(sizesOf(server)).toEqual([100, 100, 50]);
    expect(server.sent.flatMap(({ body }) => (body as { entries: object[] }).entries)).toEqual(
      waiting,
    );
    expect(await Promise.all(outcomes)).toHaveLength(250);
    expect(delivered).toHaveLength(3);
    expect(await outbox.sendAgain()).toBe(250);
  });

  it('is no more at once than the server takes', async () => {
    const server = fakeServer();
    const { outbox } = await night(
      server,
      Array.from({ length: 60 }, () => 12),
    );
    server.always({ status: 200, body: {} });
    await outbox.flush();
    await until(() => outbox.snapshot().writes.length === 0);
    expect(Math.max(...(sizesOf(server) as number[]))).toBeLessThanOrEqual(500);
    expect(server.sent.length).toBeLessThan(5);
  });

  it('waits for what stands between, and goes one by one where one of it is refused', async () => {
    const server = fakeServer();
    const { outbox } = await night(server, [1, 1]);
    void add(outbox, 7);
    void outbox.add(evidence, attempts(1), 'attempts');
    void outbox.add(evidence, attempts(1), 'attempts');
    server.then(
      { status: 409, body: { code: 'entryChanged', detail: 'Recorded with other content.' } },
      { status: 200, body: {} },
      { status: 409, body: { code: 'entryChanged', detail: 'Recorded with other content.' } },
    );
    server.always({ status: 200, body: {} });
    await outbox.flush();
    await until(() => outbox.snapshot().writes.length === 1);
    expect(sizesOf(server)).toEqual([2, 1, 1, undefined, 2]);
    expect(outbox.snapshot().writes).toMatchObject([{ state: 'refused' }]);
  });
});

describe('a server that came back from an older backup', () => {
  const recorded = commands.get('instrument.log')!;
  const log = (outbox: Outbox) => {
    const entry = {
      kind: 'blade',
      id: uuid(),
      by: 'M.',
      at: '2026-05-04T20:00:00.000Z',
      projectId: uuid(),
      instrumentId: 'cleaver',
      what: 'turned',
    };
    void outbox.add(recorded, { projectId: entry.projectId, entries: [entry] }, 'Blade turned');
    return entry.id;
  };
  const idsOf = (sent: { body: unknown }[]) =>
    sent.map(({ body }) => (body as { entries?: { id: string }[] }).entries?.[0]?.id);

  it('gets what was recorded in the last days again, and nothing else', async () => {
    const server = fakeServer();
    const outbox = await open(server);
    const ids = [log(outbox), log(outbox)];
    void add(outbox, 1);
    await until(() => server.sent.length === 3 && outbox.snapshot().writes.length === 0);
    server.sent.length = 0;
    expect(await outbox.sendAgain()).toBe(2);
    await until(() => server.sent.length === 2 && outbox.snapshot().writes.length === 0);
    expect(idsOf(server.sent)).toEqual(ids);
  });

  it('gets it from a page that was closed meanwhile, and nothing that is older than its backups', async () => {
    const server = fakeServer();
    log(await open(server));
    await until(() => server.sent.length === 1 && opened[0]!.snapshot().writes.length === 0);
    opened.forEach((outbox) => outbox.close());
    const store = new SentStore();
    await store.prune(Date.now() + 13 * 24 * 3_600_000);
    expect(await store.all()).toHaveLength(1);
    const again = await open(server);
    expect(await again.sendAgain()).toBe(1);
    await until(() => server.sent.length === 2);
    await store.prune(Date.now() + 15 * 24 * 3_600_000);
    expect(await store.all()).toEqual([]);
  });
});

describe('a device that several people share', () => {
  const UNSIGNED = { status: 401, body: { code: 'otherPerson', detail: 'Not signed in here.' } };

  it('sends what each did by their account, and keeps theirs who is signed out for them', async () => {
    let person = { id: 'ana', name: 'Ana' };
    const signedIn = new Set(['ben']);
    const sent: [account: string | null, count: unknown][] = [];
    const apiAs = (personId: string | null) =>
      createApi({
        origin: 'http://cordel.test',
        personId: () => personId,
        fetch: async (request) => {
          const account = request.headers.get('x-cordel-person');
          if (!signedIn.has(account ?? '')) return serverAnswer(UNSIGNED.body, UNSIGNED.status);
          sent.push([account, ((await request.json()) as { count: number }).count]);
          return serverAnswer({});
        },
      });
    const outbox = new Outbox({
      api: apiAs(null),
      apiAs,
      commands,
      person: () => person.name,
      personId: () => person.id,
      onDelivered: () => undefined,
    });
    opened.push(outbox);
    await until(() => !outbox.snapshot().loading);
    void add(outbox, 1);
    person = { id: 'ben', name: 'Ben' };
    void add(outbox, 2);
    await until(() => outbox.snapshot().writes.length === 1);
    expect(sent).toEqual([['ben', 2]]);
    // It waits: nothing of it is refused, and the page can say for whom.
    expect(outbox.snapshot().writes).toMatchObject([{ person: 'Ana', state: 'waiting' }]);
    expect(outbox.snapshot().awaited).toEqual(['Ana']);
    signedIn.add('ana');
    await outbox.signedIn();
    await until(() => outbox.snapshot().writes.length === 0);
    expect(sent).toEqual([
      ['ben', 2],
      ['ana', 1],
    ]);
    expect(outbox.snapshot().awaited).toBeUndefined();
  });
});

test('what a person may not do is not taken at all: it says which right is lacking, and nothing waits', async () => {
  const server = fakeServer();
  const outbox = new Outbox({
    api: server.api,
    commands,
    person: () => 'T. Marsh',
    onDelivered: () => undefined,
    lacks: (asked, input) => {
      const { right } = asked.needs(input);
      return right === 'record' ? 'record' : null;
    },
  });
  opened.push(outbox);
  await until(() => !outbox.snapshot().loading);
  const outcome = await add(outbox, 1);
  expect(outcome).toMatchObject({
    refused: { status: 403, told: { code: 'rightMissing', right: 'record' } },
  });
  expect(outbox.snapshot()).toMatchObject({ writes: [], lacked: 'record' });
  expect(server.sent).toEqual([]);
  outbox.forgetLacked();
  expect(outbox.snapshot().lacked).toBeUndefined();
});
