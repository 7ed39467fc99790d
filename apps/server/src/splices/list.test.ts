import type { Cable, ClosureRow, Page, SpliceRow } from '@cordel/core';
import type { ProjectDocument } from '@cordel/core/document';
import { USUAL_GLASS, USUAL_RUN, matchColumns } from '@cordel/core';
import { v7 as uuid } from 'uuid';
import { fromDatabase } from '../http/problem.ts';
import { type TestApi, startApi } from '../testing/api.ts';
import { smallDocument } from '../testing/small.ts';
import { insertSplices } from './insert.ts';

const TITLES = 'closure,tray,slot,cable A,fiber A,cable B,fiber B,method,remark';
const match = matchColumns(TITLES.split(','));

let api: TestApi;
let document: ProjectDocument;
beforeAll(async () => {
  api = await startApi();
});
afterAll(() => api.close());
beforeEach(async () => {
  document = smallDocument();
  await api.post('/documents', document);
});

const cable = (name: string, fibers: number): Cable => ({
  id: uuid(),
  projectId: document.project.id,
  name,
  makeUp: { kind: 'drop', fibers },
  closureId: null,
  schemeId: 'tia-598',
  glass: USUAL_GLASS,
  run: USUAL_RUN,
});
const request = (lines: string[], cables: Cable[] = []) => ({
  importId: uuid(),
  text: [TITLES, ...lines].join('\r\n'),
  match,
  cables,
});
const send = (body: unknown) => api.post(`/projects/${document.project.id}/splice-list`, body);
const total = async () =>
  ((await api.get(`/projects/${document.project.id}/ledger/splices`)).body as Page<SpliceRow>)
    .total;
const closures = async () =>
  (
    (await api.get(`/projects/${document.project.id}/ledger/closures`)).body as {
      closures: ClosureRow[];
    }
  ).closures;

