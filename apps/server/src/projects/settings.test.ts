import type { Cable, Closure, Project } from '@cordel/core';
import type { ProjectDocument } from '@cordel/core/document';
import { v7 as uuid } from 'uuid';
import { type TestApi, startApi } from '../testing/api.ts';
import { smallDocument } from '../testing/small.ts';

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

const setting = async () =>
  (await api.get(`/projects/${document.project.id}`)).body as {
    project: Project;
    cables: Cable[];
    closures: Closure[];
  };
const detail = (answer: { body: unknown }) => (answer.body as { detail: string }).detail;

describe('a project', () => {
  it('is made and changed by the same write', async () => {
    const project: Project = { ...document.project, id: uuid(), name: 'Ford line' };
    expect((await api.put(`/projects/${project.id}`, project)).status).toBe(200);
    expect(
      (await api.put(`/projects/${project.id}`, { ...project, name: 'Lower ford' })).status,
    ).toBe(200);
    const all = (await api.get('/projects')).body as Project[];
    expect(all.filter((entry) => entry.id === project.id)).toEqual([
      { ...project, name: 'Lower ford', archived: false },
    ]);
  });

  it('is refused with the field that is wrong', async () => {
    const bad = { ...document.project, limits: { ...document.project.limits, maxTries: 0 } };
    const answer = await api.put(`/projects/${bad.id}`, bad);
    expect(answer.body).toMatchObject({
      status: 422,
      errors: [
        { place: '/limits/maxTries', code: 'attemptsTooFew', detail: 'At least one attempt.' },
      ],
    });
    expect((await setting()).project).toEqual(document.project);
  });

  it('names a color scheme that exists', async () => {
    const answer = await api.put(`/projects/${document.project.id}`, {
      ...document.project,
      schemeId: 'mine',
    });
    expect(detail(answer)).toMatch(/no color scheme “mine”: choose one of tia-598, vde-0888/);
  });

  it('keeps its id', async () => {
    const answer = await api.put(`/projects/${uuid()}`, document.project);
    expect(answer.status).toBe(422);
  });
});

describe('a cable', () => {
  const change = (part: Partial<Cable>) => {
    const cable = { ...document.cables[1]!, ...part };
    return api.put(`/cables/${cable.id}`, cable);
  };

  it('may grow, and may not lose a fiber that is spliced', async () => {
    expect((await change({ makeUp: { kind: 'ribbon', ribbons: 1 } })).status).toBe(200);
    const answer = await change({ makeUp: { kind: 'drop', fibers: 8 } });
    expect(answer.body).toMatchObject({ status: 422, errors: [{ place: '/makeUp' }] });
    expect(detail(answer)).toMatch(/Fiber 12 of cable B is spliced/);
  });

  it('has a name of its own', async () => {
    expect(detail(await change({ name: 'A' }))).toMatch(/cable of that name already/);
  });

  it('stays in its project', async () => {
    const other = smallDocument();
    await api.post('/documents', other);
    expect(detail(await change({ projectId: other.project.id }))).toMatch(/stays in its project/);
  });
});

describe('a closure', () => {
  const change = (part: Partial<Closure>) => {
    const closure = { ...document.closures[0]!, ...part };
    return api.put(`/closures/${closure.id}`, closure);
  };

  it('takes a distance, and fibers are named from the end nearest the start', async () => {
    expect((await change({ distance: 90_000_000 })).status).toBe(200);
    expect((await setting()).closures.map((closure) => closure.name)).toEqual(['Ford', 'Mill']);
  });

  it('keeps trays that hold splices, with room for them', async () => {
    expect(detail(await change({ trays: [] }))).toMatch(/Tray 1 holds splices/);
    expect(detail(await change({ trays: [{ number: 1, single: 11, mass: 0 }] }))).toMatch(
      /over its capacity/,
    );
  });

  it('branches off in no circle', async () => {
    const [mill, ford] = document.closures as [Closure, Closure];
    await api.put(`/closures/${ford.id}`, { ...ford, branchOf: mill.id });
    expect(detail(await change({ branchOf: ford.id }))).toMatch(/cannot branch off from itself/);
    expect(detail(await change({ branchOf: uuid() }))).toMatch(/not in this project/);
  });

  it('shows its work: splices in tray order with their evidence', async () => {
    const work = (await api.get(`/closures/${document.closures[0]!.id}/work`)).body as {
      splices: { slot: number }[];
      evidence: unknown[];
    };
    expect(work.splices.map((splice) => splice.slot)).toEqual(
      Array.from({ length: 12 }, (_, index) => index + 1),
    );
    expect(work.evidence).toEqual([]);
    expect((await api.get(`/closures/${uuid()}/work`)).status).toBe(404);
  });
});
