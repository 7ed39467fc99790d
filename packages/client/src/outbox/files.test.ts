import 'fake-indexeddb/auto';
import { IDBFactory } from 'fake-indexeddb';
import { openDB } from 'idb';
import { z } from 'zod';
import { PIECE_BYTES, uploadSchema } from '@cordel/core';
import { digestOf } from '@cordel/core/close';
import { answerOf, createApi } from '../api/api.ts';
import { serverAnswer } from '../api/serverAnswer.testing.ts';
import { type Command, command } from '../commands/command.ts';
import { base64Of } from './files.ts';
import { Outbox } from './outbox.ts';

/** A server that takes files in pieces, and loses the line when told. */
class FileServer {
  readonly asked: string[] = [];
  readonly files = new Map<string, Buffer>();
  readonly records: Record<string, unknown>[] = [];
  /** Requests that still arrive. */
  line = Infinity;
  /** Told of every piece. */
  onPiece = (_received: number): void => {};

  readonly api = createApi({
    origin: 'http://cordel.test',
    fetch: async (request) => {
      if (this.line-- <= 0) throw new TypeError('Failed to fetch');
      const [, digest = '', start = ''] =
        /uploads\/([0-9a-f]+)(?:\/(\d+))?/.exec(request.url) ?? [];
      this.asked.push(digest ? `${request.method} ${start}`.trim() : 'record');
      if (!digest) return this.take((await request.json()) as Record<string, unknown>);
      const file = this.files.get(digest) ?? Buffer.alloc(0);
      if (request.method !== 'PUT' || Number(start) !== file.length)
        return serverAnswer({ received: file.length });
      const longer = Buffer.concat([file, Buffer.from(await request.arrayBuffer())]);
      this.files.set(digest, longer);
      this.onPiece(longer.length);
      return serverAnswer({ received: longer.length });
    },
  });

  private take(record: Record<string, unknown>): Response {
    const file = record.file as { digest: string; size: number } | undefined;
    if (file && this.files.get(file.digest)?.length !== file.size)
      return serverAnswer({ detail: 'Not all of it.', code: 'fileIncomplete' }, 409);
    this.records.push(record);
    return serverAnswer({});
  }
}

const post = (api: FileServer['api'], body: unknown) =>
  answerOf(api.POST('/api/evidence', { body: body as never }));

const keep = command({
  name: 'test.keep',
  needs: () => ({ right: 'inspect' }),
  schema: z.object({ id: z.string(), file: uploadSchema }),
  send: (api, { id, file }, sentAs) => post(api, { id, ...sentAs(file) }),
});
const note = command({
  name: 'test.note',
  needs: () => ({ right: 'inspect' }),
  schema: z.object({ note: z.string() }),
  send: (api, input) => post(api, input),
});
const commands = new Map<string, Command>([
  [keep.name, keep as Command],
  [note.name, note as Command],
]);

const opened: Outbox[] = [];
const open = ({ api }: FileServer) => {
  const outbox = new Outbox({ api, commands, person: () => 'T. Marsh', onDelivered: () => {} });
  opened.push(outbox);
  return outbox;
};
beforeEach(() => {
  globalThis.indexedDB = new IDBFactory();
});
afterEach(() => opened.splice(0).forEach((outbox) => outbox.close()));

const newFile = (size: number) => {
  const bytes = Uint8Array.from({ length: size }, (_, index) => (index * 7919) % 251);
  return { bytes, size, digest: digestOf(bytes) };
};
const addFile = (outbox: Outbox, id: string, file: ReturnType<typeof newFile>) =>
  outbox.add(keep, { id, file: { digest: file.digest, size: file.size } }, id, [file]);

const until = async (check: () => boolean) => {
  for (let tries = 0; tries < 300; tries++) {
    if (check()) return;
    await new Promise((resolve) => setTimeout(resolve, 10));
  }
  throw new Error('It did not come about.');
};

