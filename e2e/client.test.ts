import 'fake-indexeddb/auto';
import { IDBFactory } from 'fake-indexeddb';
import { v7 as uuid } from 'uuid';
import {
  COMMANDS,
  Outbox,
  type ProjectSnapshot,
  type Write,
  answerOf,
  commands,
  createApi,
  projectWithWrites,
  withEvidence,
  withWrites,
} from '@cordel/client';
import { BUILT_IN_HARDWARE, type Evidence } from '@cordel/core';
import { type Server, removeServer, startServer, until } from './app';
import { attemptOn, openSplices } from './evidence';

let server: Server;
let projectId: string;
let spliceIds: string[];
beforeAll(async () => {
  server = await startServer({ demo: true });
  ({ project: projectId, ids: spliceIds } = await openSplices(server, 4));
});
afterAll(() => removeServer(server));

const open: Outbox[] = [];
beforeEach(() => {
  globalThis.indexedDB = new IDBFactory();
});
afterEach(() => open.splice(0).forEach((outbox) => outbox.close()));

function newOutbox() {
  const api = createApi({ origin: server.url });
  const delivered: Write[] = [];
  const outbox = new Outbox({
    api,
    commands: COMMANDS,
    person: () => 'M.',
    onDelivered: (write) => delivered.push(write),
  });
  open.push(outbox);
  return { api, outbox, delivered };
}

type Client = ReturnType<typeof newOutbox>;

const readProject = ({ api }: Client): Promise<ProjectSnapshot> =>
  answerOf(api.GET('/api/projects/{projectId}', { params: { path: { projectId } } }));

const allSent = ({ outbox }: Client) =>
  until(async () => outbox.snapshot().writes.length === 0, 'all to be sent');

/** Nothing in the order of a list that the server chooses. */
const byId = ({ cursor: _place, ...snapshot }: ProjectSnapshot & { cursor?: string }) => ({
  ...snapshot,
  cables: [...snapshot.cables].sort((a, b) => a.id.localeCompare(b.id)),
  closures: [...snapshot.closures].sort((a, b) => a.id.localeCompare(b.id)),
  schemes: [...snapshot.schemes].sort((a, b) => a.id.localeCompare(b.id)),
  hardware: [...snapshot.hardware].sort((a, b) => a.id.localeCompare(b.id)),
  assemblies: [...snapshot.assemblies].sort((a, b) => a.closureId.localeCompare(b.closureId)),
  archived: [...snapshot.archived].sort(),
});

describe('what waits to be sent', () => {
  it('shows a project as the server has it once all is sent', async () => {
    const client = newOutbox();
    const before = await readProject(client);
    const [cable] = before.cables;
    const [closure] = before.closures;
    const [scheme] = before.schemes;
    const own = { ...closure!, id: uuid(), name: 'Weir', ordinal: 90, branchOf: null };
    const spare = { ...cable!, id: uuid(), name: 'Spare' };
    const at = own.id;
    const add = client.outbox.add.bind(client.outbox);
    let seen: readonly Write[] = [];
    // Taken at the last of them, while nothing is through: the server has to answer for it.
    const stop = client.outbox.subscribe(() => {
      const { writes } = client.outbox.snapshot();
      if (writes.length > seen.length) seen = writes;
    });
    const outcomes = [
      add(commands.saveProject, { ...before.project, name: 'Weir line' }, ''),
      add(commands.saveClosure, own, ''),
      add(commands.saveCable, spare, ''),
      add(commands.saveCable, { ...spare, name: 'Spare 2' }, ''),
      add(commands.saveScheme, { ...scheme!, id: uuid(), name: 'Ours' }, ''),
      add(commands.saveHardware, { ...BUILT_IN_HARDWARE[0]!, id: uuid(), name: 'Our dome' }, ''),
      add(
        commands.changeAssemblyOf,
        { closureId: at, change: { kind: 'hardware', hardwareId: BUILT_IN_HARDWARE[0]!.id } },
        '',
      ),
      add(
        commands.changeAssemblyOf,
        { closureId: at, change: { kind: 'reach', reach: 20_000 } },
        '',
      ),
      add(commands.archiveRecord, { kind: 'cable', id: spare.id, archived: true }, ''),
      add(commands.archiveRecord, { kind: 'cable', id: cable!.id, archived: true }, ''),
      add(commands.archiveRecord, { kind: 'cable', id: cable!.id, archived: false }, ''),
    ];
    stop();
    const expected = projectWithWrites(before, seen);
    expect(await Promise.all(outcomes)).toEqual(
      outcomes.map(() => ({ answer: expect.objectContaining({ id: expect.any(String) }) })),
    );
    expect(byId(await readProject(client))).toEqual(byId(expected));
    const removal = { kind: 'cable' as const, id: spare.id };
    await add(commands.deleteRecord, removal, '');
    const gone = (await readProject(client)).cables.map(({ id }) => id);
    expect(gone).not.toContain(spare.id);
  });

  it('shows the work of a closure, its closing and the bench as the server has them', async () => {
    const client = newOutbox();
    const { api } = client;
    const { splice } = await answerOf(
      api.GET('/api/splices/{spliceId}', { params: { path: { spliceId: spliceIds[0]! } } }),
    );
    const { closureId } = splice;
    const path = { closureId };
    const readWork = () =>
      answerOf(api.GET('/api/closures/{closureId}/work', { params: { path } }));
    const readClosing = () =>
      answerOf(api.GET('/api/closures/{closureId}/closing', { params: { path } }));
    const readBench = () =>
      answerOf(api.GET('/api/projects/{projectId}/bench', { params: { path: { projectId } } }));
    const [work, closing, bench] = [await readWork(), await readClosing(), await readBench()];
    const entry = {
      ...attemptOn(splice.id),
      recordId: null,
      recordPosition: null,
      origin: 'typed',
    } as Evidence;
    const signed = () => ({ id: uuid(), by: 'M.', at: '2026-05-04T20:15:00.000Z' });
    const visit = {
      ...signed(),
      closureId,
      kind: 'visit' as const,
      purpose: 'build' as const,
      why: null,
      crew: ['M.'],
      air: { temperature: 12, humidity: 60, pressure: null },
      sky: 'dry',
      instruments: [],
    };
    const logged = {
      ...signed(),
      projectId,
      kind: 'electrodes' as const,
      instrumentId: bench.instruments[0]!.id,
      what: 'cleaned' as const,
      arcs: 0,
    };
    const instrument = { ...bench.instruments[0]!, id: uuid(), name: 'Ours' };
    const writes = [
      client.outbox.add(commands.recordEvidence, { entries: [entry] }, ''),
      client.outbox.add(commands.saveInstrument, instrument, ''),
      client.outbox.add(commands.appendClosing, { closureId, entries: [visit] }, ''),
      client.outbox.add(commands.logInstruments, { projectId, entries: [logged] }, ''),
    ];
    const waiting = client.outbox.snapshot().writes;
    const shownWork = withEvidence(work, [entry]);
    const { log, instruments } = bench;
    const shown = withWrites(
      { projectId, closureId, instruments, instrumentLog: log, closing: closing.entries },
      waiting,
      COMMANDS,
    );
    const outcomes = await Promise.all<object>(writes);
    expect(outcomes.filter((outcome) => 'refused' in outcome)).toEqual([]);
    const after = await readWork();
    expect(after.evidence.map(({ id }) => id).sort()).toEqual(
      shownWork.evidence.map(({ id }) => id).sort(),
    );
    const ids = (list: readonly { id: string }[]) => list.map(({ id }) => id).sort();
    const benchAfter = await readBench();
    expect(ids(benchAfter.instruments)).toEqual(ids(shown.instruments));
    expect(benchAfter.log).toEqual(shown.instrumentLog);
    expect((await readClosing()).entries).toEqual(shown.closing);
  });
});

