import { sql } from 'drizzle-orm';
import JSZip from 'jszip';
import { v7 as uuid } from 'uuid';
import type { ProjectDocument } from '@cordel/core/document';
import { type Db, rowsOf } from '../../db/client.ts';
import { refresh } from '../../ledger/refresh.ts';
import { type TestApi, renamed, startApi } from '../../testing/api.ts';
import { demoPart } from '../../testing/demoPart.ts';
import { TOLD, attemptOn, provenBy, smallDocument } from '../../testing/small.ts';
import { clearCutOff } from './clear.ts';
import { type DocumentFiles, unpacked } from './files.ts';
import { openImport } from './importProject.ts';
import { cutOffImports, listImports, stopImport } from './imports.ts';

let api: TestApi;
beforeAll(async () => {
  api = await startApi();
});
afterAll(() => api.close());

/** The smallest bytes that begin and end as a JPEG does (ITU-T T.81, annex B). */
const JPEG = Buffer.from([0xff, 0xd8, 1, 2, 3, 0xff, 0xd9]);

const photoIn = (document: ProjectDocument) => ({
  id: uuid(),
  closureId: document.closures[0]!.id,
  by: 'M.',
  at: '2026-05-04T20:15:00.000Z',
  width: 10,
  height: 10,
  bytes: JPEG.toString('base64'),
});

const wholeOf = async (from: TestApi, document: ProjectDocument) =>
  (await from.get(`/projects/${document.project.id}/document.json`)).text;

/** How many rows each table has. */
async function rowCounts(db: Db): Promise<Record<string, number>> {
  const tables = await rowsOf<{ name: string }>(
    db,
    sql`select table_name as name from information_schema.tables where table_schema = 'public' order by 1`,
  );
  const counts: Record<string, number> = {};
  for (const { name } of tables) {
    const [row] = await rowsOf<{ count: number }>(
      db,
      sql`select count(*)::int as count from ${sql.identifier(name)}`,
    );
    counts[name] = row!.count;
  }
  return counts;
}

/** Imports a document that stops before its first file until it is let go on. */
function held(document: ProjectDocument) {
  const packed = unpacked(document);
  let reached = (): void => undefined;
  let goOn = (): void => undefined;
  const atFile = new Promise<void>((resolve) => (reached = resolve));
  const gate = new Promise<void>((resolve) => (goOn = resolve));
  const files: DocumentFiles = {
    sizeOf: packed.files.sizeOf,
    bytesOf: async (list, id) => {
      reached();
      await gate;
      return packed.files.bytesOf(list, id);
    },
  };
  const done = openImport(api.db, packed.document, files, 'test').then((write) => write());
  return { atFile, goOn, done };
}

describe('a project with its traces and photos', () => {
  let demo: ProjectDocument;
  let zip: Uint8Array;
  let other: TestApi;
  beforeAll(async () => {
    demo = renamed(demoPart(TOLD, 3));
    demo.photos = [photoIn(demo)];
    expect((await api.post('/documents', demo)).status).toBe(200);
    zip = new Uint8Array(await api.raw(`/projects/${demo.project.id}/project.zip`));
    other = await startApi();
  });
  afterAll(() => other.close());

  it('leaves as a zip that any program opens, with its files as they came', async () => {
    const opened = await JSZip.loadAsync(zip);
    const document = JSON.parse(await opened.file('document.json')!.async('string')) as object;
    const whole = JSON.parse(await wholeOf(api, demo)) as ProjectDocument;
    const alone = <Row extends { bytes: string }>(rows: Row[]) =>
      rows.map(({ bytes: _bytes, ...row }) => row);
    expect(document).toEqual({
      ...whole,
      traces: alone(whole.traces),
      photos: alone(whole.photos),
    });
    expect(demo.traces).toHaveLength(12);
    for (const { id, bytes } of demo.traces)
      expect(await opened.file(`traces/${id}.sor`)!.async('base64')).toBe(bytes);
    expect(await opened.file(`photos/${demo.photos[0]!.id}.jpg`)!.async('base64')).toBe(
      demo.photos[0]!.bytes,
    );
  });

  it('is judged as if each of its entries had been recorded by itself', async () => {
    const columns = () =>
      rowsOf(api.db, sql`select * from splices where project_id = ${demo.project.id} order by id`);
    const imported = await columns();
    expect(
      new Set(imported.map((row) => (row as { verdict: string }).verdict)).size,
    ).toBeGreaterThan(4);
    await rowsOf(
      api.db,
      sql`update splices set verdict = 'open', redo = false, grade = null, loss_half_mdb = null, wavelength_nm = null, tries = 0,
            missing = '{}', origin = null, made_by = null, made_at = null, ruling = null, figures = '[]'
          where project_id = ${demo.project.id}`,
    );
    await rowsOf(
      api.db,
      sql`insert into stale_splices (splice_id, project_id) select id, project_id from splices where project_id = ${demo.project.id}`,
    );
    await refresh(api.db, demo.project.id);
    expect(await columns()).toEqual(imported);
  });

  it.each([
    ['cut off', (bytes: Uint8Array) => Promise.resolve(bytes.slice(0, bytes.length / 2)), 'zip'],
    [
      'without its document',
      async (bytes: Uint8Array) => {
        const opened = await JSZip.loadAsync(bytes);
        opened.remove('document.json');
        return opened.generateAsync({ type: 'uint8array' });
      },
      'document.json',
    ],
    [
      'without one of its files',
      async (bytes: Uint8Array) => {
        const opened = await JSZip.loadAsync(bytes);
        opened.remove(`traces/${demo.traces[3]!.id}.sor`);
        return opened.generateAsync({ type: 'uint8array' });
      },
      '/traces/3/bytes',
    ],
    [
      'with a file that was changed',
      async (bytes: Uint8Array) => {
        const opened = await JSZip.loadAsync(bytes);
        opened.file(`traces/${demo.traces[3]!.id}.sor`, 'something else');
        return opened.generateAsync({ type: 'uint8array' });
      },
      '/traces/3/bytes',
    ],
    [
      'with a byte of it flipped',
      (bytes: Uint8Array) => {
        const flipped = bytes.slice();
        flipped[Buffer.from(bytes).indexOf(JPEG) + 3]! ^= 1;
        return Promise.resolve(flipped);
      },
      '',
    ],
  ])('%s is refused, and nothing of it is there', async (_, spoil, place) => {
    // Its first answer names the database.
    await other.get('/projects');
    const before = await rowCounts(other.db);
    const answer = await other.send('/documents', await spoil(zip));
    expect(answer.status).toBe(422);
    expect(JSON.stringify(answer.body)).toContain(place);
    expect(await rowCounts(other.db)).toEqual(before);
  });

  it('comes in elsewhere by its zip as the same project', async () => {
    expect((await other.send('/documents', zip)).status).toBe(200);
    expect(await wholeOf(other, demo)).toBe(await wholeOf(api, demo));
  });
});

