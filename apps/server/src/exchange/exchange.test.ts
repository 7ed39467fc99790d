import { documentSchema, type ProjectDocument } from '@cordel/core/document';
import { Ajv2020 } from 'ajv/dist/2020.js';
import addFormats from 'ajv-formats';
import Papa from 'papaparse';
import { type TestApi, renamed, startApi } from '../testing/api.ts';
import { demoPart } from '../testing/demoPart.ts';
import { v7 as uuid } from 'uuid';
import { TOLD, attemptOn, provenBy, readingOn, smallDocument } from '../testing/small.ts';

let api: TestApi;
beforeAll(async () => {
  api = await startApi();
});
afterAll(() => api.close());

const download = async (document: ProjectDocument) =>
  (await api.get(`/projects/${document.project.id}/document.json`)).body as ProjectDocument;

describe('the whole project as JSON', () => {
  it('comes back as the same project on another server', async () => {
    const demo = renamed(demoPart(TOLD, 2));
    await api.post('/documents', demo);
    const out = await download(demo);
    expect(out.evidence).toEqual(demo.evidence);
    const other = await startApi();
    expect((await other.post('/documents', out)).status).toBe(200);
    const again = (await other.get(`/projects/${demo.project.id}/document.json`)).text;
    expect(again).toBe(JSON.stringify(out));
    await other.close();
  });

  it('is what its published JSON Schema says', async () => {
    const schema = (await api.get('/schemas/project.json')).body as object;
    const validate = addFormats
      .default(new Ajv2020({ strict: false, formats: { base64: true } }))
      .compile(schema);
    const small = smallDocument();
    small.evidence = provenBy(small.splices[0]!.id, 40);
    await api.post('/documents', small);
    const out = await download(small);
    expect(validate(out) || validate.errors).toBe(true);
    expect(documentSchema.parse(out)).toEqual(out);
  });

  it('keeps the legs of an express cable apart', async () => {
    const small = smallDocument();
    small.splices = small.splices.slice(0, 2);
    const [one, other] = small.splices;
    one!.legA = 'in';
    Object.assign(other!, { fiberA: one!.fiberA, legA: 'out' });
    expect((await api.post('/documents', small)).status).toBe(200);
    expect((await download(small)).splices.map(({ legA }) => legA)).toEqual(['in', 'out']);
  });

  it('is refused where the project is here already, and changes nothing', async () => {
    const small = smallDocument();
    await api.post('/documents', small);
    const answer = await api.post('/documents', {
      ...small,
      evidence: provenBy(small.splices[0]!.id, 40),
    });
    expect(answer.status).toBe(409);
    expect((await download(small)).evidence).toEqual([]);
  });

  const spoil = (change: (document: ProjectDocument) => void) => {
    const document = smallDocument();
    document.evidence = provenBy(document.splices[0]!.id, 40);
    change(document);
    return document;
  };

  it.each([
    ['a fiber outside its cable', spoil((d) => (d.splices[0]!.fiberA = 25)), '/splices/0/fiberA'],
    ['a fiber spliced twice', spoil((d) => (d.splices[1]!.fiberA = 1)), '/splices/1/fiberA'],
    ['a slot used twice', spoil((d) => (d.splices[1]!.slot = 1)), '/splices/1/slot'],
    [
      'a tray over its capacity',
      spoil((d) => (d.closures[0]!.trays[0]!.single = 11)),
      '/splices/11/tray',
    ],
    ['a cable that is not there', spoil((d) => d.cables.pop()), '/splices/12/cableB'],
    ['a closure that is not there', spoil((d) => d.closures.pop()), '/splices/12/closureId'],
    [
      'evidence of no splice',
      spoil((d) => (d.evidence[0]!.spliceId = d.project.id)),
      '/evidence/0/spliceId',
    ],
    ['readings before their try', spoil((d) => d.evidence.reverse()), '/evidence/0/tryId'],
    [
      'a circle of branches',
      spoil((d) => (d.closures[0]!.branchOf = d.closures[0]!.id)),
      '/closures/0/branchOf',
    ],
    [
      'an unknown color scheme',
      spoil((d) => (d.cables[0]!.schemeId = 'none')),
      '/cables/0/schemeId',
    ],
    [
      'another project’s cable',
      spoil((d) => (d.cables[0]!.projectId = d.closures[0]!.id)),
      '/cables/0/projectId',
    ],
  ])('%s is refused at its place, and nothing is kept', async (_, document, place) => {
    const answer = await api.post('/documents', document);
    expect(answer.status).toBe(422);
    expect(
      (answer.body as { errors: { place: string }[] }).errors.map((error) => error.place),
    ).toContain(place);
    expect((await api.get(`/projects/${document.project.id}`)).status).toBe(404);
  });
});

