import type { ProjectDocument } from '@cordel/core/document';
import { v7 as uuid } from 'uuid';
import { type TestApi, startApi } from './testing/api.ts';
import { attemptOn, smallDocument } from './testing/small.ts';

/** What two people do at the same moment; on PostgreSQL two servers take the requests in turn. */
let api: TestApi;
let document: ProjectDocument;

beforeAll(async () => {
  api = await startApi();
  document = smallDocument();
  expect((await api.post('/documents', document)).status).toBe(200);
});
afterAll(() => api.close());

const statuses = (answers: readonly { status: number }[]) =>
  answers.map(({ status }) => status).sort();
const closure = () => document.closures[0]!;

it('the same evidence sent by many at once is recorded once', async () => {
  const attempt = attemptOn(document.splices[0]!.id, 20);
  const answers = await Promise.all(
    Array.from({ length: 8 }, () => api.post('/evidence', { entries: [attempt] })),
  );
  expect(new Set(statuses(answers))).toEqual(new Set([200]));
  const recorded = answers.map(({ body }) => (body as { recorded: number }).recorded);
  expect(recorded.reduce((sum, count) => sum + count)).toBe(1);
  const { evidence } = (await api.get(`/splices/${attempt.spliceId}`)).body as {
    evidence: unknown[];
  };
  expect(evidence).toEqual([attempt]);
});

it('other content under one id: one of them is recorded, the others are refused', async () => {
  const attempt = attemptOn(document.splices[1]!.id, 20);
  const answers = await Promise.all(
    [10, 11, 12, 13].map((estimateMdb) =>
      api.post('/evidence', { entries: [{ ...attempt, estimateMdb }] }),
    ),
  );
  expect(statuses(answers)).toEqual([200, 409, 409, 409]);
});

it('a record of the splicer counts for one of the splices that take it at once', async () => {
  const figures = { cleaveLeft: 0.4, cleaveRight: 0.3, offset: 0.2, gap: null, image: null };
  const record = {
    id: uuid(),
    projectId: document.project.id,
    splicerId: 'core-single',
    number: 1,
    at: '2026-05-04T10:00:00.000Z',
    label: '',
    program: 'SM',
    heater: null,
    fibers: [{ position: 1, ...figures, estimateMdb: 20, error: null }],
    fused: true,
    tension: 'passed',
    arcs: 1,
    glass: 125,
    temperature: 12,
    pressure: 98,
    humidity: null,
    origin: 'instrument',
  };
  const sent = await api.post(`/projects/${document.project.id}/splicer-records`, {
    records: [record],
  });
  expect([sent.status, sent.text]).toEqual([200, sent.text]);
  const answers = await Promise.all(
    [2, 3, 4, 5].map((index) =>
      api.post('/evidence', {
        entries: [
          { ...attemptOn(document.splices[index]!.id, 20), recordId: record.id, recordPosition: 1 },
        ],
      }),
    ),
  );
  expect(statuses(answers)).toEqual([200, 409, 409, 409]);
});

it('of two plans written on the same one, none is lost in silence', async () => {
  const path = `/closures/${closure().id}/plan`;
  const before = (await api.get(path)).body as { text: string; pins: unknown[]; spare: number };
  const base = { text: before.text, pins: before.pins, spare: before.spare };
  const write = (remark: string) =>
    api.put(path, {
      closureId: closure().id,
      text: `${before.text}\n# ${remark}`,
      pins: [],
      spare: 0,
      anew: false,
      changeId: uuid(),
      base,
    });
  const answers = await Promise.all([write('one'), write('two')]);
  expect(statuses(answers)).toEqual([200, 412]);
  const refused = answers.find(({ status }) => status === 412)!;
  expect((refused.body as { detail: string }).detail).toMatch(/theirs is .* yours is/);
});

it('a name under a record that is not ready is refused whoever sends it, and none stands there', async () => {
  const path = `/closures/${closure().id}/closing`;
  const sign = {
    kind: 'sign',
    id: uuid(),
    closureId: closure().id,
    by: 'M.',
    at: '2026-05-05T08:00:00.000Z',
    role: 'technician',
    digest: '0'.repeat(64),
    strokes: [[0, 0, 9, 9]],
  };
  const answers = await Promise.all(
    Array.from({ length: 4 }, () => api.post(path, { entries: [sign] })),
  );
  expect(statuses(answers)).toEqual([409, 409, 409, 409]);
  const { entries } = (await api.get(path)).body as { entries: unknown[] };
  expect(entries).toEqual([]);
});

it('a package asked for twice at once is made once', async () => {
  const path = `/projects/${document.project.id}/packages`;
  const body = {
    id: uuid(),
    closureId: null,
    paper: 'A4',
    by: 'M.',
    at: '2026-06-01T08:00:00.000Z',
  };
  const answers = await Promise.all(Array.from({ length: 4 }, () => api.post(path, body)));
  expect(statuses(answers)).toEqual([200, 200, 200, 200]);
  const all = async () => (await api.get(path)).body as { id: string; state: string }[];
  while ((await all()).some(({ state }) => state === 'making'))
    await new Promise((resolve) => setTimeout(resolve, 100));
  expect(await all()).toMatchObject([{ id: body.id, state: 'done' }]);
  // Whichever server is asked has it.
  const files = await Promise.all([0, 1].map(() => api.raw(`/packages/${body.id}/file.zip`)));
  expect(Buffer.from(files[0]!).equals(Buffer.from(files[1]!))).toBe(true);
  expect(files[0]!.byteLength).toBeGreaterThan(1000);
});
