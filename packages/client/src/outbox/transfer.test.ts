import 'fake-indexeddb/auto';
import { createHash } from 'node:crypto';
import { IDBFactory } from 'fake-indexeddb';
import { canonicalize } from 'json-canonicalize';
import { v7 as uuid } from 'uuid';
import { createApi } from '../api/api.ts';
import { serverAnswer } from '../api/serverAnswer.testing.ts';
import { COMMANDS, commands } from '../commands/index.ts';
import { attemptEntry } from './attempt.testing.ts';
import { Outbox } from './outbox.ts';
import { TransferError, packWork, readWork } from './transfer.ts';

/** A server that takes an entry once, as the real one does, and knows whose each is; away until it is told. */
function server(isReachable: () => boolean) {
  const held = new Map<string, string | null>();
  const asks = (signedIn: readonly (string | null)[]) => (personId: string | null) =>
    createApi({
      origin: 'http://cordel.test',
      personId: () => personId,
      fetch: async (request) => {
        if (!isReachable()) throw new TypeError('Failed to fetch');
        const account = request.headers.get('x-cordel-person');
        const answer = (status: number, body: object) => serverAnswer(body, status);
        if (!signedIn.includes(account))
          return answer(401, { code: 'otherPerson', detail: 'Not signed in here.' });
        const body = (await request.json()) as { entries?: { id: string }[]; ids?: string[] };
        if (body.ids) return answer(200, { ids: body.ids.filter((id) => held.has(id)) });
        for (const { id } of body.entries ?? []) if (!held.has(id)) held.set(id, account);
        return answer(200, { recorded: 1 });
      },
    });
  return { held, asks };
}

let opened: Outbox[] = [];
afterEach(() => {
  opened.forEach((outbox) => outbox.close());
  opened = [];
});

/** A phone with storage of its own. */
async function phone(
  person: { id: string | null; name: string },
  asks: ReturnType<ReturnType<typeof server>['asks']>,
): Promise<Outbox> {
  globalThis.indexedDB = new IDBFactory();
  const outbox = new Outbox({
    api: asks(person.id),
    apiAs: (id) => asks(id),
    commands: COMMANDS,
    person: () => person.name,
    personId: () => person.id,
    known: async (ids) =>
      (
        (await asks(person.id).POST('/api/receipts/known', { body: { ids } })).data as {
          ids: string[];
        }
      ).ids,
    onDelivered: () => undefined,
  });
  opened.push(outbox);
  await until(() => !outbox.snapshot().loading);
  return outbox;
}

const until = async (check: () => boolean) => {
  for (let tries = 0; tries < 300; tries++) {
    if (check()) return;
    await new Promise((resolve) => setTimeout(resolve, 10));
  }
  throw new Error('It did not come about.');
};

function attempt(outbox: Outbox): string {
  const entry = attemptEntry();
  void outbox.add(commands.recordEvidence, { entries: [entry] }, 'A 1: 0.02 dB');
  return entry.id;
}

const pack = (outbox: Outbox) => packWork(outbox.snapshot().writes, 'Ana', outbox.file);
const readFrom = async (outbox: Outbox) => readWork(await pack(outbox), COMMANDS);

