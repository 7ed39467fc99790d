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

describe('a splice that was made while the plan dropped it', () => {
  const word = (keeps: string) => ({
    id: uuid(),
    by: 'M.',
    at: now(),
    why: 'Looked at it.',
    keeps,
  });
  const decide = (browser: TestBrowser, spliceId: string, keeps: string) =>
    browser.post(`/projects/${id}/dropped-splices/${spliceId}/decision`, word(keeps));
  const plan = (text: string) =>
    ben.call('PUT', `/closures/${document.closures[0]!.id}/plan`, {
      closureId: document.closures[0]!.id,
      text,
      pins: [],
      spare: 0,
      anew: false,
      retire: null,
      changeId: uuid(),
    });
  const work = async () =>
    (await ana.get(`/closures/${document.closures[0]!.id}/work`)).body as {
      splices: { id: string; fiberA: number }[];
      retired: { id: string }[];
      evidence: { id: string; by: string; spliceId: string }[];
    };
  const WHOLE = 'splice A 1-12 to B 1-12';
  const WITHOUT = 'splice A 1-10 to B 1-10';
  const fiber = async (number: number) =>
    (await work()).splices.find(({ fiberA }) => fiberA === number)!.id;
  let made: string;
  let attempt: { id: string };

  beforeEach(async () => {
    expect((await plan(WHOLE)).status).toBe(200);
    made = await fiber(12);
    expect((await plan(WITHOUT)).body).toMatchObject({ dropped: 2 });
    // Ana has no signal: she goes by the plan as it was.
    attempt = attemptOn(made, 30);
    expect(await record(ana, attempt)).toMatchObject({ status: 200, body: { recorded: 1 } });
  });
  afterEach(async () => {
    for (const { spliceId } of (await conflicts()).filter(({ kind }) => kind === 'plan'))
      expect(await decide(ben, spliceId!, 'plan')).toMatchObject({ status: 200 });
  });

  const found = async () => (await conflicts()).filter(({ kind }) => kind === 'plan');

  it('waits for a lead, with who did what', async () => {
    expect((await record(ana, attempt)).body).toEqual({ recorded: 0 });
    expect((await record(ana, { ...attempt, estimateMdb: 31 })).status).toBe(409);
    const [conflict, ...others] = await found();
    expect(others).toEqual([]);
    expect(conflict).toMatchObject({ spliceId: made, what: 'A 12 / B 12' });
    expect(conflict!.sides.map(({ by }) => by)).toEqual(['Ben Blade', 'Ana Arc']);
    expect((await work()).splices.map(({ fiberA }) => fiberA)).not.toContain(12);
    expect((await decide(ana, made, 'splice')).status).toBe(403);
  });

  it('goes back into the plan as it was made', async () => {
    expect((await decide(ben, made, 'splice')).status).toBe(200);
    expect(await found()).toEqual([]);
    const after = await work();
    expect(after.splices.map(({ fiberA }) => fiberA)).toContain(12);
    expect(after.evidence).toContainEqual(
      expect.objectContaining({ id: attempt.id, by: 'Ana Arc', spliceId: made }),
    );
    const { body } = await ben.get(`/closures/${document.closures[0]!.id}/plan`);
    expect((body as { text: string }).text).toMatch(/splice A .*12 to B .*12/);
    expect((await decide(ben, made, 'splice')).status).toBe(404);
    await ben.post('/evidence', {
      entries: [{ type: 'ruling', ...word('plan'), spliceId: made, tryId: null, kind: 'retire' }],
    });
  });

  it('is removed with what was recorded of it', async () => {
    expect((await decide(ben, made, 'plan')).status).toBe(200);
    expect(await found()).toEqual([]);
    const after = await work();
    expect(after.retired.map((splice) => splice.id)).toContain(made);
    expect(after.evidence.filter(({ spliceId }) => spliceId === made)).toMatchObject([
      { id: attempt.id },
      { type: 'ruling', kind: 'retire', by: 'Ben Blade' },
    ]);
  });

  it('does not go back where its fibers are planned otherwise now', async () => {
    expect((await plan(`${WITHOUT}\nsplice A 12 to B 13`)).status).toBe(200);
    const refused = await decide(ben, made, 'splice');
    expect(refused.status).toBe(409);
    expect((refused.body as { detail: string }).detail).toMatch(/A 12.*Change the plan first/s);
    expect(await found()).toHaveLength(1);
    expect((await plan(WITHOUT)).status).toBe(200);
  });

  it('is the same splice where the plan has it again', async () => {
    expect((await plan(WHOLE)).status).toBe(200);
    expect(await fiber(12)).toBe(made);
    expect(await found()).toEqual([]);
    expect((await work()).evidence.map((entry) => entry.id)).toContain(attempt.id);
    await ben.post('/evidence', {
      entries: [{ type: 'ruling', ...word('plan'), spliceId: made, tryId: null, kind: 'retire' }],
    });
    await plan(WITHOUT);
  });

  it('is nobody’s of another project', async () => {
    const stranger = smallDocument();
    await world.owner.post('/documents', stranger);
    const eve = await world.member(stranger.project.id, 'lead', 'Eve Other');
    expect((await record(eve, attemptOn(made, 10))).status).toBe(403);
    const elsewhere = `/projects/${stranger.project.id}/dropped-splices/${made}/decision`;
    expect((await eve.post(elsewhere, word('splice'))).status).toBe(404);
  });
});
