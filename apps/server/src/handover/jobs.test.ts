import { eq } from 'drizzle-orm';
import { v7 as uuid } from 'uuid';
import { packages } from '../db/schema.ts';
import { type TestApi, startApi } from '../testing/api.ts';
import { smallDocument } from '../testing/small.ts';
import { packageAsShown } from './jobs.ts';
import type { PackageStore } from './store.ts';

let api: TestApi;
let projectId: string;
beforeAll(async () => {
  api = await startApi();
  const document = smallDocument();
  projectId = document.project.id;
  expect((await api.post('/documents', document)).status).toBe(200);
});
afterAll(() => api.close());

const store: PackageStore = { has: async () => true } as never;
const rowOf = async (id: string) =>
  (await api.db.select().from(packages).where(eq(packages.id, id)))[0]!;
const shownWithout = async (id: string) =>
  (await packageAsShown(store, { ...(await rowOf(id)), state: 'making', heartbeat: new Date(0) }))
    .state;

describe('a package without a sign of life', () => {
  it('is being made where this server makes it: a database that is busy takes no sign', async () => {
    const id = uuid();
    const body = { id, closureId: null, paper: 'A4', by: 'M.', at: new Date().toISOString() };
    expect((await api.post(`/projects/${projectId}/packages`, body)).status).toBe(200);
    expect(await shownWithout(id)).toBe('making');
    while ((await rowOf(id)).state === 'making') await new Promise(setImmediate);
    expect((await rowOf(id)).state).toBe('done');
    // Nobody makes it any more: another server did, and was stopped.
    expect(await shownWithout(id)).toBe('failed');
  });
});
