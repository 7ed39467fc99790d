import type { ProjectDocument } from '@cordel/core/document';
import { metersBetween } from '@cordel/core/geo';
import { v7 as uuid } from 'uuid';
import { type TestApi, startApi } from '../testing/api.ts';
import { smallDocument } from '../testing/small.ts';

let api: TestApi;
let document: ProjectDocument;
beforeAll(async () => {
  api = await startApi();
  document = smallDocument();
  await api.post('/documents', document);
});
afterAll(() => api.close());

const point = (name: string, coordinates: number[]) => ({
  type: 'Feature',
  geometry: { type: 'Point', coordinates },
  properties: { name },
});
const text = (...features: object[]) =>
  JSON.stringify({
    type: 'FeatureCollection',
    features: [
      {
        type: 'Feature',
        geometry: {
          type: 'LineString',
          coordinates: [
            [-21.4, -43.2],
            [-21.3, -43.2],
          ],
        },
        properties: { name: 'Road' },
      },
      ...features,
    ],
  });
const bring = (body: object) => api.post(`/projects/${document.project.id}/geojson`, body);
/** What the project holds. The cursor is left out: other databases of the same server move it. */
const setting = async () => {
  const { cursor: _cursor, ...content } = (await api.get(`/projects/${document.project.id}`))
    .body as {
    cursor: string;
    project: { route: unknown[] };
    closures: { name: string; distance: number; position: number[]; trays: unknown[] }[];
  };
  return content;
};

describe('a route that comes in as GeoJSON', () => {
  it('sets places and distances of closures by their names, and adds those it does not know', async () => {
    const known = document.closures[0]!.name;
    const importId = uuid();
    const body = {
      importId,
      text: text(point(known, [-21.35, -43.2]), point('New one', [-21.3, -43.2])),
      start: 10_000,
    };
    expect((await bring(body)).body).toEqual({ lines: 1, placed: 1, added: 1 });
    const after = await setting();
    expect(after.project.route).toHaveLength(1);
    const one = after.closures.find(({ name }) => name === known)!;
    const meters = metersBetween([-21.4, -43.2], [-21.35, -43.2]);
    expect(one.position).toEqual([-21.35, -43.2]);
    expect(one.distance / 10_000).toBeCloseTo(meters + 1, 0);
    expect(one.trays).toEqual(document.closures[0]!.trays);
    expect(after.closures.map(({ name }) => name)).toContain('New one');
    // The same import sent again changes nothing.
    await bring({ ...body, start: 0 });
    expect(await setting()).toEqual(after);
  });

  it('is refused in words, and nothing of it is written', async () => {
    const before = await setting();
    const crossed = await bring({ importId: uuid(), text: text(point('Far', [10, 120])) });
    expect(crossed.status).toBe(422);
    expect((crossed.body as { detail: string }).detail).toMatch(/axes are crossed/);
    expect((await bring({ importId: uuid(), text: 'x' })).status).toBe(422);
    expect(await setting()).toEqual(before);
  });
});
