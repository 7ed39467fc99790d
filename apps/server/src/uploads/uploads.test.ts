import { randomBytes } from 'node:crypto';
import { PIECE_BYTES } from '@cordel/core';
import { digestOf } from '@cordel/core/close';
import { sql } from 'drizzle-orm';
import { type TestApi, startApi } from '../testing/api.ts';
import type { ProjectDocument } from '@cordel/core/document';
import { v7 as uuid } from 'uuid';
import { smallDocument, withOuterEnd } from '../testing/small.ts';
import { receivedOf } from './queries.ts';

let api: TestApi;
let document: ProjectDocument;
beforeAll(async () => {
  api = await startApi();
  document = withOuterEnd(smallDocument({ practiceOnly: true }));
  expect((await api.post('/documents', document)).status).toBe(200);
});
afterAll(() => api.close());

const newFile = (size: number) => {
  const bytes = new Uint8Array(randomBytes(size));
  return { bytes, digest: digestOf(bytes), size };
};

const send = async (digest: string, start: number, bytes: Uint8Array) => {
  const answer = await api.open(`/uploads/${digest}/${start}`, {
    method: 'PUT',
    headers: { 'content-type': 'application/octet-stream' },
    body: bytes as Uint8Array<ArrayBuffer>,
  });
  return { status: answer.status, body: (await answer.json()) as { received: number } };
};

describe('a file in pieces', () => {
  it('grows by pieces in their turn, whichever server takes them', async () => {
    const { bytes, digest } = newFile(2 * PIECE_BYTES + 5);
    expect((await api.get(`/uploads/${digest}`)).body).toEqual({ received: 0 });
    const piece = (at: number) => bytes.subarray(at, at + PIECE_BYTES);
    expect((await send(digest, 0, piece(0))).body).toEqual({ received: PIECE_BYTES });
    // The same once more, one too far ahead, then the next.
    expect((await send(digest, 0, piece(0))).body).toEqual({ received: PIECE_BYTES });
    expect((await send(digest, 2 * PIECE_BYTES, piece(2 * PIECE_BYTES))).body).toEqual({
      received: PIECE_BYTES,
    });
    await send(digest, PIECE_BYTES, piece(PIECE_BYTES));
    expect((await send(digest, 2 * PIECE_BYTES, piece(2 * PIECE_BYTES))).body).toEqual({
      received: bytes.length,
    });
    expect((await api.get(`/uploads/${digest}`)).body).toEqual({ received: bytes.length });
  });

  it('takes one piece of those that two devices send at once', async () => {
    const { bytes, digest } = newFile(PIECE_BYTES);
    const answers = await Promise.all(
      [1000, 2000, 3000, 4000].map((length) => send(digest, 0, bytes.subarray(0, length))),
    );
    const { body } = await api.get(`/uploads/${digest}`);
    expect([1000, 2000, 3000, 4000]).toContain((body as { received: number }).received);
    for (const answer of answers) expect(answer.body).toEqual(body);
  });

  it('refuses pieces that are empty or too large, and names that are no digests', async () => {
    const { bytes, digest } = newFile(PIECE_BYTES + 1);
    expect((await send(digest, 0, new Uint8Array())).status).toBe(422);
    expect((await send(digest, 0, bytes)).status).toBe(413);
    expect((await send('abc', 0, bytes.subarray(0, 10))).status).toBe(422);
    expect(await receivedOf(api.db, digest)).toBe(0);
  });

  it('lets files go that were not finished in a month', async () => {
    const [old, fresh] = [newFile(10), newFile(10)];
    await send(old.digest, 0, old.bytes.subarray(0, 5));
    await api.db.execute(
      sql`update upload_pieces set received_at = now() - interval '31 days' where digest = ${old.digest}`,
    );
    await send(fresh.digest, 0, fresh.bytes);
    expect(await receivedOf(api.db, old.digest)).toBe(0);
    expect(await receivedOf(api.db, fresh.digest)).toBe(10);
  });
});

