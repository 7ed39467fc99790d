import { sql } from 'drizzle-orm';
import type { Evidence, Ruling, Splice, SpliceRow, TallyRow } from '@cordel/core';
import type { ProjectDocument } from '@cordel/core/document';
import { v7 as uuid } from 'uuid';
import { rowsOf } from '../db/client.ts';
import { type TestApi, renamed, startApi } from '../testing/api.ts';
import { attemptOn, readingOn, smallDocument } from '../testing/small.ts';

let api: TestApi;
let document: ProjectDocument;
let closureId: string;
/** A 1 to B 1 at the first closure: made, measured one way, and removed in these tests. */
let old: Splice;
let path: string;
beforeAll(async () => {
  api = await startApi();
});
afterAll(() => api.close());
beforeEach(async () => {
  document = smallDocument();
  closureId = document.closures[0]!.id;
  path = `/projects/${document.project.id}`;
  old = document.splices.find(({ fiberA }) => fiberA === 1)!;
  const attempt = attemptOn(old.id, 20);
  document.evidence = [attempt, readingOn(attempt, 'AB', 1550, 40)];
  expect((await api.post('/documents', document)).status).toBe(200);
});

interface Work {
  splices: Splice[];
  retired: Splice[];
  evidence: Evidence[];
}
const work = async () => (await api.get(`/closures/${closureId}/work`)).body as Work;
const word = { by: 'M. Reyes', at: '2026-05-05T20:00:00.000Z', why: 'Cut-over to tube 2.' };
const put = (text: string, over: object = {}) =>
  api.put(`/closures/${closureId}/plan`, {
    closureId,
    text,
    pins: [],
    spare: 0,
    anew: false,
    changeId: uuid(),
    ...over,
  });
const MOVED = 'splice A 2-12 to B 2-12\nsplice A 1 to B 13';
const read = async () =>
  (await api.get(`${path}/document.json`)).body as unknown as ProjectDocument;
const retirement = (spliceId: string): Ruling => ({
  type: 'ruling',
  id: uuid(),
  spliceId,
  tryId: null,
  kind: 'retire',
  ...word,
});

describe('a plan that moves a spliced fiber', () => {
  it('is refused until somebody says that the joint is removed', async () => {
    expect((await put(MOVED)).status).toBe(409);
    expect(await work()).toMatchObject({ retired: [] });
    const nobody = await put(MOVED, { retire: { ...word, by: ' ' } });
    expect(nobody.status).toBe(422);
    expect(nobody.body).toMatchObject({ errors: [{ place: '/retire/by' }] });
  });

  it('cuts away and joins anew in one go; the same write again changes nothing', async () => {
    const body = { changeId: uuid(), retire: word };
    expect((await put(MOVED, body)).body).toMatchObject({
      added: 1,
      moved: 0,
      dropped: 0,
      retired: 1,
    });
    const after = await work();
    expect(after.retired).toEqual([old]);
    expect(after.splices).toHaveLength(12);
    const fresh = after.splices.find(({ fiberA }) => fiberA === 1)!;
    expect(fresh).toMatchObject({ fiberB: 13, tray: old.tray, slot: old.slot });
    // The word stands against the try that lay there.
    expect(after.evidence.at(-1)).toMatchObject({
      type: 'ruling',
      kind: 'retire',
      spliceId: old.id,
      tryId: document.evidence[0]!.id,
      ...word,
    });
    expect((await put(MOVED, body)).body).toMatchObject({
      added: 0,
      moved: 0,
      dropped: 0,
      retired: 0,
    });
    expect(await work()).toEqual(after);
  });

  it('cuts nothing where the plan still has the fibers', async () => {
    const answer = await put('splice A 1-12 to B 1-12', { retire: word });
    expect(answer.body).toMatchObject({ added: 0, moved: 0, dropped: 0, retired: 0 });
    expect((await work()).retired).toEqual([]);
  });
});

