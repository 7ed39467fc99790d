import {
  BUILT_IN_HARDWARE,
  BUILT_IN_INSTRUMENTS,
  BUILT_IN_SCHEMES,
  type Cable,
  type Closure,
} from '@cordel/core';
import type { ProjectDocument } from '@cordel/core/document';
import { v7 as uuid } from 'uuid';
import { startApi } from '../testing/api.ts';
import { attemptOn, smallDocument } from '../testing/small.ts';

let api: Awaited<ReturnType<typeof startApi>>;
let document: ProjectDocument;
let cables: Cable[];
let closures: Closure[];
const detailOf = ({ body }: { body: unknown }) => (body as { detail: string }).detail;

beforeAll(async () => {
  api = await startApi();
});
afterAll(() => api.close());
beforeEach(async () => {
  document = smallDocument();
  ({ cables, closures } = document);
  expect((await api.post('/documents', document)).status).toBe(200);
});

const setting = async () =>
  (await api.get(`/projects/${document.project.id}`)).body as {
    cables: Cable[];
    closures: Closure[];
    archived: string[];
  };

describe('a cable or closure', () => {
  it('that nothing depends on is deleted, twice as once, and is back when it is put again', async () => {
    const cable = { ...cables[0]!, id: uuid(), name: 'Spare' };
    const closure = { ...closures[0]!, id: uuid(), name: 'New pit', distance: null };
    await api.put(`/cables/${cable.id}`, cable);
    await api.put(`/closures/${closure.id}`, closure);
    for (let count = 0; count < 2; count++) {
      expect((await api.remove(`/records/cable/${cable.id}`)).status).toBe(200);
      expect((await api.remove(`/records/closure/${closure.id}`)).status).toBe(200);
    }
    expect((await setting()).cables).toHaveLength(cables.length);
    expect((await setting()).closures).toHaveLength(closures.length);
    // Its name is free for another.
    await api.put(`/cables/${cable.id}`, cable);
    await api.put(`/closures/${closure.id}`, closure);
    expect((await setting()).cables).toContainEqual(cable);
    expect((await setting()).closures).toContainEqual(closure);
  });

  it('in use stays, and what uses it is named', async () => {
    const cable = await api.remove(`/records/cable/${cables[0]!.id}`);
    expect(cable.status).toBe(409);
    expect(detailOf(cable)).toMatch(/^It is in use and cannot be deleted: 12 splices\. Archive it/);
    const closure = await api.remove(`/records/closure/${closures[0]!.id}`);
    expect(detailOf(closure)).toMatch(/12 splices/);
    expect((await setting()).cables).toHaveLength(cables.length);
  });

  it('that only a plan names stays', async () => {
    const spare = { ...cables[0]!, id: uuid(), name: 'Spare' };
    await api.put(`/cables/${spare.id}`, spare);
    const { id } = closures[1]!;
    const { text } = (await api.get(`/closures/${id}/plan`)).body as { text: string };
    const kept = await api.put(`/closures/${id}/plan`, {
      changeId: uuid(),
      closureId: id,
      text: `${text}\nthrough Spare tubes 1-2`,
      pins: [],
      spare: 0,
      anew: false,
      retire: null,
    });
    expect(kept.status).toBe(200);
    expect(detailOf(await api.remove(`/records/cable/${spare.id}`))).toMatch(
      /1 plan that names it/,
    );
  });

  it('that enters a closure or bears its mark stays', async () => {
    const cable = { ...cables[0]!, id: uuid(), name: 'Spare' };
    const closure = { ...closures[0]!, id: uuid(), name: 'New pit' };
    await api.put(`/closures/${closure.id}`, closure);
    const run = { ...cable.run, marks: [{ closureId: closure.id, mark: 10 }] };
    await api.put(`/cables/${cable.id}`, { ...cable, run });
    expect(detailOf(await api.remove(`/records/closure/${closure.id}`))).toMatch(
      /1 cable with a sheath mark there/,
    );
    const branch = { ...closure, id: uuid(), name: 'Branch', branchOf: closure.id };
    await api.put(`/closures/${branch.id}`, branch);
    expect(detailOf(await api.remove(`/records/closure/${closure.id}`))).toMatch(
      /1 closure that branches off there/,
    );
  });

  it('is archived and taken back with all it has, also by way of a document', async () => {
    const { id } = closures[0]!;
    await api.put(`/records/closure/${id}/archived`, { archived: true });
    expect((await setting()).archived).toEqual([id]);
    const path = `/projects/${document.project.id}/document.json`;
    expect((await api.get(path)).body).toMatchObject({ archived: [id] });
    const kept = (await api.get(path)).body;
    expect((await api.remove(`/records/project/${document.project.id}`)).status).toBe(200);
    await api.post('/documents', kept);
    expect((await setting()).archived).toEqual([id]);
    await api.put(`/records/closure/${id}/archived`, { archived: false });
    expect((await setting()).archived).toEqual([]);
    expect((await api.put(`/records/closure/${uuid()}/archived`, { archived: true })).status).toBe(
      404,
    );
  });
});

