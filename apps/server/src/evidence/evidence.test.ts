import { sql } from 'drizzle-orm';
import type { Attempt, Evidence } from '@cordel/core';
import type { ProjectDocument } from '@cordel/core/document';
import { v7 as uuid } from 'uuid';
import { rowsOf } from '../db/client.ts';
import { type TestApi, startApi } from '../testing/api.ts';
import { attemptOn, readingOn, smallDocument, splicerRecordOf } from '../testing/small.ts';

let api: TestApi;
let document: ProjectDocument;
const spliceId = (index: number) => document.splices[index]!.id;
const evidenceOf = async (index: number) =>
  ((await api.get(`/splices/${spliceId(index)}`)).body as { evidence: Evidence[] }).evidence;
const post = (...entries: unknown[]) => api.post('/evidence', { entries });

beforeAll(async () => {
  api = await startApi();
  document = smallDocument();
  expect((await api.post('/documents', document)).status).toBe(200);
});
afterAll(() => api.close());

describe('recording evidence', () => {
  it('keeps what was recorded, as it was', async () => {
    const attempt = attemptOn(spliceId(0), 20);
    const reading = readingOn(attempt, 'BA', 1550, -45);
    expect((await post(attempt, reading)).body).toEqual({ recorded: 2 });
    expect(await evidenceOf(0)).toEqual([attempt, reading]);
  });

  it('takes the same write twice as once', async () => {
    const attempt = attemptOn(spliceId(1), 30);
    expect((await post(attempt)).body).toEqual({ recorded: 1 });
    expect(await post(attempt)).toMatchObject({ status: 200, body: { recorded: 0 } });
    expect(await evidenceOf(1)).toEqual([attempt]);
  });

  it('is an instrument’s figure only where the instrument said that figure', async () => {
    const own = smallDocument();
    expect((await api.post('/documents', own)).status).toBe(200);
    const projectId = own.project.id;
    const record = splicerRecordOf(own, 7);
    const [seen] = record.fibers;
    const sent = await api.post(`/projects/${projectId}/splicer-records`, { records: [record] });
    expect(sent.status).toBe(200);
    const trace = uuid();
    await rowsOf(
      api.db,
      sql`insert into traces (id, project_id, name, digest, bytes, origin, facts, found)
          values (${trace}, ${projectId}, 'a.sor', 'a', '', 'instrument', '{}', '{}')`,
    );
    const from = { recordId: record.id, recordPosition: seen!.position };
    const said = Math.round(seen!.estimateMdb!);
    const [same, better] = [own.splices[0]!, own.splices[1]!].map(({ id }, index) => ({
      ...attemptOn(id, said - index),
      ...from,
      origin: 'instrument',
    })) as [Attempt, Attempt];
    // Nobody reads a trace but the server: what names one from elsewhere was typed.
    const reading = {
      ...readingOn(same, 'AB', 1550, 10),
      traceId: trace,
      origin: 'instrument' as const,
    };
    expect((await api.post('/evidence', { entries: [same, reading] })).status).toBe(200);
    const void_ = { ...same, id: uuid(), supersedes: same.id, void: true, why: 'slip' };
    expect((await api.post('/evidence', { entries: [void_] })).status).toBe(200);
    expect((await api.post('/evidence', { entries: [better] })).status).toBe(200);
    const origins = await rowsOf<{ id: string; origin: string }>(
      api.db,
      sql`select id, origin from attempts where record_id = ${record.id}
          union all select id, origin from readings where trace_id = ${trace}`,
    );
    expect(Object.fromEntries(origins.map(({ id, origin }) => [id, origin]))).toMatchObject({
      [same.id]: 'instrument',
      [better.id]: 'typed',
      [reading.id]: 'typed',
    });
  });

  it('takes what is new of a batch that was partly sent before', async () => {
    const first = attemptOn(spliceId(2), 30);
    const second = attemptOn(spliceId(2), 20);
    await post(first);
    expect((await post(first, second)).body).toEqual({ recorded: 1 });
    expect(await evidenceOf(2)).toEqual([first, second]);
  });

  it('refuses other content under a known id, and keeps the first', async () => {
    const attempt = attemptOn(spliceId(3), 30);
    await post(attempt);
    const answer = await post({ ...attempt, estimateMdb: 10 });
    expect(answer.status).toBe(409);
    expect((answer.body as { detail: string }).detail).toMatch(/what was done is never changed/);
    expect(await evidenceOf(3)).toEqual([attempt]);
  });

  it('writes all of a batch or nothing', async () => {
    const good = attemptOn(spliceId(4), 30);
    const stray = attemptOn(uuid(), 30);
    expect((await post(good, stray)).status).toBe(422);
    expect(await evidenceOf(4)).toEqual([]);
  });

  it('refuses a reading of another splice’s try', async () => {
    const attempt = attemptOn(spliceId(5), 30);
    await post(attempt);
    const answer = await post({ ...readingOn(attempt, 'AB', 1310, 20), spliceId: spliceId(6) });
    expect(answer.status).toBe(422);
  });

  it.each([
    ['15 dB', { estimateMdb: 15_000 }, '/entries/0/estimateMdb'],
    ['abc', { estimateMdb: 'abc' }, '/entries/0/estimateMdb'],
    ['nobody', { by: '' }, '/entries/0/by'],
  ])('names the place of %s', async (_, change, place) => {
    const answer = await post({ ...attemptOn(spliceId(7), 20), ...change });
    expect(answer.status).toBe(422);
    expect((answer.body as { errors: { place: string }[] }).errors[0]?.place).toBe(place);
    expect(await evidenceOf(7)).toEqual([]);
  });

  it('is append-only in the database itself', async () => {
    const words = (statement: string) =>
      rowsOf(api.db, sql.raw(statement)).then(
        () => '',
        (error: { cause?: Error }) => String(error.cause?.message),
      );
    expect(await words('update attempts set estimate_mdb = 0')).toMatch(/append-only/);
    expect(await words('delete from readings')).toMatch(/append-only/);
    expect(await words('truncate rulings')).toMatch(/append-only|cannot truncate/);
    expect(await words(`delete from splices where id = '${spliceId(0)}'`)).toMatch(/foreign key/);
  });

  it('takes writes that arrive at once from two people', async () => {
    const entries = Array.from({ length: 20 }, (_, index) => attemptOn(spliceId(9), index * 10));
    const answers = await Promise.all(entries.map((entry) => post(entry)));
    expect(answers.every((answer) => answer.status === 200)).toBe(true);
    expect(await evidenceOf(9)).toHaveLength(20);
    const page = (await api.get(`/projects/${document.project.id}/ledger/splices?q=A+10`)).body as {
      rows: { tries: number }[];
    };
    expect(page.rows[0]?.tries).toBe(20);
  });
});
