import { sql } from 'drizzle-orm';
import Papa from 'papaparse';
import {
  type BudgetRow,
  type Cable,
  type ClosureRow,
  type RedoRow,
  type Splice,
  type SpliceRow,
  USUAL_GLASS,
  USUAL_RUN,
  newAttempt,
  newInspection,
  newReading,
} from '@cordel/core';
import type { ProjectDocument } from '@cordel/core/document';
import { v7 as uuid } from 'uuid';
import { rowsOf } from '../db/client.ts';
import { type TestApi, startApi } from '../testing/api.ts';
import { smallDocument } from '../testing/small.ts';

let api: TestApi;
let document: ProjectDocument;
let closureId: string;
const stamp = () => ({ id: uuid(), by: 'M.', at: '2026-05-04T20:15:00.000Z' });

const device = (name: string, makeUp: Cable['makeUp']): Cable => ({
  ...{ id: uuid(), projectId: document.project.id, name, makeUp, closureId },
  ...{ schemeId: 'tia-598', glass: USUAL_GLASS, run: USUAL_RUN },
});
const PORTS = {
  kind: 'ports' as const,
  place: 'terminal' as const,
  ports: 8,
  connector: 'SC' as const,
  polish: 'APC' as const,
};
const save = async (cable: Cable) => {
  expect((await api.put(`/cables/${cable.id}`, cable)).status).toBe(200);
  return cable;
};
const put = (text: string, over: object = {}) =>
  api.put(`/closures/${closureId}/plan`, {
    ...{ closureId, text, pins: [], spare: 0, anew: false, changeId: uuid() },
    ...over,
  });
const splicesOf = async () =>
  ((await api.get(`/closures/${closureId}/work`)).body as { splices: Splice[] }).splices;
const PLAN = [
  'splice A 1-4 to B 1-4',
  'splice A 5 to S1 in',
  'terminate S1 out 1-4 on T1 ports 1-4 splice-on',
  'terminate A 6-7 on T1 ports 5-6 mechanical',
].join('\n');

beforeAll(async () => {
  api = await startApi();
});
afterAll(() => api.close());
beforeEach(async () => {
  document = smallDocument();
  closureId = document.closures[0]!.id;
  await api.post('/documents', document);
  await save(device('T1', PORTS));
  await save(device('S1', { kind: 'splitter', outputs: 4 }));
});

it('a plan ends fibers at ports and branches them at splitters', async () => {
  expect((await put(PLAN)).body).toMatchObject({ added: 7, dropped: 8 });
  const ends = (await splicesOf()).filter(({ end }) => end !== null);
  expect(ends.map(({ end, tray }) => [end, tray])).toEqual([
    ...Array.from({ length: 4 }, () => ['splice-on', 0]),
    ...Array.from({ length: 2 }, () => ['mechanical', 0]),
  ]);
});

it('what another closure holds is not here', async () => {
  const elsewhere = { ...device('T9', PORTS), closureId: document.closures[1]!.id };
  await save(elsewhere);
  const answer = await put('terminate A 1 on T9 port 1');
  expect(answer.status).toBe(422);
  expect(answer.body).toMatchObject({
    errors: [{ place: 'line 1, column 18', detail: expect.stringMatching(/no cable “T9” here/) }],
  });
});

it.each([
  ['terminate A 1 on T1 port 1 UPC', /T1 is APC: UPC does not mate with it/],
  ['terminate A 1 on T1 port 1\nterminate A 2 on T1 port 1', /T1 port 1 has its fiber in line 1/],
  ['splice A 1 to S1 in\nsplice A 2 to S1 in', /S1 is fed in line 1 already/],
])('%j is refused at its line', async (text, words) => {
  const answer = await put(text);
  expect(answer.status).toBe(422);
  expect(answer.body).toMatchObject({ errors: [{ detail: expect.stringMatching(words) }] });
});

it('no two fibers share a port, whoever writes them', async () => {
  await put(PLAN);
  const read = (await api.get(`/projects/${document.project.id}/document.json`))
    .body as ProjectDocument;
  const end = read.splices.find(({ end: way }) => way === 'mechanical')!;
  const copy = smallDocument();
  const doubled = { ...end, id: uuid(), fiberA: 12, slot: 99 };
  const answer = await api.post('/documents', {
    ...read,
    project: { ...read.project, id: copy.project.id, name: copy.project.name },
    splices: [...read.splices, doubled],
  });
  expect(answer.status).toBe(422);
});

