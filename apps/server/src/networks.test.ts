import {
  type ClosureRow,
  type FiberRow,
  type FoundRows,
  type Page,
  type RollUp,
  type SpliceRow,
  type TrayRow,
  kitList,
} from '@cordel/core';
import Papa from 'papaparse';
import { type DrawnNetwork, drawnNetwork } from './testing/drawnNetwork.ts';
import { type TestApi, startApi } from './testing/api.ts';

/**
 * Networks unlike the demo, drawn by a seed: what pages show of them is reckoned once more here, in plain steps that
 * share nothing with the code. `CORDEL_NETWORKS=200` draws as many, others each day; `CORDEL_NETWORKS_SEED` repeats a draw.
 */
const COUNT = Number(process.env['CORDEL_NETWORKS'] ?? 5);
const OF_TODAY = Math.floor(Date.now() / 86_400_000);
const SEED = Number(process.env['CORDEL_NETWORKS_SEED'] ?? (COUNT === 5 ? 1 : OF_TODAY));
const seeds = Array.from({ length: COUNT }, (_, index) => SEED + index);

let api: TestApi;
beforeAll(async () => {
  api = await startApi();
});
afterAll(() => api.close());

/** Twice the loss that speaks for a splice, thousandths of a dB: both ways before one way before the estimate, and the worst wavelength. */
function speaking({ done }: DrawnNetwork, spliceId: string): number | null {
  const drawn = done.get(spliceId)!;
  if (drawn.state === 'estimate') return 2 * drawn.loss;
  if (drawn.state === 'one-way')
    return Math.max(...Object.values(drawn.losses).map(([one]) => 2 * one!));
  if (drawn.state === 'two-way')
    return Math.max(...Object.values(drawn.losses).map(([one, back]) => one! + back!));
  return null;
}

/** Counts and losses of some splices; ends have no splice loss. */
function plain(network: DrawnNetwork, splices: DrawnNetwork['document']['splices']) {
  const halves = splices.flatMap(({ id, end }) =>
    end === null ? (speaking(network, id) ?? []) : [],
  );
  const count = (state: string) =>
    splices.filter(({ id }) => network.done.get(id)!.state === state).length;
  return {
    total: splices.length,
    open: count('open'),
    skipped: count('skipped'),
    dead: count('dead'),
    figures: halves.length,
    sumHalfMdb: halves.reduce((sum, half) => sum + half, 0),
    maxHalfMdb: halves.length === 0 ? null : Math.max(...halves),
  };
}

/** Splices by the fiber they lie on from end to end: ends that touch are one. */
function chains({ document }: DrawnNetwork): Map<string, DrawnNetwork['document']['splices']> {
  const parent = new Map<string, string>();
  const root = (key: string): string => {
    const up = parent.get(key) ?? key;
    return up === key ? key : root(up);
  };
  for (const { cableA, fiberA, cableB, fiberB } of document.splices)
    parent.set(root(`${cableA} ${fiberA}`), root(`${cableB} ${fiberB}`));
  const found = new Map<string, DrawnNetwork['document']['splices']>();
  for (const splice of document.splices) {
    const key = root(`${splice.cableA} ${splice.fiberA}`);
    found.set(key, [...(found.get(key) ?? []), splice]);
  }
  return found;
}

const tallyOf = ({ total, open, skipped, dead, figures, sumHalfMdb, maxHalfMdb }: RollUp) => ({
  total,
  open,
  skipped,
  dead,
  figures,
  sumHalfMdb,
  maxHalfMdb,
});
const sorted = (rows: readonly object[]) => rows.map((row) => JSON.stringify(row)).sort();