describe('a splice that was removed', () => {
  beforeEach(async () => {
    expect((await put(MOVED, { retire: word })).status).toBe(200);
  });

  it('is in no roll-up, and its fibers go their new ways', async () => {
    const { project } = (await api.get(`${path}/ledger/closures`)).body as { project: TallyRow };
    expect(project).toMatchObject({ total: 16, done: 0, open: 16 });
    const { rows } = (await api.get(`${path}/ledger/splices?q=A+1&limit=500`)).body as {
      rows: SpliceRow[];
    };
    expect(rows.map(({ id }) => id)).not.toContain(old.id);
    const [a, b] = document.cables.map(({ id }) => id);
    const { circuits } = (await api.get(`${path}/circuits/${a}/1`)).body as {
      circuits: { legs: { cableId: string; fiber: number }[] }[];
    };
    expect(circuits[0]!.legs.map(({ cableId, fiber }) => [cableId, fiber])).toEqual([
      [a, 1],
      [b, 13],
    ]);
    // B 1, which went on to the drop, now begins at its own head.
    const head = (await api.get(`${path}/fibers/${b}/1`)).body as { rows: SpliceRow[] };
    expect(head.rows.map((row) => row.closure)).toEqual(['Ford']);
  });

  it('keeps all that was recorded of it, and takes what comes late', async () => {
    const late = readingOn(document.evidence[0] as never, 'BA', 1550, 35);
    expect((await api.post('/evidence', { entries: [late] })).body).toEqual({ recorded: 1 });
    const shown = (await api.get(`/splices/${old.id}`)).body as { evidence: Evidence[] };
    expect(shown.evidence.map(({ type }) => type)).toEqual([
      'attempt',
      'reading',
      'ruling',
      'reading',
    ]);
    expect((await work()).retired).toEqual([old]);
  });

  it('is neither brought back nor taken out, in the database itself', async () => {
    const says = (statement: string) =>
      rowsOf(api.db, sql.raw(statement)).then(
        () => '',
        (error: { cause?: Error }) => String(error.cause?.message),
      );
    expect(await says(`update splices set live = true where id = '${old.id}'`)).toMatch(
      /cut away stays as it is/,
    );
    expect(await says(`delete from splices where id = '${old.id}'`)).toMatch(
      /cut away stays as it is/,
    );
  });

  it('may be followed by another of the same two fibers', async () => {
    const answer = await put('splice A 1-12 to B 1-12');
    expect(answer.body).toMatchObject({ added: 1, moved: 0, dropped: 1, retired: 0 });
    const after = await work();
    const again = after.splices.find(({ fiberA }) => fiberA === 1)!;
    expect(again).toMatchObject({ fiberB: 1 });
    expect(again.id).not.toBe(old.id);
    expect(after.retired).toEqual([old]);
  });

  it('stands in the document, and in a copy made from it', async () => {
    const before = await read();
    expect(before.splices).toHaveLength(17);
    const copy = renamed(before);
    expect((await api.post('/documents', copy)).status).toBe(200);
    const after = (await api.get(`/projects/${copy.project.id}/document.json`)).body;
    expect(after).toEqual(copy);
    const { retired } = (await api.get(`/closures/${copy.closures[0]!.id}/work`)).body as Work;
    expect(retired).toMatchObject([{ fiberA: 1, fiberB: 1 }]);
  });

  it('leaves a document without the word contradicting itself', async () => {
    const copy = renamed(await read());
    copy.evidence = copy.evidence.filter((entry) => entry.type !== 'ruling');
    const answer = await api.post('/documents', copy);
    expect(answer.status).toBe(422);
    expect(JSON.stringify(answer.body)).toMatch(/contradicts itself/);
  });

  it('holds its cable to fibers that it has had', async () => {
    const cable = document.cables[1]!;
    const answer = await api.put(`/cables/${cable.id}`, {
      ...cable,
      makeUp: { kind: 'drop', fibers: 12 },
    });
    expect(answer.status).toBe(422);
  });
});

describe('the word by itself', () => {
  it('frees the fibers of one splice, sent twice as once', async () => {
    const entry = retirement(old.id);
    expect((await api.post('/evidence', { entries: [entry] })).body).toEqual({ recorded: 1 });
    expect((await api.post('/evidence', { entries: [entry] })).body).toEqual({ recorded: 0 });
    const after = await work();
    expect([after.splices.length, after.retired.length]).toEqual([11, 1]);
  });

  it('counts with a batch from a phone that was away, all or nothing', async () => {
    const stray = attemptOn(uuid(), 20);
    const answer = await api.post('/evidence', { entries: [retirement(old.id), stray] });
    expect(answer.status).toBe(422);
    expect((await work()).retired).toEqual([]);
  });
});
