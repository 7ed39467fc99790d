import { demoDocument } from '@cordel/demo';
import {
  type ClosureRow,
  EMPTY_TALLY,
  type Evidence,
  type FiberRow,
  type FoundRows,
  type Judgement,
  type Page,
  type RedoRow,
  type RollUp,
  SPLICE_STAGES,
  type SpliceRow,
  type Tally,
  type TrayRow,
  addTally,
  gradeRank,
  judgeSplice,
  rollUp,
  spliceStage,
  spliceStateOf,
} from '@cordel/core';
import type { ProjectDocument } from '@cordel/core/document';
import { type TestApi, renamed, startApi } from '../testing/api.ts';
import { TOLD, attemptOn, provenBy, smallDocument } from '../testing/small.ts';

let api: TestApi;
let demo: ProjectDocument;
beforeAll(async () => {
  api = await startApi();
  demo = renamed(demoDocument(TOLD, 0));
  expect((await api.post('/documents', demo)).status).toBe(200);
});
afterAll(() => api.close());

const ledger = async <Row>(path: string, project = demo.project.id) =>
  (await api.get(`/projects/${project}/ledger/${path}`)).body as Page<Row>;
const summary = async (project = demo.project.id) =>
  (await api.get(`/projects/${project}/ledger/closures`)).body as {
    project: RollUp;
    closures: ClosureRow[];
  };

/** What core says of every splice from the evidence alone. */
function judgeAll(document: ProjectDocument): Map<string, Judgement> {
  const groups = new Map<string, Evidence[]>();
  for (const entry of document.evidence)
    groups.set(entry.spliceId, [...(groups.get(entry.spliceId) ?? []), entry]);
  return new Map(
    document.splices.map((splice) => [
      splice.id,
      judgeSplice(spliceStateOf(groups.get(splice.id) ?? []), splice, document.project.limits),
    ]),
  );
}

function tallyOf(judgements: readonly Judgement[]): Tally {
  return judgements
    .map((judged): Tally => ({
      ...EMPTY_TALLY,
      total: 1,
      [spliceStage(judged)]: 1,
      failed: judged.verdict === 'fail' ? 1 : 0,
      simulated: judged.figure?.origin === 'simulated' ? 1 : 0,
      figures: judged.figure ? 1 : 0,
      sumHalfMdb: judged.figure?.lossHalfMdb ?? 0,
      maxHalfMdb: judged.figure?.lossHalfMdb ?? null,
      weakest: judged.figure ? gradeRank(judged.figure.grade) : null,
    }))
    .reduce(addTally, EMPTY_TALLY);
}

describe('roll-ups in the database', () => {
  it('are what core makes of the evidence: closures', async () => {
    const judged = judgeAll(demo);
    for (const row of (await summary()).closures) {
      const own = demo.splices.filter((splice) => splice.closureId === row.closureId);
      const expected = rollUp(
        tallyOf(own.map((splice) => judged.get(splice.id)!)),
        'closure',
        demo.project.limits,
        row.traysOver.length,
      );
      expect(row).toMatchObject(expected);
    }
  });

  it('are what core makes of the evidence: trays', async () => {
    const judged = judgeAll(demo);
    const { rows, total } = await ledger<TrayRow>('trays?limit=1000');
    expect(total).toBe(
      new Set(demo.splices.map((splice) => `${splice.closureId} ${splice.tray}`)).size,
    );
    for (const row of rows) {
      const own = demo.splices.filter(
        (splice) => splice.closureId === row.closureId && splice.tray === row.tray,
      );
      expect(row).toMatchObject(
        rollUp(tallyOf(own.map((splice) => judged.get(splice.id)!)), 'tray', demo.project.limits),
      );
    }
  });

  it('are what core makes of the evidence: splices, and the project as a whole', async () => {
    const judged = judgeAll(demo);
    const pages = await Promise.all(
      [0, 1000].map((offset) => ledger<SpliceRow>(`splices?limit=1000&offset=${offset}`)),
    );
    const rows = pages.flatMap((page) => page.rows);
    expect(rows).toHaveLength(demo.splices.length);
    for (const row of rows) {
      const { verdict, redo, tries, missing, figure } = judged.get(row.id)!;
      expect(row).toMatchObject({
        verdict,
        redo,
        tries,
        missing,
        lossHalfMdb: figure?.lossHalfMdb ?? null,
      });
    }
    expect((await summary()).project).toMatchObject(tallyOf([...judged.values()]));
  });

  it('follow a fiber through every closure', async () => {
    const { rows } = await ledger<FiberRow>('fibers?q=A+100');
    const cable = demo.cables.find((entry) => entry.name === 'A')!;
    expect(rows).toMatchObject([{ headCable: cable.id, headFiber: 100, total: 5 }]);
    const fiber = (await api.get(`/projects/${demo.project.id}/fibers/${cable.id}/100`)).body as {
      rows: SpliceRow[];
    };
    expect(fiber.rows.map((row) => row.closure)).toEqual([
      'Toll cottage',
      'Sluice bridge',
      'Dairy lane',
      'School rise',
      'Weir gauge',
    ]);
  });

  it('change with limits, and change back', async () => {
    const before = await summary();
    const strict = structuredClone(demo.project);
    strict.limits.splice['two-way'] = { single: 10, mass: 10 };
    expect((await api.put(`/projects/${strict.id}`, strict)).status).toBe(200);
    expect((await summary()).project.failed).toBeGreaterThan(before.project.failed + 100);
    await api.put(`/projects/${demo.project.id}`, demo.project);
    expect(await summary()).toEqual(before);
  });
});