describe('the outbox before the real server', () => {
  it('sends what waited while the server was away, once, whatever was half on its way', async () => {
    const client = newOutbox();
    const [spliceId] = spliceIds.slice(1);
    const entries = Array.from({ length: 500 }, () => attemptOn(spliceId!) as Evidence);
    const port = Number(new URL(server.url).port);
    const { folder } = server;
    entries
      .slice(0, 450)
      .forEach((entry) => client.outbox.add(commands.recordEvidence, { entries: [entry] }, ''));
    // Killed in the middle: some are through, one may be, and its answer is lost.
    await until(async () => client.delivered.length >= 1, 'some to be through');
    await server.stop('SIGKILL');
    entries
      .slice(450)
      .forEach((entry) => client.outbox.add(commands.recordEvidence, { entries: [entry] }, ''));
    await until(async () => client.outbox.snapshot().offline, 'the server to be missed');
    server = await startServer({ folder, port });
    await allSent(client);
    const { evidence } = await answerOf(
      client.api.GET('/api/splices/{spliceId}', { params: { path: { spliceId: spliceId! } } }),
    );
    const known = new Set(entries.map(({ id }) => id));
    const got = evidence.map(({ id }) => id).filter((id) => known.has(id));
    expect(got).toEqual(entries.map(({ id }) => id));
    // A hundred at a time go as one.
    expect(
      client.delivered.flatMap(({ input }) => (input as { entries: Evidence[] }).entries),
    ).toEqual(entries);
    expect(client.delivered.length).toBeLessThan(20);
  });

  it('is told by the server what it does not take, at its place, and keeps it', async () => {
    const client = newOutbox();
    const entry = attemptOn(uuid()) as Evidence;
    const outcome = await client.outbox.add(commands.recordEvidence, { entries: [entry] }, '');
    expect(outcome).toMatchObject({ refused: { status: 422 } });
    expect(client.outbox.snapshot().writes).toMatchObject([{ state: 'refused' }]);
  });
});

test('every command says the right that its route asks for, so that the device refuses what the server would', async () => {
  const { paths } = (await (await fetch(`${server.url}/api/openapi.json`)).json()) as {
    paths: Record<string, Record<string, { 'x-right'?: string }>>;
  };
  // Whatever is asked of it is there: which request a command makes is all that counts here.
  const anything: unknown = new Proxy(() => undefined, {
    get: (_, key) => (key === Symbol.iterator ? undefined : key === 'length' ? 0 : anything),
    apply: () => anything,
    ownKeys: () => [],
    getOwnPropertyDescriptor: () => undefined,
  });
  const rights: Record<string, [string, string | undefined]> = {};
  for (const one of COMMANDS.values()) {
    let asked: string | undefined;
    const api = new Proxy(
      {},
      {
        get: (_, method: string) => (path: string) => {
          asked = paths[path]?.[method.toLowerCase()]?.['x-right'];
          return Promise.resolve({ data: {}, response: new Response('{}') });
        },
      },
    );
    await Promise.resolve(one.send(api as never, anything as never, () => anything as never)).catch(
      () => undefined,
    );
    // Evidence and closing go by each entry, on both sides by the same functions of core.
    if (asked === 'by entry') continue;
    const { right, anywhere } = one.needs(anything as never);
    rights[one.name] = [anywhere ? `${right} in any project` : right, asked];
  }
  expect(Object.keys(rights).length).toBeGreaterThan(20);
  for (const [name, [said, asked]] of Object.entries(rights))
    expect([name, said]).toEqual([name, asked]);
});