describe('a project', () => {
  const path = () => `/records/project/${document.project.id}`;
  const listed = async () =>
    ((await api.get('/projects')).body as { id: string; archived: boolean }[]).find(
      ({ id }) => id === document.project.id,
    );

  it('in which nothing is recorded is deleted with its plan, and its document brings it back', async () => {
    const before = (await api.get(`/projects/${document.project.id}/document.json`)).body;
    expect((await api.remove(path())).status).toBe(200);
    expect(await listed()).toBeUndefined();
    expect((await api.get(`/projects/${document.project.id}`)).status).toBe(404);
    expect((await api.post('/documents', before)).status).toBe(200);
    expect((await api.get(`/projects/${document.project.id}/document.json`)).body).toEqual(before);
  });

  it('stays with the first evidence, and can be archived', async () => {
    await api.record([attemptOn(document.splices[0]!.id, 20)]);
    const answer = await api.remove(path());
    expect(answer.status).toBe(409);
    expect(detailOf(answer)).toMatch(/1 entry of evidence/);
    await api.put(`${path()}/archived`, { archived: true });
    expect(await listed()).toMatchObject({ archived: true });
  });
});

describe('hardware, instruments and schemes', () => {
  it.each([
    ['hardware', BUILT_IN_HARDWARE[0]!.id],
    ['instrument', BUILT_IN_INSTRUMENTS[0]!.id],
    ['scheme', BUILT_IN_SCHEMES[0]!.id],
  ])('that ship stay: %s', async (kind, id) => {
    const answer = await api.remove(`/records/${kind}/${id}`);
    expect([answer.status, detailOf(answer)]).toEqual([409, 'It ships with Cordel and stays.']);
  });

  it('of one’s own go while nobody uses them', async () => {
    const profile = { ...BUILT_IN_HARDWARE[0]!, id: uuid(), name: 'My dome' };
    const splicer = { ...BUILT_IN_INSTRUMENTS[0]!, id: uuid(), name: 'My splicer' };
    const scheme = { ...BUILT_IN_SCHEMES[0]!, id: 'own-mine', name: 'Mine' };
    for (const [kind, path, record] of [
      ['hardware', 'hardware', profile],
      ['instrument', 'instruments', splicer],
      ['scheme', 'schemes', scheme],
    ] as const) {
      expect((await api.put(`/${path}/${record.id}`, record)).status).toBe(200);
      expect((await api.remove(`/records/${kind}/${record.id}`)).status).toBe(200);
      expect((await api.put(`/${path}/${record.id}`, record)).status).toBe(200);
    }
    await api.post(`/assemblies/${closures[0]!.id}/changes`, {
      kind: 'hardware',
      hardwareId: profile.id,
    });
    await api.put(`/cables/${cables[0]!.id}`, { ...cables[0]!, schemeId: scheme.id });
    expect(detailOf(await api.remove(`/records/hardware/${profile.id}`))).toMatch(/1 closure/);
    expect(detailOf(await api.remove(`/records/scheme/${scheme.id}`))).toMatch(/1 cable/);
  });
});