describe('importing a splice list', () => {
  it('adds splices, closures, cables and trays', async () => {
    const body = request(
      ['Weir,1,1,B,17,W,brown,single,north', 'Mill,2,1,A,13,B,14,single,'],
      [cable('W', 12)],
    );
    expect(await send(body)).toMatchObject({
      status: 200,
      body: { splices: 2, closures: 1, cables: 1 },
    });
    expect(await total()).toBe(18);
    expect((await closures()).map((row) => [row.name, row.total, row.trayCount])).toEqual([
      ['Mill', 13, 2],
      ['Ford', 4, 1],
      ['Weir', 1, 1],
    ]);
    const csv = await api.get(`/projects/${document.project.id}/csv/splices`);
    expect(csv.text).toContain('north');
  });

  it('passes over a heading, takes tubes from their column and the method said for all', async () => {
    const titles = 'closure;tray;slot;cable A;fiber A;cable B;tube B;fiber B'.split(';');
    const body = {
      importId: uuid(),
      text: ['Job 12', '', titles.join(';'), 'Mill;2;1;A;13;B;2;2'].join('\n'),
      match: matchColumns(titles),
      cables: [],
    };
    const bad = { ...body, text: `${body.text}\nMill;2;2;A;14;B;9;2`, importId: uuid() };
    expect(await send(bad)).toMatchObject({
      status: 422,
      body: { errors: [{ place: 'row 5, fiber B' }] },
    });
    expect(await send(body)).toMatchObject({ status: 200, body: { splices: 1 } });
    const csv = await api.get(`/projects/${document.project.id}/csv/splices`);
    expect(csv.text).toMatch(/Mill,2,1,A,,13,[^,]*,[^,]*,B,,14,[^,]*,[^,]*,single/);
  });

  it('joins fibers along the route with what was there', async () => {
    await send(request(['Weir,1,1,B,5,W,1,single,'], [cable('W', 12)]));
    const found = (await api.get(`/projects/${document.project.id}/ledger/fibers?q=A+5`))
      .body as Page<{ total: number }>;
    expect(found.rows[0]?.total).toBe(2);
  });

  it('is done once, however often the same import is sent', async () => {
    const body = request(['Weir,1,1,B,17,W,1,single,'], [cable('W', 12)]);
    const first = await send(body);
    expect(await send(body)).toMatchObject({ status: 200, body: first.body });
    expect(await total()).toBe(17);
  });

  it('takes all or nothing', async () => {
    const answer = await send(
      request(['Weir,1,1,B,17,W,1,single,', 'Weir,1,2,B,18,W,mauve,single,'], [cable('W', 12)]),
    );
    expect(answer.status).toBe(422);
    expect(answer.body).toMatchObject({
      errors: [{ place: 'row 3, fiber B', code: 'fiberProblem' }],
    });
    expect(await total()).toBe(16);
    expect(await closures()).toHaveLength(2);
  });

  it('is refused where it meets what the project has', async () => {
    const answer = await send(
      request(['Mill,1,1,A,13,B,14,single,', 'Mill,1,13,A,1,B,15,single,']),
    );
    const places = (answer.body as { errors: { place: string; detail: string }[] }).errors;
    expect(places.map(({ place }) => place)).toEqual([
      'row 2, slot',
      'row 3, fiber A',
      'row 3, tray',
    ]);
    expect(await total()).toBe(16);
  });

  it.each([
    ['a picture', '\u0089PNG\r\n\u001a\n', /Only one column|no rows|not a text/],
    ['nothing', '', /empty/],
    ['an open quote', `${TITLES}\r\n"Weir,1`, /quoted cell is not closed/],
  ])('%s is refused in words', async (_, text, words) => {
    const answer = await send({ ...request([]), text });
    expect(answer.status).toBe(422);
    expect((answer.body as { detail: string }).detail).toMatch(words);
  });

  it('takes thousands of rows and names the one that is wrong', async () => {
    const rows = Array.from(
      { length: 6000 },
      (_, index) =>
        `Big ${Math.floor(index / 12)},1,${(index % 12) + 1},X,${(index % 12) + 1},Y,${(index % 12) + 1},single,`,
    );
    const pair = [cable('X', 12), cable('Y', 12)];
    const bad = await send(request([...rows, 'Big 1,1,1,X,1,Y,1,single,'], pair));
    expect(
      (bad.body as { errors: { place: string }[] }).errors.map(({ place }) => place),
    ).toContain('row 6002, slot');
    expect(await send(request(rows, pair))).toMatchObject({
      status: 200,
      body: { splices: 6000, closures: 500, cables: 2 },
    });
  });
});

describe('the database itself', () => {
  it('takes a fiber once at a closure and leg, whichever side it stands on', async () => {
    const own = smallDocument();
    expect((await api.post('/documents', own)).status).toBe(200);
    const [first] = own.splices;
    const spare = { ...first!, slot: 12 };
    const swapped = {
      ...spare,
      cableA: first!.cableB,
      fiberA: first!.fiberB,
      cableB: first!.cableA,
    };
    const says = (splice: object) =>
      insertSplices(api.db, [{ ...spare, ...splice, id: uuid() }], [1550]).then(
        () => 'taken',
        (error: unknown) => fromDatabase(error)?.told.code,
      );
    expect(await says({ ...swapped, fiberB: first!.fiberA })).toBe('fiberSplicedAlready');
    expect(await says({ ...swapped, fiberB: 24 })).toBe('fiberSplicedAlready');
    expect(await says({ fiberA: 24, cableB: first!.cableA, fiberB: 24 })).toBe(
      'fiberSplicedAlready',
    );
    // Two in one statement, and the same fiber of another leg.
    const two = [24, 23].map((fiberA, index) => ({
      ...spare,
      id: uuid(),
      fiberA,
      cableB: first!.cableA,
      fiberB: 23 - index,
    }));
    await expect(insertSplices(api.db, two, [1550])).rejects.toThrow();
    expect(await says({ ...swapped, legA: 'out', fiberB: 24 })).toBe('taken');
  });
});