describe('the demo', () => {
  it('is a network of 8 closures and more on about 40 km, some proven, one half done, some untouched', async () => {
    const { closures } = await summary();
    expect(closures.length).toBeGreaterThanOrEqual(8);
    expect(Math.max(...closures.map((row) => row.distance ?? 0)) / 1e7).toBeGreaterThan(38);
    expect(closures.some((row) => row.verdict === 'pass' && row.done === row.due)).toBe(true);
    expect(closures.some((row) => row.done > 0 && row.done < row.due)).toBe(true);
    expect(closures.some((row) => row.done === 0)).toBe(true);
    expect(closures.some((row) => row.branchOf !== null)).toBe(true);
  });

  it('has every make-up', () => {
    const kinds = demo.cables.map((cable) => cable.makeUp.kind);
    expect([...new Set(kinds)].sort()).toEqual(
      ['loose-tube', 'grouped-tube', 'ribbon', 'drop', 'splitter', 'ports'].sort(),
    );
  });

  it('teaches: a bad joint, a bend, used-up tries, a tray that is high as a whole', async () => {
    const { rows } = await ledger<RedoRow>('redo');
    const reasons = rows.flatMap((row) => row.reasons);
    expect(reasons).toContainEqual({ code: 'jointItself' });
    expect(reasons).toContainEqual(
      expect.objectContaining({ code: 'bend', longNm: 1550, shortNm: 1310 }),
    );
    expect(reasons).toContainEqual({ code: 'triesUsedUp', used: 3, most: 3 });
    const high = (await summary()).closures.find((row) => row.traysOver.length > 0);
    expect(high?.traysOver).toEqual([10]);
  });
});

