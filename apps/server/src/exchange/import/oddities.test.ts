import { sql } from 'drizzle-orm';
import type { Evidence } from '@cordel/core';
import type { ProjectDocument } from '@cordel/core/document';
import { v7 as uuid } from 'uuid';
import { rowsOf } from '../../db/client.ts';
import { type Answer, type TestApi, startApi } from '../../testing/api.ts';
import { attemptOn, readingOn, smallDocument } from '../../testing/small.ts';

let api: TestApi;
let document: ProjectDocument;
let other: ProjectDocument;
beforeAll(async () => {
  api = await startApi();
  [document, other] = [smallDocument(), smallDocument()];
  for (const one of [document, other]) expect((await api.post('/documents', one)).status).toBe(200);
});
afterAll(() => api.close());

const placesOf = (answer: Answer): string[] =>
  ((answer.body as { errors?: { place: string }[] }).errors ?? []).map(({ place }) => place);

const post = (...entries: unknown[]) => api.post('/evidence', { entries });

describe('an entry that contradicts others', () => {
  const spliceId = () => document.splices[0]!.id;

  it('is refused where it names one that comes after it', async () => {
    const attempt = attemptOn(spliceId(), 20);
    const reading = readingOn(attempt, 'AB', 1550, 40);
    const early = await post(reading, attempt);
    expect(early.status).toBe(422);
    expect(placesOf(early)).toEqual(['/entries/0/tryId']);
    const [a, b] = [readingOn(attempt, 'AB', 1550, 40), readingOn(attempt, 'AB', 1550, 41)];
    const circle = await post(
      attempt,
      { ...a, supersedes: b.id, why: 'typo' },
      { ...b, supersedes: a.id, why: 'typo' },
    );
    expect(placesOf(circle)).toEqual(['/entries/1/supersedes']);
    expect((await post(attempt, reading)).status).toBe(200);
  });

  it('is refused where it names what another project has', async () => {
    const trace = uuid();
    await rowsOf(
      api.db,
      sql`insert into traces (id, project_id, name, digest, bytes, origin, facts, found)
          values (${trace}, ${other.project.id}, 'far.sor', 'far', '', 'instrument', '{}', '{}')`,
    );
    const attempt = attemptOn(spliceId(), 20);
    const reading = { ...readingOn(attempt, 'AB', 1550, 40), traceId: trace };
    const answer = await post(attempt, reading);
    expect(answer.status).toBe(422);
    expect(placesOf(answer)).toEqual(['/entries/1/traceId']);
    const place = {
      id: uuid(),
      traceId: trace,
      by: 'M.',
      at: '2026-05-04T20:15:00.000Z',
      cableId: document.cables[0]!.id,
      fiber: 1,
      direction: 'AB',
      wavelengthNm: 1550,
      why: null,
    };
    const places = (projectId: string) =>
      api.post(`/projects/${projectId}/trace-places`, { entries: [place] });
    expect(placesOf(await places(other.project.id))).toEqual(['/entries/0/cableId']);
    expect(placesOf(await places(document.project.id))).toEqual(['/entries/0/traceId']);
  });

  it('is refused in a document that names what another project has, odd or not', async () => {
    const now = () => '2026-05-04T20:15:00.000Z';
    const trace = uuid();
    const record = uuid();
    const [cable] = other.cables;
    await rowsOf(
      api.db,
      sql`insert into traces (id, project_id, name, digest, bytes, origin, facts, found)
          values (${trace}, ${other.project.id}, 'theirs.sor', 'theirs', '', 'instrument', '{}', '{}')`,
    );
    const theirs = { id: uuid(), by: 'M.', at: now() };
    const place = {
      ...theirs,
      traceId: trace,
      cableId: null,
      fiber: null,
      direction: null,
      wavelengthNm: null,
      stage: null,
      why: 'not theirs',
    };
    const cases: [string, Partial<ProjectDocument>][] = [
      ['/archived/0', { archived: [cable!.id] }],
      ['/archived/0', { archived: [other.closures[0]!.id] }],
      ['/tracePlaces/0/traceId', { tracePlaces: [place], odd: [place.id] }],
      ['/setAside/0/recordId', { setAside: [{ ...theirs, recordId: record, why: 'not theirs' }] }],
    ];
    for (const [at, part] of cases) {
      const answer = await api.post('/documents', { ...smallDocument(), ...part });
      expect([answer.status, ...placesOf(answer)]).toEqual([422, at]);
    }
    const [left] = await rowsOf<{ places: number; archived: number }>(
      api.db,
      sql`select (select count(*)::int from trace_places where trace_id = ${trace}) as places,
            (select count(*)::int from archives) as archived`,
    );
    expect(left).toEqual({ places: 0, archived: 0 });
  });

  it('that is there from before leaves with its project, flagged, and comes in elsewhere', async () => {
    const attempt = attemptOn(document.splices[1]!.id, 20);
    const early = readingOn(attempt, 'AB', 1550, 40);
    // As earlier versions took them: the reading has the smaller number.
    const number = await rowsOf<{ seq: string }>(
      api.db,
      sql`select nextval('evidence_seq') as seq`,
    );
    expect((await post(attempt)).status).toBe(200);
    await rowsOf(
      api.db,
      sql`insert into readings (id, seq, splice_id, try_id, by, at, grade, direction, wavelength_nm, loss_mdb, origin, void)
          values (${early.id}, ${number[0]!.seq}, ${early.spliceId}, ${attempt.id}, 'M.', now(), 'one-way', 'AB', 1550, 40, 'typed', false)`,
    );
    const out = (await api.get(`/projects/${document.project.id}/document.json`))
      .body as ProjectDocument;
    expect(out.odd).toEqual([early.id]);
    const elsewhere = await startApi();
    const { odd, ...unflagged } = out;
    expect(odd).toHaveLength(1);
    const refused = await elsewhere.post('/documents', unflagged);
    expect(refused.status).toBe(422);
    expect(placesOf(refused)).toHaveLength(1);
    expect((await elsewhere.post('/documents', out)).status).toBe(200);
    const again = (await elsewhere.get(`/projects/${document.project.id}/document.json`)).text;
    expect(again).toBe(JSON.stringify(out));
    const { evidence } = (await elsewhere.get(`/splices/${early.spliceId}`)).body as {
      evidence: Evidence[];
    };
    expect(evidence.map(({ id }) => id)).toEqual([early.id, attempt.id]);
    await elsewhere.close();
  });
});

describe('a document that is too much', () => {
  it('is refused for its millions of rows at once, before any is read', async () => {
    const closures = `[${'{},'.repeat(3_000_000)}{}]`;
    const small = JSON.stringify({ ...smallDocument(), closures: 'HERE' });
    const answer = await api.post('/documents', small.replace('"HERE"', closures));
    expect(answer.status).toBe(422);
    expect(placesOf(answer)).toEqual(['/closures']);
  });

  it('is refused for what lies too deep', async () => {
    const answer = await api.post('/documents', '['.repeat(2_000_000));
    expect(answer.status).toBe(413);
  });

  it('names the first few hundred rows that are wrong, and no more', async () => {
    const wrong = { ...smallDocument(), evidence: Array(50_000).fill({ type: 'attempt' }) };
    const answer = await api.post('/documents', wrong);
    expect(answer.status).toBe(422);
    expect(placesOf(answer)).toHaveLength(500);
  });
});