describe('a record that names its file', () => {
  /** A picture in name: it begins and ends as a JPEG file does (ISO/IEC 10918-1, annex B). */
  const newPicture = (size: number) => {
    const { bytes } = newFile(size);
    bytes.set([0xff, 0xd8, 0xff, 0xe0]);
    bytes.set([0xff, 0xd9], size - 2);
    return { bytes, file: { digest: digestOf(bytes), size } };
  };
  const photo = (more: object) => ({
    id: uuid(),
    closureId: document.closures[0]!.id,
    by: 'M.',
    at: '2026-05-05T08:00:00.000Z',
    width: 800,
    height: 600,
    ...more,
  });
  const sendAll = async (bytes: Uint8Array, digest: string) => {
    for (let start = 0; start < bytes.length; start += PIECE_BYTES)
      await send(digest, start, bytes.subarray(start, start + PIECE_BYTES));
  };

  it('is kept once all of it is here, and its pieces go', async () => {
    const { bytes, file } = newPicture(PIECE_BYTES + 1000);
    const one = photo({ file });
    await send(file.digest, 0, bytes.subarray(0, PIECE_BYTES));
    const early = await api.post('/photos', one);
    expect(early).toMatchObject({
      status: 409,
      body: { code: 'fileIncomplete', parameters: { received: PIECE_BYTES } },
    });
    await sendAll(bytes, file.digest);
    expect((await api.post('/photos', one)).status).toBe(200);
    expect(Buffer.from(await api.raw(`/photos/${one.id}`))).toEqual(Buffer.from(bytes));
    expect(await receivedOf(api.db, file.digest)).toBe(0);
    // Sent again after a lost answer, it needs no file a second time.
    expect((await api.post('/photos', one)).status).toBe(200);
  });

  it('is refused where what came is not what it names, and can be sent again', async () => {
    const { bytes, file } = newPicture(3000);
    const damaged = bytes.slice();
    damaged[100]! ^= 1;
    await send(file.digest, 0, damaged);
    expect(await api.post('/photos', photo({ file }))).toMatchObject({
      status: 409,
      body: { code: 'fileIncomplete', parameters: { received: 0 } },
    });
    await send(file.digest, 0, bytes);
    expect((await api.post('/photos', photo({ file }))).status).toBe(200);
  });

  it('has one of both, bytes or a file, and a photo is not too large', async () => {
    const { bytes, file } = newPicture(3000);
    const both = photo({ file, bytes: Buffer.from(bytes).toString('base64') });
    for (const wrong of [both, photo({})])
      expect(await api.post('/photos', wrong)).toMatchObject({
        status: 422,
        body: { code: 'onlyOneFile' },
      });
    const large = photo({ file: { ...file, size: 800_000 } });
    expect(await api.post('/photos', large)).toMatchObject({
      status: 422,
      body: { errors: [{ place: '/file/size', code: 'photoTooLarge' }] },
    });
  });

  it('may be a trace; one that is here already needs no file', async () => {
    const path = `/projects/${document.project.id}/traces`;
    const shot = await api.post(`/projects/${document.project.id}/standin/otdr`, {
      cableId: document.cables[0]!.id,
      fiber: 1,
      direction: 'AB',
      wavelengthNm: 1550,
      pulseNs: 30,
      averages: 4096,
    });
    const { name, bytes: coded } = shot.body as { name: string; bytes: string };
    const bytes = new Uint8Array(Buffer.from(coded, 'base64'));
    const file = { digest: digestOf(bytes), size: bytes.length };
    await sendAll(bytes, file.digest);
    const one = { id: uuid(), name, file, place: null };
    expect((await api.post(path, one)).body).toEqual({ id: one.id, known: false });
    expect(Buffer.from(await api.raw(`/traces/${one.id}/file.sor`))).toEqual(Buffer.from(bytes));
    expect(await receivedOf(api.db, file.digest)).toBe(0);
    expect((await api.post(path, { ...one, id: uuid() })).body).toEqual({
      id: one.id,
      known: true,
    });
    // What arrived whole may be no trace.
    const noise = newFile(2000);
    await send(noise.digest, 0, noise.bytes);
    const other = { digest: noise.digest, size: noise.size };
    expect((await api.post(path, { ...one, id: uuid(), file: other })).status).toBe(422);
  });
});