describe('an import under way', () => {
  const documentWithFile = () => {
    const document = smallDocument();
    document.photos = [photoIn(document)];
    document.evidence = document.splices.flatMap(({ id }) => provenBy(id, 40));
    return document;
  };

  it('is told with how far it is, and the project is for nobody to see or change', async () => {
    const document = documentWithFile();
    const { id } = document.project;
    const { atFile, goOn, done } = held(document);
    await atFile;
    expect(await listImports(api.db, null)).toEqual([
      expect.objectContaining({ projectId: id, name: document.project.name, stage: 'writing' }),
    ]);
    expect((await api.get(`/projects/${id}`)).status).toBe(404);
    expect(JSON.stringify((await api.get('/projects')).body)).not.toContain(id);
    const early = attemptOn(document.splices[0]!.id, 20);
    const record = () => api.post('/evidence', { entries: [early] });
    expect((await record()).status).toBe(503);
    expect((await api.put(`/projects/${id}`, document.project)).status).toBe(503);
    expect((await api.post('/documents', document)).status).toBe(409);
    goOn();
    await done;
    expect(await listImports(api.db, null)).toEqual([]);
    expect((await record()).status).toBe(200);
  });

  it('that is stopped leaves nothing, and may be made again', async () => {
    const document = documentWithFile();
    document.hardware = [];
    const before = await rowCounts(api.db);
    const { atFile, goOn, done } = held(document);
    await atFile;
    expect((await rowCounts(api.db)).attempts).toBeGreaterThan(before.attempts!);
    await stopImport(api.db, document.project.id);
    goOn();
    await expect(done).rejects.toMatchObject({ status: 409, message: /stopped/ });
    expect(await rowCounts(api.db)).toEqual(before);
    expect((await api.post('/documents', document)).status).toBe(200);
  });

  it('that nobody waits for tells why it failed until somebody has read it', async () => {
    const document = documentWithFile();
    document.photos[0]!.bytes = Buffer.from('no picture').toString('base64');
    const before = await rowCounts(api.db);
    const bytes = Buffer.from(JSON.stringify(document));
    const { status, body } = await api.send('/documents', bytes, { prefer: 'respond-async' });
    expect([status, body]).toEqual([202, { id: document.project.id }]);
    const only = async () => (await listImports(api.db, null))[0];
    while ((await only())?.stage !== 'failed') await new Promise((done) => setTimeout(done, 20));
    expect(await only()).toMatchObject({
      problem: expect.stringMatching(/^\/photos\/0\/bytes: .*JPEG/) as string,
    });
    expect(await rowCounts(api.db)).toEqual({ ...before, project_imports: 1 });
    await api.remove(`/imports/${document.project.id}`);
    expect(await rowCounts(api.db)).toEqual(before);
  });

  it('that was cut off is taken out by whoever starts next, but no other', async () => {
    const document = documentWithFile();
    const before = await rowCounts(api.db);
    const { atFile } = held(document);
    await atFile;
    await clearCutOff(api.db, { owner: 'somebody else' });
    await clearCutOff(api.db, 'silent');
    expect(await cutOffImports(api.db, 'all')).toEqual([document.project.id]);
    await rowsOf(api.db, sql`update project_imports set beat = now() - interval '2 minutes'`);
    await clearCutOff(api.db, 'silent');
    expect(await rowCounts(api.db)).toEqual(before);
  });

  it('does not make evidence that is recorded less lasting', async () => {
    const kept = smallDocument();
    kept.evidence = provenBy(kept.splices[0]!.id, 40);
    await api.post('/documents', kept);
    const { atFile, goOn, done } = held(documentWithFile());
    await atFile;
    for (const setting of ['off', 'on'])
      await expect(
        api.db.transaction(async (tx) => {
          await rowsOf(tx as never, sql`select set_config('cordel.importing', ${setting}, true)`);
          await rowsOf(
            tx as never,
            sql`delete from readings where splice_id = ${kept.splices[0]!.id}`,
          );
        }),
      ).rejects.toMatchObject({
        cause: { message: expect.stringMatching(/append-only/) as string },
      });
    goOn();
    await done;
  });
});
