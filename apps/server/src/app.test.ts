import { Validator } from '@seriousme/openapi-schema-validator';
import { type TestApi, startApi } from './testing/api.ts';
import { BODY_LIMITS } from './app.ts';
import { attemptOn } from './testing/small.ts';

const NOBODY = '019da9e7-4800-7000-8000-00000000dead';

let api: TestApi;
beforeAll(async () => {
  api = await startApi();
});
afterAll(() => api.close());

const isProblem = (answer: { type: string; body: unknown }, status: number) => {
  expect(answer.type).toContain('application/problem+json');
  // RFC 9457, section 3.1: the members of a problem document.
  expect(answer.body).toMatchObject({
    type: 'about:blank',
    title: expect.any(String),
    status,
    detail: expect.any(String),
  });
};

describe('the API', () => {
  it('is in good health', async () => {
    expect(await api.get('/health')).toMatchObject({ status: 200, body: { status: 'ok' } });
  });

  it('describes itself in OpenAPI 3.1', async () => {
    const { body } = await api.get('/openapi.json');
    const result = await new Validator().validate(body);
    expect(result.errors ?? []).toEqual([]);
    expect(result.valid).toBe(true);
    expect((body as { openapi: string }).openapi).toBe('3.1.0');
    const paths = Object.keys((body as { paths: object }).paths);
    expect(paths).toEqual(
      expect.arrayContaining([
        '/api/evidence',
        '/api/health',
        '/api/projects/{projectId}/splice-list',
      ]),
    );
  });

  it('answers every error with a problem document', async () => {
    isProblem(await api.get('/nowhere'), 404);
    isProblem(await api.get('/projects/019da9e7-4800-7000-8000-00000000dead'), 404);
    isProblem(await api.get('/projects/not-an-id'), 422);
    isProblem(await api.post('/evidence', '{ not json'), 400);
    isProblem(await api.post('/evidence', {}), 422);
  });

  it.each([
    ['?q', '/projects/019da9e7-4800-7000-8000-00000000dead/ledger/splices?q=%00', undefined],
    ['/name', '/projects/019da9e7-4800-7000-8000-00000000dead', { name: 'a\0b' }],
    ['/name', '/projects/019da9e7-4800-7000-8000-00000000dead', { name: 'cut \ud83e' }],
  ])('refuses what is no text at its place: %s', async (place, path, body) => {
    const answer = body === undefined ? await api.get(path) : await api.put(path, body);
    isProblem(answer, 422);
    expect(answer.body as { errors: { place: string }[] }).toMatchObject({ errors: [{ place }] });
  });

  it.each([
    ['0000-01-01T00:00:00.000Z', 'A time lies between 1970 and 2200.'],
    ['9999-12-31T23:59:59.999Z', 'A time lies between 1970 and 2200.'],
  ])('refuses a time that nobody works at: %s', async (at, words) => {
    const answer = await api.post('/evidence', { entries: [{ ...attemptOn(NOBODY, 20), at }] });
    isProblem(answer, 422);
    expect((answer.body as { detail: string }).detail).toContain(words);
  });

  it('refuses bodies that are too large, in words', async () => {
    const answer = await api.post('/evidence', `{"entries":["${'x'.repeat(BODY_LIMITS.usual)}"]}`);
    isProblem(answer, 413);
    expect((answer.body as { detail: string }).detail).toMatch(/over 2 MB/);
  });

  it('ships two color schemes and three limits, each with its source', async () => {
    const schemes = (await api.get('/schemes')).body as { source: string }[];
    const limits = (await api.get('/limits')).body as { source: string }[];
    expect([schemes.length, limits.length]).toEqual([2, 3]);
    for (const { source } of [...schemes, ...limits]) expect(source.length).toBeGreaterThan(10);
  });

  it('takes a color scheme of one’s own, and keeps those that ship', async () => {
    const [shipped] = (await api.get('/schemes')).body as { id: string; name: string }[];
    const own = { ...shipped, id: 'own-valley', name: 'Valley order' };
    expect((await api.put('/schemes/own-valley', own)).status).toBe(200);
    expect((await api.get('/schemes')).text).toContain('Valley order');
    isProblem(await api.put(`/schemes/${shipped!.id}`, shipped), 409);
  });
});