describe('CSV', () => {
  let small: ProjectDocument;
  beforeAll(async () => {
    small = smallDocument();
    small.project.name = 'Mill "upper" line, 2';
    small.splices[0]!.extra = { remark: 'say "x", twice' };
    await api.post('/documents', small);
    await api.record(provenBy(small.splices[0]!.id, -41));
    await api.record(provenBy(small.splices[1]!.id, 160));
  });
  const csv = async (kind: string) => {
    const answer = await api.get(`/projects/${small.project.id}/csv/${kind}`);
    expect(answer.type).toMatch(/^text\/csv; charset=utf-8/);
    // RFC 4180, section 2: CRLF ends every row.
    expect(answer.text.endsWith('\r\n')).toBe(true);
    expect(answer.text.replace(/\r\n/g, '')).not.toContain('\n');
    // An independent reader: papaparse.
    return Papa.parse<Record<string, string>>(answer.text.trimEnd(), { header: true }).data;
  };

  it('has a row a splice with places, colors, figures and what the list brought', async () => {
    const rows = await csv('splices');
    expect(rows).toHaveLength(16);
    expect(rows[0]).toMatchObject({
      closure: 'Mill',
      'cable A': 'A',
      'fiber A': '1',
      'place A': 'tube 1 blue',
      'colour A': 'blue',
      method: 'single',
      'loss dB': '-0.041',
      'evidence grade': 'two-way',
      state: 'measured',
      origin: 'typed',
      'spliced by': 'M.',
      'spliced at (UTC)': '2026-05-04T20:15:00.000Z',
      '1310 nm dB': '-0.041',
      '1310 nm grade': 'two-way',
      '1550 nm dB': '-0.041',
      remark: 'say "x", twice',
    });
    expect(rows[1]).toMatchObject({ 'loss dB': '0.16', state: 'to redo' });
    expect(rows[2]).toMatchObject({ state: 'open', 'missing nm': '1310 1550' });
  });

  it('says who decided what of a splice and why, and every wavelength it was measured at', async () => {
    const own = smallDocument();
    await api.post('/documents', own);
    const attempt = attemptOn(own.splices[0]!.id, 20);
    const word = (kind: 'waive' | 'skip', index: number, why: string) => ({
      type: 'ruling' as const,
      id: uuid(),
      spliceId: own.splices[index]!.id,
      by: 'Lead',
      at: '2026-05-05T08:00:00.000Z',
      tryId: index === 0 ? attempt.tryId : null,
      kind,
      why,
    });
    await api.record([
      attempt,
      ...provenBy(own.splices[0]!.id, 300)
        .slice(1)
        .map((entry) => ({ ...entry, tryId: attempt.tryId })),
      readingOn(attempt, 'AB', 1625, 150),
      word('waive', 0, 'Owner accepts.'),
      word('skip', 1, 'Buffer too short.'),
    ] as never);
    const answer = await api.get(`/projects/${own.project.id}/csv/splices`);
    const { data } = Papa.parse<Record<string, string>>(answer.text.trimEnd(), { header: true });
    expect(data[0]).toMatchObject({
      state: 'accepted by the lead',
      tries: '1',
      decided: 'accepted',
      'decided by': 'Lead',
      'decided at (UTC)': '2026-05-05T08:00:00.000Z',
      reason: 'Owner accepts.',
      '1550 nm dB': '0.3',
      '1625 nm dB': '0.15',
      '1625 nm grade': 'one-way',
    });
    expect(data[1]).toMatchObject({ state: 'skipped', tries: '0', reason: 'Buffer too short.' });
  });

  it('has a row a fiber, a tray and a closure', async () => {
    expect(await csv('fibers')).toHaveLength(12);
    expect((await csv('trays'))[0]).toMatchObject({
      closure: 'Mill',
      tray: '1',
      splices: '12',
      done: '1',
      measured: '1',
      'to redo': '1',
      open: '10',
      'worst dB': '0.16',
      // 0.0595 dB, rounded up as the page and the PDF show it.
      'mean dB': '0.06',
    });
    expect((await csv('closures')).map((row) => [row.closure, row.distance])).toEqual([
      ['Mill', '1.0 km'],
      ['Ford', '2.0 km'],
    ]);
  });
});
