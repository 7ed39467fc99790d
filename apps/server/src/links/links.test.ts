import { v7 as uuid } from 'uuid';
import { sql } from 'drizzle-orm';
import type { LinkEntry, LinkEntryOf, Reference } from '@cordel/core';
import type { ProjectDocument } from '@cordel/core/document';
import { rowsOf } from '../db/client.ts';
import { type TestApi, renamed, startApi } from '../testing/api.ts';
import { attemptOn, smallDocument } from '../testing/small.ts';

let api: TestApi;
let document: ProjectDocument;
let path: string;
let base: Reference;
beforeAll(async () => {
  api = await startApi();
  document = smallDocument();
  document.evidence = document.splices.map(({ id }) => attemptOn(id, 30));
  expect((await api.post('/documents', document)).status).toBe(200);
  path = `/projects/${document.project.id}`;
  base = reference();
});
afterAll(() => api.close());

const cableId = () => document.cables[0]!.id;
const entry = () => ({
  id: uuid(),
  projectId: document.project.id,
  by: 'M.',
  at: new Date().toISOString(),
});
const reference = (wavelengthNm = 1550, powerMdbm = -7000): Reference => ({
  kind: 'reference',
  ...entry(),
  source: 'Source 1',
  meter: 'Meter 1',
  calibratedUntil: null,
  wavelengthNm,
  cords: 1,
  powerMdbm,
  origin: 'typed',
});
const loss = (
  referenceId: string,
  powerMdbm: number,
  part: Partial<LinkEntryOf<'loss'>> = {},
): LinkEntryOf<'loss'> => ({
  kind: 'loss',
  ...entry(),
  cableId: cableId(),
  fiber: 1,
  direction: 'AB',
  referenceId,
  powerMdbm,
  lossMdb: null,
  origin: 'typed',
  supersedes: null,
  void: false,
  why: null,
  ...part,
});
const post = (entries: readonly LinkEntry[]) => api.post(`${path}/links`, { entries });
interface LinksBody {
  circuits: { fiber: number; from: string; to: string; fibers: unknown[]; budgets: unknown[] }[];
  entries: LinkEntry[];
}
const linksOf = async (cable = cableId()) =>
  (await api.get(`${path}/cables/${cable}/links`)).body as LinksBody;

describe('links', () => {
  it('are recorded once, with their reference, and told with the circuits of any cable on their way', async () => {
    const entries = [base, loss(base.id, -9400), loss(base.id, -9500, { direction: 'BA' })];
    expect((await post(entries)).body).toEqual({ recorded: 3 });
    expect((await post(entries)).body).toEqual({ recorded: 3 });
    const own = await linksOf();
    expect(own.entries).toEqual(entries);
    expect(own.circuits).toHaveLength(24);
    // From the next cable on the way of the same circuit.
    const next = await linksOf(document.cables[1]!.id);
    expect(next.entries).toEqual(entries);
    expect(next.circuits[0]!.fibers).toContainEqual({ cableId: cableId(), fiber: 1 });
  });

  it('are evidence: nothing changes them, not even in the database itself', async () => {
    const changed = await post([{ ...base, powerMdbm: -7100 }]);
    expect(changed.status).toBe(409);
    const refused = (statement: string) =>
      rowsOf(api.db, sql.raw(statement)).then(
        () => '',
        (error: { cause?: Error }) => String(error.cause?.message),
      );
    expect(await refused(`update link_entries set kind = 'loss'`)).toMatch(/append-only/);
    expect(await refused('delete from link_entries')).toMatch(/append-only/);
  });

  it.each<[string, () => LinkEntry, string, string]>([
    ['a loss without its reference', () => loss(uuid(), -9400), 'referenceId', 'referenceUnknown'],
    ['more light than the reference', () => loss(base.id, -6900), 'powerMdbm', 'lossNegative'],
    ['a fiber too many', () => loss(base.id, -9400, { fiber: 25 }), 'fiber', 'fiberUnknown'],
    ['another cable', () => loss(base.id, -9400, { cableId: uuid() }), 'cableId', 'cableUnknown'],
    [
      'a correction of a reference',
      () => loss(base.id, -9400, { supersedes: base.id, why: 'Wrong.' }),
      'supersedes',
      'supersededUnknown',
    ],
    [
      'what belongs to another project',
      () => ({ ...loss(base.id, -9400), projectId: uuid() }),
      'projectId',
      'otherProject',
    ],
  ])(
    '%s is refused at its place, and nothing of what came with it is kept',
    async (_, bad, field) => {
      const before = (await linksOf()).entries.length;
      const answer = await post([reference(1310), bad()]);
      expect(answer.status).toBe(422);
      expect(answer.body).toMatchObject({ errors: [{ place: `/entries/1/${field}` }] });
      expect((await linksOf()).entries).toHaveLength(before);
    },
  );

  it('a loss below zero is refused by the schema, with a hint at dBm', async () => {
    const answer = await post([{ ...loss(base.id, 0), powerMdbm: null, lossMdb: -9400 }]);
    expect(answer.status).toBe(422);
    expect(answer.body).toMatchObject({ errors: [{ place: '/entries/0/lossMdb' }] });
    expect(JSON.stringify(answer.body)).toContain('dBm');
  });

  it('what was simulated is kept out of real work', async () => {
    expect((await post([{ ...reference(), origin: 'simulated' }])).status).toBe(422);
  });

  it('go along in the document, and come back with it', async () => {
    const sent = (await api.get(`${path}/document.json`)).body as ProjectDocument;
    expect(sent.links).toHaveLength(3);
    const copy = renamed(sent);
    expect((await api.post('/documents', copy)).status).toBe(200);
    const back = (await api.get(`/projects/${copy.project.id}/document.json`))
      .body as ProjectDocument;
    expect(back.links).toEqual(copy.links);
    const stray = renamed({ ...sent, links: [{ ...sent.links[0]!, projectId: uuid() }] });
    const answer = await api.post('/documents', {
      ...stray,
      links: stray.links.map((one) => ({ ...one, projectId: uuid() })),
    });
    expect(answer.body).toMatchObject({ errors: [{ place: '/links/0/projectId' }] });
  });

  it('are told to who waits for changes, with their content', async () => {
    const { cursor } = (await api.get(`${path}/changes`)).body as { cursor: string };
    const fresh = reference(1625);
    await post([fresh]);
    // On PostgreSQL another test file may have a write under way in the same cluster.
    for (let count = 0; count < 200; count++) {
      const { changes } = (await api.get(`${path}/changes?since=${cursor}`)).body as {
        changes: unknown[];
      };
      if (changes.length === 0) {
        await new Promise((resolve) => setTimeout(resolve, 25));
        continue;
      }
      expect(changes).toEqual([{ kind: 'link', entry: fresh }]);
      return;
    }
    throw new Error('the change never came');
  });

  it('hold their cable: it is not deleted any more', async () => {
    const answer = await api.remove(`/records/cable/${cableId()}`);
    expect(JSON.stringify(answer.body)).toContain('link measurement');
  });
});