describe('work from phone to phone', () => {
  it('is sent by whichever has signal first, and taken once', async () => {
    let [anaHasSignal, benHasSignal] = [false, false];
    const one = server(() => anaHasSignal);
    const two = server(() => benHasSignal);
    // One server: each phone has its own way to it.
    const ana = await phone({ id: null, name: 'Ana' }, one.asks([null]));
    const ben = await phone({ id: null, name: 'Ben' }, two.asks([null]));
    const ids = [attempt(ana), attempt(ana)];
    await until(() => ana.snapshot().writes.length === 2);
    const work = await readFrom(ana);
    expect(await ben.importWork(work.writes, work.files)).toBe(2);
    expect(await ben.importWork(work.writes, work.files)).toBe(0);
    expect(ben.snapshot().writes).toMatchObject([
      { person: 'Ana', transferredBy: 'Ana', state: 'waiting' },
      { person: 'Ana', transferredBy: 'Ana', state: 'waiting' },
    ]);
    benHasSignal = true;
    await ben.flush();
    await until(() => ben.snapshot().writes.length === 0);
    expect([...two.held.keys()]).toEqual(ids);
    // Given once more, it is known to be sent.
    expect(await ben.importWork(work.writes, work.files)).toBe(0);
    anaHasSignal = true;
    await ana.flush();
    expect([...one.held.keys()]).toEqual(ids);
  });

  it('goes by the account of whoever made it, and is let go once they have sent it', async () => {
    const { held, asks } = server(() => true);
    const away = server(() => false);
    const ana = await phone({ id: 'ana', name: 'Ana' }, away.asks(['ana']));
    const id = attempt(ana);
    await until(() => ana.snapshot().writes.length === 1);
    const { writes, files } = await readFrom(ana);
    const ben = await phone({ id: 'ben', name: 'Ben' }, asks(['ben']));
    await ben.importWork(writes, files);
    await until(() => ben.snapshot().awaited !== undefined);
    expect(ben.snapshot()).toMatchObject({ awaited: ['Ana'], writes: [{ state: 'waiting' }] });
    expect([...held]).toEqual([]);
    // She gets home, and sends it herself.
    held.set(id, 'ana');
    await ben.signedIn();
    await until(() => ben.snapshot().writes.length === 0);
    expect(ben.snapshot().awaited).toBeUndefined();
  });

  it('has its files with it', async () => {
    const away = server(() => false);
    const ana = await phone({ id: null, name: 'Ana' }, away.asks([null]));
    const bytes = Uint8Array.from({ length: 70_000 }, (_, index) => index % 251);
    const digest = createHash('sha256').update(bytes).digest('hex');
    const photo = {
      id: uuid(),
      closureId: uuid(),
      by: 'Ana',
      at: '2026-05-04T21:00:00.000Z',
      width: 10,
      height: 10,
      file: { digest, size: bytes.length },
    };
    void ana.add(commands.addPhoto, photo as never, 'Photo', [
      { digest, size: bytes.length, bytes },
    ]);
    await until(() => ana.snapshot().writes.length === 1);
    const { files } = await readFrom(ana);
    expect(files).toEqual([{ digest, size: bytes.length, bytes }]);
  });
});

describe('a file that is no work', () => {
  const codeOf = (text: string): string => {
    try {
      readWork(text, COMMANDS);
      return 'read';
    } catch (error) {
      if (!(error instanceof TransferError)) throw error;
      return error.code;
    }
  };
  let text: string;
  beforeEach(async () => {
    const ana = await phone({ id: null, name: 'Ana' }, server(() => false).asks([null]));
    attempt(ana);
    await until(() => ana.snapshot().writes.length === 1);
    text = await pack(ana);
  });

  it('is told from one that is', () => {
    expect(codeOf(text)).toBe('read');
    for (const other of [
      '',
      '[]',
      '{}',
      'null',
      '"cordel work"',
      '{"format":"other"}',
      text.slice(0, -9),
    ])
      expect(codeOf(other)).toBe('noWork');
  });

  it('is refused where one byte of it was changed', () => {
    expect(codeOf(text.replace('"estimateMdb":20', '"estimateMdb":10'))).toBe('damagedWork');
    expect(codeOf(text.replace('"from":"Ana"', '"from":"Eve"'))).toBe('damagedWork');
  });

  /** With the digest that such a file should have, by another implementation of RFC 8785. */
  const sealed = (change: object): string => {
    const { digest: _old, ...work } = { ...(JSON.parse(text) as object), ...change } as Record<
      string,
      unknown
    >;
    const digest = createHash('sha256').update(canonicalize(work)).digest('hex');
    return JSON.stringify({ ...work, digest });
  };

  it('is read where another program wrote the same', () => {
    expect(sealed({})).toBe(text);
    expect(codeOf(sealed({ from: 'Eve' }))).toBe('read');
  });

  it('is refused where it is newer, or holds what cannot be sent', () => {
    expect(codeOf(sealed({ version: 2 }))).toBe('newerWork');
    const [write] = (JSON.parse(text) as { writes: object[] }).writes;
    expect(codeOf(sealed({ writes: [{ ...write, input: { entries: [] } }] }))).toBe('damagedWork');
    expect(codeOf(sealed({ writes: [] }))).toBe('damagedWork');
    expect(codeOf(sealed({ writes: [{ ...write, command: 'of.tomorrow' }] }))).toBe('read');
  });
});
