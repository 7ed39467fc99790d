import { v7 as uuid } from 'uuid';
import type { ProjectDocument } from '@cordel/core/document';
import { type TestApi, startApi } from '../testing/api.ts';
import { wordsOf } from '../testing/handover.ts';
import { attemptOn, smallDocument } from '../testing/small.ts';

let api: TestApi;
let document: ProjectDocument;
let path: string;
const cableId = () => document.cables[0]!.id;
const now = () => new Date().toISOString();

/** Two closures, every splice made, the exchange at one end and a house at the other. */
beforeAll(async () => {
  api = await startApi();
  document = smallDocument({ practiceOnly: true });
  // The instrument is drawn by the name: one without a tail, that would hide the joint near the far end.
  document.project.name = 'Weir line';
  const ends = [['Exchange', 0], null, ['House', 30_000_000]] as const;
  document.cables.forEach((cable, index) => {
    const end = ends[index];
    if (end)
      cable.run = { ...cable.run, end: { name: end[0], distance: end[1], mark: null, coil: 0 } };
  });
  document.evidence = document.splices.map(({ id }) => attemptOn(id, 30));
  expect((await api.post('/documents', document)).status).toBe(200);
  path = `/projects/${document.project.id}`;
});
afterAll(() => api.close());

async function shoot(fiber: number, wavelengthNm: number): Promise<void> {
  for (const direction of ['AB', 'BA'] as const) {
    const task = { cableId: cableId(), fiber, direction, wavelengthNm };
    const shot = await api.post(`${path}/standin/otdr`, {
      ...task,
      pulseNs: 100,
      averages: 16_384,
    });
    const id = uuid();
    const place = { id: uuid(), traceId: id, by: 'M.', at: now(), ...task, stage: null, why: null };
    const sent = await api.post(`${path}/traces`, { id, ...(shot.body as object), place });
    expect(sent.status).toBe(200);
  }
}

interface ProofBody {
  verdict: string;
  reasons: { code: string; wavelengthNm?: number }[];
  splices: { verdict: string; figures: { mean: unknown }[] }[];
  link: { judgements: { isTwoWay: boolean }[] };
}
const proofOf = async (fiber: number) =>
  (await api.get(`${path}/cables/${cableId()}/fibers/${fiber}/proof`)).body as ProofBody;
const codes = ({ reasons }: ProofBody) => reasons.map(({ code }) => code);

describe('the proof of a fiber', () => {
  it('says what is missing before anything is measured', async () => {
    const proof = await proofOf(1);
    expect(proof.verdict).toBe('not proven');
    expect(codes(proof)).toEqual(expect.arrayContaining(['splices', 'notMeasured']));
    expect(proof.splices).toHaveLength(2);
  });

  it('is whole with both directions at each wavelength, in the Ledger too', async () => {
    for (const nm of [1310, 1550]) await shoot(1, nm);
    await api.post(`${path}/proof/readings`, { by: 'M.', at: now() });
    const proof = await proofOf(1);
    expect([proof.verdict, proof.reasons]).toEqual(['proven', []]);
    expect(proof.splices.every(({ figures }) => figures.length === 2)).toBe(true);
  });

  it('a meter that finds more than the parts lose takes it back', async () => {
    const stamp = () => ({ id: uuid(), projectId: document.project.id, by: 'M.', at: now() });
    const reference = {
      kind: 'reference',
      ...stamp(),
      source: 'Source 1',
      meter: 'Meter 1',
      calibratedUntil: null,
      wavelengthNm: 1550,
      cords: 1,
      powerMdbm: -7000,
      origin: 'typed',
    };
    const losses = ['AB', 'BA'].map((direction) => ({
      kind: 'loss',
      ...stamp(),
      cableId: cableId(),
      fiber: 1,
      direction,
      referenceId: reference.id,
      powerMdbm: -10_000,
      lossMdb: null,
      origin: 'typed',
    }));
    expect((await api.post(`${path}/links`, { entries: [reference, ...losses] })).status).toBe(200);
    const proof = await proofOf(1);
    expect(proof.link.judgements).toMatchObject([{ isTwoWay: true }]);
    expect(proof.verdict).not.toBe('proven');
    expect(codes(proof)).toEqual(['linkDiffers']);
  });

  it('stands on one page, with its verdict, both directions and how sure they are; the same twice', async () => {
    const url = `${path}/cables/${cableId()}/fibers/1/proof.pdf`;
    const bytes = await api.raw(url);
    // It is read away by whoever reads it.
    const { words: pages } = await wordsOf(new Uint8Array(bytes.slice(0)));
    expect(pages).toHaveLength(1);
    const [text] = pages;
    for (const words of [
      'Proof of fiber A 1',
      'Exchange to House',
      'Not proven',
      'The link does not lose what its parts do at 1550 nm',
      'From Exchange',
      'Mill, tray 1',
      'PRACTICE ONLY',
      'two standard deviations',
    ])
      expect(text).toContain(words);
    expect(text).toMatch(/-?0\.\d{3} ± 0\.\d{3}/);
    expect(Buffer.from(await api.raw(url)).equals(Buffer.from(bytes))).toBe(true);
  });

  it('of a fiber that there is not is none', async () => {
    expect((await api.get(`${path}/cables/${cableId()}/fibers/99/proof`)).status).toBe(404);
    expect((await api.get(`${path}/cables/${uuid()}/fibers/1/proof`)).status).toBe(404);
  });
});
