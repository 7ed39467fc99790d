import {
  type ClosureRow,
  type FiberRow,
  type FoundRows,
  type Page,
  type RollUp,
  type Splice,
  type SpliceRow,
  type TrayRow,
  kitList,
} from '@cordel/core';
import Papa from 'papaparse';
import { drawnNetwork, drawnSeeds } from './testing/drawnNetwork.ts';
import { type TestApi, startApi } from './testing/api.ts';
import { chains, plainTally, speaking } from './testing/plainFigures.ts';

let api: TestApi;
beforeAll(async () => {
  api = await startApi();
});
afterAll(() => api.close());

/** Whether a chain of splices passes a fiber. */
const has = (list: readonly Splice[], cable: string, fiber: number): boolean =>
  list.some(
    ({ cableA, fiberA, cableB, fiberB }) =>
      (cableA === cable && fiberA === fiber) || (cableB === cable && fiberB === fiber),
  );
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

// What pages show of networks unlike the demo is reckoned once more in plain steps that share nothing with the code.
describe.each(drawnSeeds())('a network drawn by seed %i', (seed) => {
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
    expect(tallyOf(project)).toEqual(plainTally(network, document.splices));
    for (const row of closures) {
      const own = document.splices.filter(({ closureId }) => closureId === row.closureId);
      expect([row.name, tallyOf(row)]).toEqual([row.name, plainTally(network, own)]);
    }
    const trays = await get<Page<TrayRow>>('ledger/trays?limit=1000');
    for (const row of trays.rows) {
      const own = document.splices.filter(
        ({ closureId, tray }) => closureId === row.closureId && tray === row.tray,
      );
      expect(tallyOf(row)).toEqual(plainTally(network, own));
    }
    expect(trays.rows.reduce((sum, row) => sum + row.total, 0)).toBe(document.splices.length);
    const fibers = await get<Page<FiberRow>>('ledger/fibers?limit=1000');
    const whole = chains(network).map((own) => plainTally(network, own));
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
    for (const own of chains(network).filter((_, index) => index % 7 === 0)) {
      const { cableA, fiberA } = own[0]!;
      const { circuits } = await get<{ circuits: { legs: { splice: { id: string } | null }[] }[] }>(
        `circuits/${cableA}/${fiberA}`,
      );
      const followed = circuits.map(({ legs }) =>
        legs.flatMap(({ splice }) => splice?.id ?? []).sort(),
      );
      expect(followed).toContainEqual(own.map(({ id: one }) => one).sort());
      const { name } = document.cables.find((cable) => cable.id === cableA)!;
      const found = await get<FoundRows>(
        `ledger/search?q=${encodeURIComponent(`${name} ${fiberA}`)}`,
      );
      // A fiber that is cut by a leg is as many as it has pieces with splices.
      const same = chains(network).filter((list) => has(list, cableA, fiberA));
      expect(found.fibers.rows.map((row) => row.total).sort()).toEqual(
        same.map((list) => list.length).sort(),
      );
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
    const all = chains(network);
    for (const row of rows) {
      if (row.splitters.length > 0) continue;
      const isOpen = ({ id: one }: { id: string }) =>
        ['open', 'skipped'].includes(network.done.get(one)!.state);
      const figures = all
        .filter((list) => has(list, row.cableId, row.fiber))
        .map((own) => {
          const joints = own.filter(({ end }) => end === null);
          return [own.length - joints.length, joints.length, own.filter(isOpen).length];
        });
      expect(figures).toContainEqual([row.ends, row.splices, row.open]);
      if (row.lengthM === null) continue;
      for (const { wavelengthNm, limitMdb, expectedMdb } of row.budgets) {
        const fiber = glass.find((one) => one.wavelengthNm === wavelengthNm)!;
        const of = (part: 'most' | 'usual') =>
          (row.lengthM! / 1000) * fiber[part] +
          row.splices * splice[part] +
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