describe('what is recorded of an end', () => {
  const mechanical = async () => {
    await put(PLAN);
    return (await splicesOf()).find(({ end }) => end === 'mechanical')!;
  };
  const ledger = async <Row>(kind: string) =>
    (
      (await api.get(`/projects/${document.project.id}/ledger/${kind}?limit=200`)).body as {
        rows: Row[];
      }
    ).rows;
  const verdictOf = async ({ id }: Splice) =>
    (await ledger<SpliceRow>('splices')).find((row) => row.id === id)!.verdict;

  it('asks for no estimate; light through it proves a mechanical one', async () => {
    const end = await mechanical();
    const made = newAttempt(stamp(), end.id, null);
    await api.post('/evidence', { entries: [made] });
    expect(await verdictOf(end)).toBe('provisional');
    const seen = newInspection(stamp(), end.id, made.id, { face: null, light: 'seen' });
    expect((await api.post('/evidence', { entries: [seen] })).body).toEqual({ recorded: 1 });
    expect(await verdictOf(end)).toBe('pass');
  });

  it('its loss has a limit of its own, and is no loss of a splice', async () => {
    const end = await mechanical();
    const made = newAttempt(stamp(), end.id, null);
    const read = newReading(stamp(), end.id, made.id, {
      ...{ grade: 'insertion', direction: null, wavelengthNm: 1310, lossMdb: 300 },
    });
    await api.post('/evidence', { entries: [made, read] });
    expect(await verdictOf(end)).toBe('pass');
    const { closures } = (await api.get(`/projects/${document.project.id}/ledger/closures`))
      .body as { closures: ClosureRow[] };
    expect(closures.find((row) => row.closureId === closureId)).toMatchObject({
      figures: 0,
      measured: 1,
    });
  });

  it('is appended, never changed', async () => {
    const end = await mechanical();
    const made = newAttempt(stamp(), end.id, null);
    const seen = newInspection(stamp(), end.id, made.id, { face: 'fail', light: null });
    await api.post('/evidence', { entries: [made, seen] });
    const changed = await api.post('/evidence', { entries: [{ ...seen, face: 'pass' }] });
    expect(changed.status).toBe(409);
    await expect(
      rowsOf(api.db, sql`update inspections set face = 'pass' where id = ${seen.id}`),
    ).rejects.toThrow();
    await expect(
      rowsOf(api.db, sql`delete from inspections where id = ${seen.id}`),
    ).rejects.toThrow();
    const [row] = await ledger<RedoRow>('redo');
    expect(row).toMatchObject({ id: end.id, reasons: [{ code: 'faceFailed' }] });
  });

  it('goes along with the project’s document, and comes in again as it was', async () => {
    const end = await mechanical();
    const made = newAttempt(stamp(), end.id, null);
    const seen = newInspection(stamp(), end.id, made.id, { face: 'pass', light: 'seen' });
    await api.post('/evidence', { entries: [made, seen] });
    const path = `/projects/${document.project.id}/document.json`;
    const read = (await api.get(path)).body as ProjectDocument;
    expect(read.evidence).toEqual([made, seen]);
    expect(read.cables.filter((cable) => cable.closureId === closureId)).toHaveLength(2);
    const other = await startApi();
    expect((await other.post('/documents', read)).status).toBe(200);
    expect((await other.get(path)).body).toEqual(read);
    await other.close();
  });

  it('stands in the CSV of splices', async () => {
    await mechanical();
    const csv = async (kind: string) => {
      const { text } = await api.get(`/projects/${document.project.id}/csv/${kind}`);
      return Papa.parse<Record<string, string>>(text.trimEnd(), { header: true }).data;
    };
    expect((await csv('splices')).find((row) => row.end === 'mechanical')).toMatchObject({
      'cable B': 'T1',
      'place B': 'port 5',
      tray: '0',
    });
  });
});

describe('circuits and budgets branch', () => {
  it('a fiber is followed to its splitter, and told where each output goes', async () => {
    await put(PLAN);
    const [a] = document.cables;
    const { circuits } = (await api.get(`/projects/${document.project.id}/circuits/${a!.id}/5`))
      .body as {
      circuits: {
        legs: unknown[];
        splitters: { output: number | null; outputs: { output: number; fiber: number }[] }[];
      }[];
    };
    expect(circuits).toHaveLength(1);
    expect(circuits[0]!.legs).toHaveLength(2);
    expect(circuits[0]!.splitters).toMatchObject([
      { output: null, outputs: [1, 2, 3, 4].map((output) => ({ output, fiber: output })) },
    ]);
  });

  it('each branch has a budget with the splitter’s loss (1:4 at most 7.2 dB, ITU-T G.671, from memory)', async () => {
    await put(PLAN);
    const { rows } = (await api.get(`/projects/${document.project.id}/budget?limit=200`)).body as {
      rows: BudgetRow[];
    };
    const through = rows.filter(({ splitters }) => splitters.length > 0);
    expect(through.map(({ splitters }) => splitters[0])).toEqual(
      [1, 2, 3, 4].map((output) => ({ name: 'S1', output })),
    );
    expect(through[0]).toMatchObject({ splitterMdb: 7200, splices: 1, ends: 1, to: 'Mill' });
  });

  it('says what is wrong with a splitter: outputs in use, and no feed', async () => {
    await put('splice S1 out 1 to A 1');
    const { problems } = (await api.get(`/projects/${document.project.id}/circuits`)).body as {
      problems: { message: { code: string } }[];
    };
    expect(problems.map(({ message }) => message)).toContainEqual({
      code: 'notFed',
      splitter: 'S1',
    });
  });
});