describe('files that writes carry', () => {
  it('go within their record where they are small', async () => {
    const server = new FileServer();
    const file = newFile(PIECE_BYTES);
    await addFile(open(server), 'small', file);
    expect(server.asked).toEqual(['record']);
    expect(server.records).toEqual([
      { id: 'small', bytes: Buffer.from(file.bytes).toString('base64') },
    ]);
  });

  it('go before it in pieces where they are large, and are let go', async () => {
    const server = new FileServer();
    const outbox = open(server);
    const file = newFile(2 * PIECE_BYTES + 1);
    await addFile(outbox, 'large', file);
    expect(server.asked).toEqual([
      'GET',
      'PUT 0',
      `PUT ${PIECE_BYTES}`,
      `PUT ${2 * PIECE_BYTES}`,
      'record',
    ]);
    expect(digestOf(new Uint8Array(server.files.get(file.digest)!))).toBe(file.digest);
    expect(server.records).toEqual([
      { id: 'large', file: { digest: file.digest, size: file.size } },
    ]);
    await until(() => outbox.snapshot().writes.length === 0);
    expect(await outbox.file(file.digest)).toBeNull();
  });

  it('go on after a reload where they stopped', async () => {
    const server = new FileServer();
    const file = newFile(5 * PIECE_BYTES);
    server.line = 3;
    const before = open(server);
    void addFile(before, 'large', file);
    await until(() => before.snapshot().offline);
    before.close();
    server.line = Infinity;
    const after = open(server);
    await until(() => server.records.length === 1);
    expect(server.asked.filter((one) => one === `PUT ${PIECE_BYTES}`)).toHaveLength(1);
    expect(server.asked).toHaveLength(8);
    await until(() => after.snapshot().writes.length === 0);
  });

  it('let records go first that do not need them, and tell how far they are', async () => {
    const server = new FileServer();
    const outbox = open(server);
    const seen: (number | undefined)[] = [];
    outbox.subscribe(() => seen.push(outbox.snapshot().sending?.sent));
    server.onPiece = (received) => {
      if (received !== 2 * PIECE_BYTES) return;
      void outbox.add(note, { note: 'a splice' }, 'a splice');
      void outbox.add(note, { note: 'photo-1 is of the seal' }, 'needs it');
    };
    await addFile(outbox, 'photo-1', newFile(4 * PIECE_BYTES));
    await until(() => outbox.snapshot().writes.length === 0);
    expect(server.records.map(({ id, note }) => note ?? id)).toEqual([
      'a splice',
      'photo-1',
      'photo-1 is of the seal',
    ]);
    // Each piece once, though it was put off.
    expect(server.asked.filter((one) => one.startsWith('PUT'))).toHaveLength(4);
    expect(seen).toContain(2 * PIECE_BYTES);
    expect(seen.at(-1)).toBeUndefined();
  });

  it('are sent again where the server let its pieces go meanwhile', async () => {
    const server = new FileServer();
    const file = newFile(2 * PIECE_BYTES);
    let isLost = false;
    server.onPiece = (received) => {
      if (received < file.size || isLost) return;
      isLost = true;
      setTimeout(() => server.files.delete(file.digest), 0);
    };
    const outbox = open(server);
    expect(await addFile(outbox, 'large', file)).toEqual({ answer: {} });
    expect(server.asked.filter((one) => one === 'record').length).toBeLessThanOrEqual(2);
  });

  it('that are gone from the device are told, and nothing is sent in their place', async () => {
    const server = new FileServer();
    server.line = 0;
    const file = newFile(PIECE_BYTES + 1);
    const before = open(server);
    void addFile(before, 'large', file);
    await until(() => before.snapshot().offline);
    before.close();
    const storage = await openDB('cordel-files', 1);
    await storage.clear('files');
    storage.close();
    server.line = Infinity;
    const after = open(server);
    await until(() => after.snapshot().writes[0]?.state === 'refused');
    expect(after.snapshot().writes[0]!.problem).toEqual({ code: 'fileMissing' });
    expect(server.records).toEqual([]);
  });

  it('make a write unsafe that storage has no room for', async () => {
    const server = new FileServer();
    server.line = 0;
    const put = jest.spyOn(IDBObjectStore.prototype, 'put').mockImplementation(() => {
      throw new DOMException('Full', 'QuotaExceededError');
    });
    const outbox = open(server);
    void addFile(outbox, 'large', newFile(PIECE_BYTES + 1));
    await until(() => outbox.snapshot().offline);
    expect(outbox.snapshot().writes).toMatchObject([{ unsafe: true }]);
    put.mockRestore();
    server.line = Infinity;
    await outbox.flush();
    await until(() => server.records.length === 1);
  });
});

it('Base 64 is that of the standard, however long the file', () => {
  const { bytes } = newFile(0x8000 * 2 + 3);
  // RFC 4648, by Node's own coder.
  expect(base64Of(bytes)).toBe(Buffer.from(bytes).toString('base64'));
});