describe.each(seeds)('a network drawn by seed %i', (seed) => {
  const network = drawnNetwork(seed);
  const { document } = network;
  const { id } = document.project;
  const get = async <Body>(path: string) => (await api.get(`/projects/${id}/${path}`)).body as Body;

  beforeAll(async () => {
    expect(await api.post('/documents', document)).toMatchObject({ status: 200 });
  });

  it('has its counts and losses by closure, tray, fiber and splice', async () => {
    const { closures, project } = await get<{ closures: ClosureRow[]; project: RollUp }>(
      'ledger/closures',
    );
    const listed = await get<Page<SpliceRow>>('ledger/splices?limit=1000');
    expect(listed.total).toBe(document.splices.length);
    for (const { id: own, end, lossHalfMdb } of listed.rows)
      if (end === null)
        expect([network.done.get(own), lossHalfMdb]).toEqual([
          network.done.get(own),
          speaking(network, own),
        ]);
    expect(tallyOf(project)).toEqual(plain(network, document.splices));
    for (const row of closures) {
      const own = document.splices.filter(({ closureId }) => closureId === row.closureId);
      expect([row.name, tallyOf(row)]).toEqual([row.name, plain(network, own)]);
    }
    const trays = await get<Page<TrayRow>>('ledger/trays?limit=1000');
    for (const row of trays.rows) {
      const own = document.splices.filter(
        ({ closureId, tray }) => closureId === row.closureId && tray === row.tray,
      );
      expect(tallyOf(row)).toEqual(plain(network, own));
    }
    expect(trays.rows.reduce((sum, row) => sum + row.total, 0)).toBe(document.splices.length);
    const fibers = await get<Page<FiberRow>>('ledger/fibers?limit=1000');
    const whole = [...chains(network).values()].map((own) => plain(network, own));
    expect(sorted(fibers.rows.map(tallyOf))).toEqual(sorted(whole));
  });

  it('has the same in its tables', async () => {
    const { text } = await api.get(`/projects/${id}/csv/splices`);
    const { data, meta } = Papa.parse<Record<string, string>>(text.replace(/^\uFEFF/, ''), {
      header: true,
      skipEmptyLines: true,
    });
    expect(data).toHaveLength(document.splices.length);
    const column = meta.fields!.find((name) => /^loss/i.test(name))!;
    const sum = data.reduce((all, row) => all + Number(row[column] || 0), 0);
    const due = document.splices.reduce(
      (all, { id: own, end }) => all + (end === null ? (speaking(network, own) ?? 0) / 2000 : 0),
      0,
    );
    // A half of a thousandth is rounded up.
    expect(Math.abs(sum - due)).toBeLessThanOrEqual(0.0005 * data.length + 1e-9);
    const back = (await get<typeof document>('document.json')) as typeof document;
    expect(back.splices).toHaveLength(document.splices.length);
    expect(back.evidence).toHaveLength(document.evidence.length);
  });

  it('follows a fiber over all its splices, and finds it by its name', async () => {
    const all = chains(network);
    for (const own of [...all.values()].filter((_, index) => index % 7 === 0)) {
      const { cableA, fiberA } = own[0]!;
      const { legs } = await get<{ legs: { splice: object | null }[] }>(
        `circuits/${cableA}/${fiberA}`,
      );
      expect(legs.filter(({ splice }) => splice !== null)).toHaveLength(own.length);
      const { name } = document.cables.find((cable) => cable.id === cableA)!;
      const found = await get<FoundRows>(
        `ledger/search?q=${encodeURIComponent(`${name} ${fiberA}`)}`,
      );
      expect(found.fibers.total).toBe(1);
      expect(found.fibers.rows[0]!.total).toBe(own.length);
    }
  });

  it('has a budget of glass, splices, ends and splitters for every circuit', async () => {
    const { rows } = await get<{
      rows: {
        cableId: string;
        fiber: number;
        splices: number;
        open: number;
        ends: number;
        lengthM: number | null;
        splitters: object[];
        splitterMdb: number;
        budgets: { wavelengthNm: number; limitMdb: number; expectedMdb: number }[];
      }[];
    }>('budget?limit=1000');
    const { glass, splice, connector, connectors } = document.project.budget;
    const all = [...chains(network).entries()];
    for (const row of rows) {
      const own = all.find(([, list]) =>
        list.some(
          ({ cableA, fiberA, cableB, fiberB }) =>
            (cableA === row.cableId && fiberA === row.fiber) ||
            (cableB === row.cableId && fiberB === row.fiber),
        ),
      );
      if (!own || row.splitters.length > 0) continue;
      const joints = own[1].filter(({ end }) => end === null);
      const isOpen = ({ id: one }: { id: string }) =>
        ['open', 'skipped'].includes(network.done.get(one)!.state);
      expect([row.ends, row.splices]).toEqual([own[1].length - joints.length, joints.length]);
      expect(row.open).toBe(own[1].filter(isOpen).length);
      if (row.lengthM === null) continue;
      for (const { wavelengthNm, limitMdb, expectedMdb } of row.budgets) {
        const fiber = glass.find((one) => one.wavelengthNm === wavelengthNm)!;
        const of = (part: 'most' | 'usual') =>
          (row.lengthM! / 1000) * fiber[part] +
          joints.length * splice[part] +
          connectors * connector[part];
        expect(Math.abs(limitMdb - of('most'))).toBeLessThanOrEqual(1);
        expect(Math.abs(expectedMdb - of('usual'))).toBeLessThanOrEqual(1);
      }
    }
    expect(rows.length).toBeGreaterThan(0);
  });

  it('packs a sleeve for every slot that is fused, with spares', () => {
    const { practice } = document.project;
    const byId = new Map(document.cables.map((cable) => [cable.id, cable.makeUp]));
    const items = kitList(
      document.closures.map(({ id: closureId }) => ({
        hardware: null,
        splices: document.splices.filter((one) => one.closureId === closureId),
        splitters: [],
        ports: [],
        entries: [],
      })),
      practice,
      (cableId) => byId.get(cableId),
    );
    const slots = (keep: (one: (typeof document.splices)[number]) => boolean) =>
      new Set(
        document.splices
          .filter(keep)
          .map(({ closureId, tray, slot }) => `${closureId} ${tray} ${slot}`),
      ).size;
    const spared = (count: number) => Math.ceil((count * (100 + practice.redoPercent)) / 100);
    const packed = (code: string, sleeve?: string) =>
      items
        .filter(
          ({ item }) => item.code === code && (!sleeve || Object.values(item).includes(sleeve)),
        )
        .reduce((sum, { count }) => sum + count, 0);
    expect(packed('ribbonSleeves')).toBe(spared(slots(({ method }) => method === 'mass')));
    const single = slots(
      ({ method, end }) => method === 'single' && (end === null || end === 'pigtail'),
    );
    expect(packed('singleSleeves', '60 mm')).toBe(spared(single));
  });
});