describe('search, filter and sort', () => {
  const names = async (path: string) =>
    (await ledger<SpliceRow>(path)).rows.map((row) => `${row.closure} ${row.fiberA}`);

  it('finds tube 9, ribbon 9 and a color', async () => {
    const tube = await ledger<SpliceRow>('splices?q=A+tube+9&limit=1000');
    expect(tube.rows.map((row) => row.fiberA)).toEqual(
      Array.from({ length: 12 }, (_, index) => 97 + index),
    );
    const brown = await ledger<SpliceRow>('splices?q=A+brown&limit=1000');
    expect(brown.total).toBe(23);
  });

  it('finds a closure by part of its name, with a tray', async () => {
    const found = await ledger<SpliceRow>('splices?q=sluice+tray+4');
    expect(found.total).toBe(12);
    expect(found.rows.every((row) => row.closure === 'Sluice bridge' && row.tray === 4)).toBe(true);
  });

  it('finds fibers, splices, trays, closures and cables at once', async () => {
    const found = async (q: string) =>
      (await api.get(`/projects/${demo.project.id}/ledger/search?q=${encodeURIComponent(q)}`))
        .body as FoundRows;
    const fiber = await found('A 9/4');
    expect(fiber.fibers).toMatchObject({ total: 1, rows: [{ headFiber: 100 }] });
    expect(fiber.splices.rows.every((row) => row.fiberA === 100 || row.fiberB === 100)).toBe(true);
    expect([fiber.trays.total, fiber.closures.total]).toEqual([fiber.splices.total, 0]);
    const range = await found('A 97-108');
    expect(range.fibers.total).toBe(12);
    expect(range.fibers.rows).toHaveLength(5);
    const place = await found('sluice');
    expect(place.closures.rows.map(({ name }) => name)).toEqual(['Sluice bridge']);
    expect(place.splices.total).toBe((await ledger('splices?q=sluice')).total);
    const cable = await found('A');
    expect(cable.cables.rows[0]).toMatchObject({ name: 'A', fibers: 144, planned: 144 });
    expect(await found('nowhere')).toMatchObject({
      fibers: { total: 0 },
      splices: { total: 0 },
      trays: { total: 0 },
      closures: { total: 0 },
      cables: { total: 0 },
      planLines: { total: 0 },
    });
  });

  it('finds the note of a plan line, the port of a panel and the circuit that a list named', async () => {
    const document = renamed(smallDocument());
    const [first, second] = document.splices;
    first!.extra = { circuit: 'Tower 4 east' };
    const panel = {
      ...document.cables[0]!,
      id: '019da9e7-4800-7000-8000-00000000aaaa',
      name: 'Panel 1',
      closureId: first!.closureId,
      makeUp: { kind: 'ports', place: 'terminal', ports: 12, connector: 'LC', polish: 'UPC' },
    } as (typeof document.cables)[number];
    document.cables.push(panel);
    Object.assign(second!, { cableB: panel.id, fiberB: 3, legB: null, end: 'pigtail' });
    document.plans = [
      {
        closureId: first!.closureId,
        text: 'spare A 5 "for the pump house" # ask first',
        pins: [],
        spare: 0,
      } as (typeof document.plans)[number],
    ];
    expect((await api.post('/documents', document)).status).toBe(200);
    const found = async (q: string) =>
      (await api.get(`/projects/${document.project.id}/ledger/search?q=${encodeURIComponent(q)}`))
        .body as FoundRows;
    expect((await found('tower east')).splices.rows.map(({ id }) => id)).toEqual([first!.id]);
    expect((await found('port 3')).splices.rows.map(({ id }) => id)).toEqual([second!.id]);
    expect((await found('panel 1')).splices.rows.map(({ id }) => id)).toEqual([second!.id]);
    expect((await found('pump ask')).planLines).toMatchObject({
      total: 1,
      rows: [{ line: 0, text: 'spare A 5 "for the pump house" # ask first' }],
    });
    expect((await found('pump')).splices.total).toBe(0);
  });

  it('takes % and _ for letters, and finds nothing in words that name nothing', async () => {
    expect((await ledger('splices?q=%25')).total).toBe(0);
    expect((await ledger('trays?q=nowhere')).total).toBe(0);
    expect((await ledger('fibers?q=A+999')).total).toBe(0);
  });

  it('filters by verdict', async () => {
    const failed = await ledger<SpliceRow>('splices?verdict=fail');
    expect(failed.rows.every((row) => row.verdict === 'fail')).toBe(true);
    expect(failed.total).toBe((await summary()).project.failed);
    expect((await ledger<TrayRow>('trays?verdict=fail')).rows.map((row) => row.tray)).toContain(10);
  });

  it('filters by state, in the words that every list has', async () => {
    const whole = (await summary()).project;
    for (const state of SPLICE_STAGES) {
      const { rows, total } = await ledger<SpliceRow>(`splices?state=${state}&limit=1000`);
      expect([state, total]).toEqual([state, whole[state]]);
      expect(rows.every((row) => spliceStage(row) === state)).toBe(true);
    }
  });

  it('sorts by the worst, by the mean and by what needs work', async () => {
    const worst = (await ledger<SpliceRow>('splices?sort=worst&limit=50')).rows.map(
      (row) => row.lossHalfMdb ?? -1,
    );
    expect(worst).toEqual([...worst].sort((a, b) => b - a));
    const means = (await ledger<TrayRow>('trays?sort=mean&limit=20')).rows.map(
      (row) => row.sumHalfMdb / row.figures,
    );
    expect(means).toEqual([...means].sort((a, b) => b - a));
    expect((await ledger<FiberRow>('fibers?sort=verdict')).rows[0]?.verdict).toBe('fail');
  });

  it('gives pages that follow on each other', async () => {
    const first = await names('splices?limit=5');
    const second = await names('splices?limit=5&offset=5');
    expect([...first, ...second]).toEqual(await names('splices?limit=10'));
  });
});

describe('live', () => {
  it('a roll-up shows an attempt at once, and its taking back', async () => {
    const small = smallDocument();
    await api.post('/documents', small);
    const id = small.project.id;
    const attempt = attemptOn(small.splices[0]!.id, 20);
    await api.record([attempt]);
    expect((await summary(id)).project).toMatchObject({ done: 1, spliced: 1 });
    await api.record([
      { ...attempt, id: attemptOn('', 0).id, supersedes: attempt.id, void: true, why: 'Slip.' },
    ]);
    expect((await summary(id)).project).toMatchObject({ done: 0, open: 16 });
  });

  it('a closure passes when its last splice is proven', async () => {
    const small = smallDocument();
    await api.post('/documents', small);
    const ford = small.splices.filter((splice) => splice.closureId === small.closures[1]!.id);
    for (const splice of ford.slice(1)) await api.record(provenBy(splice.id, 40));
    const verdict = async () => (await summary(small.project.id)).closures[1]!.verdict;
    expect(await verdict()).toBe('open');
    await api.record(provenBy(ford[0]!.id, 40));
    expect(await verdict()).toBe('pass');
  });
});
