import { eq, sql } from 'drizzle-orm';
import { type Evidence, newInspection, rollUp } from '@cordel/core';
import type { ProjectDocument } from '@cordel/core/document';
import { v7 as uuid } from 'uuid';
import { splices } from '../db/schema.ts';
import { evidenceOf } from '../evidence/queries.ts';
import { closureRows, trayRows } from '../ledger/queries.ts';
import { type TestApi, startApi } from '../testing/api.ts';
import { attemptOn, readingOn, smallDocument } from '../testing/small.ts';
import { Tallies } from './make/tallies.ts';
import { evidencePages, newestEntry, splicePages } from './pages.ts';

let api: TestApi;
let document: ProjectDocument;
let other: ProjectDocument;

/** Tries, readings and rulings mixed, more than a page of each. */
function muchEvidence(of: ProjectDocument): Evidence[] {
  return Array.from({ length: 320 }, (_, round) => {
    const splice = of.splices[round % of.splices.length]!;
    const attempt = attemptOn(splice.id, (round * 7) % 90);
    const entries: Evidence[] = [attempt];
    if (round % 3 > 0) entries.push(readingOn(attempt, 'AB', 1310, (round * 13) % 120));
    if (round % 5 === 0) entries.push(readingOn(attempt, 'BA', 1310, 1 - ((round * 3) % 40)));
    if (round % 11 === 0)
      entries.push({
        type: 'ruling',
        id: uuid(),
        spliceId: splice.id,
        by: 'Lead',
        at: '2026-05-06T10:00:00.000Z',
        tryId: attempt.tryId,
        kind: 'waive',
        why: 'owner accepts it, “as is”; 5 < 6',
      });
    return entries;
  }).flat();
}

beforeAll(async () => {
  api = await startApi();
  document = smallDocument();
  document.evidence = muchEvidence(document);
  other = smallDocument();
  other.evidence = muchEvidence(other).slice(0, 50);
  for (const one of [document, other]) expect((await api.post('/documents', one)).status).toBe(200);
});
afterAll(() => api.close());

async function all(condition: ReturnType<typeof sql>): Promise<Evidence[]> {
  const list: Evidence[] = [];
  for await (const { json, rows } of evidencePages(api.db, condition)) {
    const entries = JSON.parse(json) as Evidence[];
    expect(entries).toHaveLength(rows);
    list.push(...entries);
  }
  return list;
}

describe('evidence page by page', () => {
  it('is all of it, in recorded order, as it was recorded', async () => {
    const paged = await all(sql`s.project_id = ${document.project.id}`);
    expect(paged).toEqual(document.evidence);
    expect(paged).toEqual(await evidenceOf(api.db, eq(splices.projectId, document.project.id)));
    expect(paged.length).toBeGreaterThan(500);
  });

  it('is of one closure where one is asked for', async () => {
    const closureId = document.closures[1]!.id;
    const own = new Set(
      document.splices.filter((splice) => splice.closureId === closureId).map(({ id }) => id),
    );
    expect(await all(sql`s.closure_id = ${closureId}`)).toEqual(
      document.evidence.filter(({ spliceId }) => own.has(spliceId)),
    );
  });

  it('is none where there is none', async () => {
    expect(await all(sql`s.project_id = ${uuid()}`)).toEqual([]);
  });
});

describe('splices page by page', () => {
  it('are those of the closure in tray order, with their verdicts', async () => {
    await closureRows(api.db, document.project.id);
    const [closure] = document.closures;
    const paged = [];
    for await (const page of splicePages(api.db, closure!.id)) paged.push(...page);
    expect(paged.map(({ slot }) => slot)).toEqual([1, 2, 3, 4, 5, 6, 7, 8, 9, 10, 11, 12]);
    expect(new Set(paged.map(({ verdict }) => verdict)).has('open')).toBe(false);
  });

  it('add up to what the Ledger adds up in SQL', async () => {
    const { closures } = await closureRows(api.db, document.project.id);
    const tallies = new Tallies<{ closureId: string; tray: number }>();
    for (const { closureId } of closures)
      for await (const page of splicePages(api.db, closureId))
        for (const row of page) tallies.add(`${closureId} ${row.tray}`, row, row);
    const query = { sort: 'route', offset: 0, limit: 1000 } as const;
    const { rows } = await trayRows(api.db, document.project.id, query);
    for (const { closureId, tray, closure: _closure, ...row } of rows)
      expect(rollUp(tallies.get(`${closureId} ${tray}`), 'tray', document.project.limits)).toEqual(
        row,
      );
    expect(tallies.all()).toHaveLength(rows.length);
  });
});

describe('when the record is from', () => {
  it('is its newest entry, whoever made it', async () => {
    const at = (one: ProjectDocument) =>
      one.evidence.map((entry) => entry.at).reduce((a, b) => (a > b ? a : b));
    expect(await newestEntry(api.db, document.project.id, null)).toBe(at(document));
    const closureId = document.closures[0]!.id;
    await api.post(`/closures/${closureId}/closing`, {
      entries: [
        {
          kind: 'leave',
          id: uuid(),
          closureId,
          by: 'M.',
          at: '2026-08-01T10:00:00.000Z',
          done: 'Hung on the strand.',
        },
      ],
    });
    expect(await newestEntry(api.db, document.project.id, null)).toBe('2026-08-01T10:00:00.000Z');
    expect(await newestEntry(api.db, document.project.id, closureId)).toBe(
      '2026-08-01T10:00:00.000Z',
    );
    const [splice] = document.splices;
    const stamp = { id: uuid(), by: 'M.', at: '2026-08-02T10:00:00.000Z' };
    const seen = newInspection(stamp, splice!.id, null, { face: null, light: 'seen' });
    expect((await api.post('/evidence', { entries: [seen] })).status).toBe(200);
    expect(await newestEntry(api.db, document.project.id, splice!.closureId)).toBe(seen.at);
    const reference = {
      kind: 'reference',
      id: uuid(),
      projectId: document.project.id,
      by: 'M.',
      at: '2026-08-03T10:00:00.000Z',
      source: 'Source 1',
      meter: 'Meter 1',
      calibratedUntil: null,
      wavelengthNm: 1550,
      cords: 1,
      powerMdbm: -7000,
      origin: 'typed',
    };
    const sent = await api.post(`/projects/${document.project.id}/links`, { entries: [reference] });
    expect(sent.status).toBe(200);
    expect(await newestEntry(api.db, document.project.id, null)).toBe(reference.at);
    expect(await newestEntry(api.db, document.project.id, splice!.closureId)).toBe(seen.at);
    expect(await newestEntry(api.db, other.project.id, null)).toBe(at(other));
  });
});
