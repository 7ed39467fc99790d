import type { ProjectDocument } from '@cordel/core/document';
import { v7 as uuid } from 'uuid';
import { type TestBrowser, startWithAccounts } from '../testing/people.ts';
import { attemptOn, smallDocument } from '../testing/small.ts';

let world: Awaited<ReturnType<typeof startWithAccounts>>;
let document: ProjectDocument;
let id: string;
let ana: TestBrowser;
let ben: TestBrowser;

beforeAll(async () => {
  world = await startWithAccounts();
  document = smallDocument();
  id = document.project.id;
  await world.owner.post('/documents', document);
  ana = await world.member(id, 'technician', 'Ana Arc');
  ben = await world.member(id, 'lead', 'Ben Blade');
});
afterAll(() => world.api.close());

const conflicts = async () =>
  (await ana.get(`/projects/${id}/conflicts`)).body as {
    kind: string;
    spliceId: string | null;
    what: string | null;
    sides: { entryId: string; by: string; verdict: string | null }[];
  }[];
const record = (browser: TestBrowser, entry: object) =>
  browser.post('/evidence', { entries: [entry] });
const now = () => new Date().toISOString();
const point = (verdict: string, at = '2026-05-04T21:00:00.000Z') => ({
  kind: 'point',
  id: uuid(),
  closureId: document.closures[0]!.id,
  by: '',
  at,
  point: 'lid',
  verdict,
  why: null,
});
const close = (browser: TestBrowser, entry: object) =>
  browser.post(`/closures/${document.closures[0]!.id}/closing`, {
    entries: [{ ...entry, by: 'somebody' }],
  });

describe('what two did at the same time', () => {
  it('is told with both sides, in whatever order they came, and decided by taking one back', async () => {
    const splice = document.splices[0]!.id;
    // Both were made in the night, and come in the morning.
    const [one, two] = [attemptOn(splice, 20), attemptOn(splice, 70)];
    await record(ben, two);
    await record(ana, one);
    const [found, ...others] = await conflicts();
    expect(others).toEqual([]);
    expect(found).toMatchObject({ kind: 'attempt', spliceId: splice });
    expect(found!.sides.map(({ by }) => by).sort()).toEqual(['Ana Arc', 'Ben Blade']);
    const taken = {
      ...two,
      id: uuid(),
      at: now(),
      supersedes: two.id,
      void: true,
      why: 'Ana’s is on the tray.',
    };
    expect((await record(ben, taken)).status).toBe(200);
    expect(await conflicts()).toEqual([]);
  });

  it('is no splice that is made again by somebody who knew of the first', async () => {
    const splice = document.splices[1]!.id;
    await record(ana, attemptOn(splice, 90));
    await record(ben, { ...attemptOn(splice, 20), at: now() });
    expect(await conflicts()).toEqual([]);
  });

  it('is a point of the list that one passed and one failed, until somebody looks again', async () => {
    expect((await close(ana, point('good'))).status).toBe(200);
    expect((await close(ben, point('bad'))).status).toBe(200);
    const [found] = await conflicts();
    expect(found).toMatchObject({ kind: 'point', what: 'lid' });
    expect(found!.sides.map(({ verdict }) => verdict).sort()).toEqual(['bad', 'good']);
    expect((await close(ben, point('good', now()))).status).toBe(200);
    expect(await conflicts()).toEqual([]);
  });

  it('is nothing where both say the same', async () => {
    const same = { ...point('good'), point: 'bolts' };
    await close(ana, same);
    await close(ben, { ...same, id: uuid() });
    expect(await conflicts()).toEqual([]);
  });
});
