import { writeDocument } from '../exchange/import/importProject.ts';
import { type TestApi, startApi } from '../testing/api.ts';
import { demoPart } from '../testing/demoPart.ts';
import { attemptOn, smallDocument } from '../testing/small.ts';

let api: TestApi;
beforeAll(async () => {
  api = await startApi();
});
afterAll(() => api.close());

interface Line {
  closureId: string;
  work: object;
  closing: object;
  plan: object;
}

const linesOf = async (projectId: string, query = ''): Promise<Line[]> =>
  (await api.get(`/projects/${projectId}/take-along${query}`)).text
    .trim()
    .split('\n')
    .map((line) => JSON.parse(line) as Line);

/** A closure as its own paths answer it. */
async function asAsked(closureId: string): Promise<Line> {
  const [work, closing, plan] = await Promise.all(
    ['work', 'closing', 'plan'].map((part) => api.get(`/closures/${closureId}/${part}`)),
  );
  const { digest: _digest, ...rest } = closing!.body as { digest: string };
  return { closureId, work: work!.body, closing: rest, plan: plan!.body };
}

it('gives of every closure what its own paths answer, signed and reopened ones too', async () => {
  const document = demoPart(new Date(), 0);
  await writeDocument(api.db, document);
  const lines = await linesOf(document.project.id);
  expect(lines.map(({ closureId }) => closureId).sort()).toEqual(
    document.closures.map(({ id }) => id).sort(),
  );
  for (const line of lines) expect(line).toEqual(await asAsked(line.closureId));
  expect(lines.some(({ closing }) => (closing as { signed: unknown[] }).signed.length > 0)).toBe(
    true,
  );
});

it('gives the lines of a plan that nobody has written, and those closures alone that are asked for', async () => {
  const document = smallDocument();
  await api.post('/documents', document);
  await api.post('/evidence', { entries: [attemptOn(document.splices[0]!.id, 20)] });
  const [first] = document.closures;
  const [line, ...others] = await linesOf(document.project.id, `?closures=${first!.id}`);
  expect(others).toEqual([]);
  expect(line).toEqual(await asAsked(first!.id));
  expect(line!.plan).toMatchObject({ worked: [document.splices[0]!.id] });
  const stray = smallDocument();
  await api.post('/documents', stray);
  const elsewhere = await api.get(`/projects/${stray.project.id}/take-along?closures=${first!.id}`);
  expect([elsewhere.status, elsewhere.text]).toEqual([200, '']);
});
