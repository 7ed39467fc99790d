import { createHash } from 'node:crypto';
import { sql } from 'drizzle-orm';
import { v7 as uuid } from 'uuid';
import type { Reading, TracePlace } from '@cordel/core';
import type { ProjectDocument } from '@cordel/core/document';
import { readSor, type BudgetMessage, type Finding, type ProofProblem } from '@cordel/core/otdr';
import { rowsOf } from '../db/client.ts';
import { type TestApi, renamed, startApi } from '../testing/api.ts';
import { attemptOn, readingOn, smallDocument } from '../testing/small.ts';

let api: TestApi;
let document: ProjectDocument;
let path: string;
const [A, B] = [0, 1].map((index) => () => document.cables[index]!) as [
  () => ProjectDocument['cables'][number],
  () => ProjectDocument['cables'][number],
];

/** Two closures behind the exchange, the drop’s own end unknown; every splice is made. */
beforeAll(async () => {
  api = await startApi();
  document = smallDocument({ practiceOnly: true });
  // The instrument is drawn by the name: one without a tail, that would hide the joint near the far end.
  document.project.name = 'Weir line';
  document.cables[0]!.run = {
    ...document.cables[0]!.run,
    end: { name: 'Exchange', distance: 0, mark: null, coil: 0 },
  };
  document.evidence = document.splices.map(({ id }) => attemptOn(id, 30));
  expect((await api.post('/documents', document)).status).toBe(200);
  path = `/projects/${document.project.id}`;
});
afterAll(() => api.close());

interface Shot {
  name: string;
  bytes: string;
}

const shoot = async (fiber: number, direction: 'AB' | 'BA', wavelengthNm: number, more = {}) => {
  const answer = await api.post(`${path}/standin/otdr`, {
    cableId: A().id,
    fiber,
    direction,
    wavelengthNm,
    pulseNs: 30,
    averages: 65_536,
    ...more,
  });
  expect(answer.status).toBe(200);
  return answer.body as Shot;
};

const placeOf = (
  traceId: string,
  fiber: number,
  direction: 'AB' | 'BA',
  wavelengthNm: number,
): TracePlace => ({
  id: uuid(),
  traceId,
  by: 'M.',
  at: new Date().toISOString(),
  cableId: A().id,
  fiber,
  direction,
  wavelengthNm,
  stage: null,
  why: null,
});

const runImport = async (shot: Shot, place: (id: string) => TracePlace | null) => {
  const id = uuid();
  const answer = await api.post(`${path}/traces`, { id, ...shot, place: place(id) });
  return { id, answer };
};

interface ProofBody {
  traces: number;
  unplaced: number;
  problems: Pick<ProofProblem, 'kind' | 'message'>[];
  findings: Pick<Finding, 'cause' | 'weight' | 'message'>[];
  ledger: { fresh: number; there: number; held: { count: number; why: string }[] };
}

const proof = async () => (await api.get(`${path}/proof`)).body as ProofBody;
const traceList = async () =>
  (await api.get(`${path}/traces`)).body as {
    id: string;
    name: string;
    digest: string;
    place: TracePlace | null;
  }[];

describe('bringing traces in', () => {
  it('keeps the file byte for byte, and knows its content', async () => {
    const shot = await shoot(1, 'AB', 1550);
    const { id, answer } = await runImport(shot, (own) => placeOf(own, 1, 'AB', 1550));
    expect(answer.body).toEqual({ id, known: false });
    const file = await api.raw(`/traces/${id}/file.sor`);
    expect(Buffer.from(file).toString('base64')).toBe(shot.bytes);
    expect(readSor(new Uint8Array(file)).ok).toBe(true);
    const [row] = await traceList();
    expect(row!.digest).toBe(
      createHash('sha256').update(Buffer.from(shot.bytes, 'base64')).digest('hex'),
    );

    const again = await runImport({ ...shot, name: 'other name.sor' }, () => null);
    expect(again.answer.body).toEqual({ id, known: true });
    expect(await traceList()).toHaveLength(1);
  });

  it('refuses what is no trace, with block and byte, and keeps nothing', async () => {
    const { answer } = await runImport(
      { name: 'notes.sor', bytes: Buffer.from('hello').toString('base64') },
      () => null,
    );
    expect(answer.status).toBe(422);
    expect((answer.body as { detail: string }).detail).toMatch(/^notes.sor: Map, byte 0/);
    expect(await traceList()).toHaveLength(1);
  });

  it('a place is said again, and what was said before stays', async () => {
    const [row] = await traceList();
    const wrong = placeOf(row!.id, 2, 'AB', 1550);
    const right = placeOf(row!.id, 1, 'AB', 1550);
    await api.post(`${path}/trace-places`, { entries: [wrong] });
    await api.post(`${path}/trace-places`, { entries: [right] });
    expect((await traceList())[0]!.place).toEqual(right);
    const [{ count } = { count: 0 }] = await rowsOf<{ count: number }>(
      api.db,
      sql`select count(*)::int as count from trace_places`,
    );
    expect(count).toBe(3);
  });

  it('half a place is refused at its place', async () => {
    const [row] = await traceList();
    const answer = await api.post(`${path}/trace-places`, {
      entries: [{ ...placeOf(row!.id, 1, 'AB', 1550), direction: null }],
    });
    expect(answer.status).toBe(422);
    expect((answer.body as { errors: { place: string }[] }).errors[0]!.place).toBe(
      '/entries/0/fiber',
    );
  });

  it('files are never changed in the database itself; what was found in them may be', async () => {
    const refused = (statement: string) =>
      rowsOf(api.db, sql.raw(statement)).then(
        () => '',
        (error: { cause?: Error }) => String(error.cause?.message),
      );
    expect(await refused(`update traces set name = 'x'`)).toMatch(/append-only/);
    expect(await refused('delete from traces')).toMatch(/append-only|foreign key/);
    expect(await refused('delete from trace_places')).toMatch(/append-only/);
    expect(await refused(`update traces set found = found`)).toBe('');
  });
});

describe('from traces to verdicts', () => {
  it('one direction is one-way; with the other it is the two-way average that decides', async () => {
    expect((await proof()).problems.map(({ message }) => message)).toEqual([
      { code: 'directionMissing', label: 'A 1', wavelengthNm: 1550, missing: 'BA' },
    ]);
    for (const nm of [1310, 1550])
      for (const direction of ['AB', 'BA'] as const) {
        if (nm === 1550 && direction === 'AB') continue;
        await runImport(await shoot(1, direction, nm), (own) => placeOf(own, 1, direction, nm));
      }
    const whole = await proof();
    expect(whole).toMatchObject({ traces: 4, unplaced: 0, problems: [] });
    // Two splices, two directions, two wavelengths.
    expect(whole.ledger).toEqual({ fresh: 8, there: 0, held: [] });
  });

  it('figures go into the Ledger once, and the verdict follows', async () => {
    const put = () =>
      api.post(`${path}/proof/readings`, { by: 'M.', at: new Date().toISOString() });
    expect((await put()).body).toEqual({ recorded: 8 });
    expect((await put()).body).toEqual({ recorded: 0 });
    const splice = document.splices.find(
      ({ cableA, fiberA }) => cableA === A().id && fiberA === 1,
    )!;
    const { evidence } = (await api.get(`/splices/${splice.id}`)).body as { evidence: Reading[] };
    const readings = evidence.filter(({ type }) => type === 'reading');
    expect(readings).toHaveLength(4);
    expect(readings.every(({ traceId, tryId }) => traceId !== null && tryId !== null)).toBe(true);
    const { rows } = (await api.get(`${path}/ledger/splices?q=A+1`)).body as {
      rows: { id: string; verdict: string; grade: number }[];
    };
    expect(rows.find(({ id }) => id === splice.id)).toMatchObject({ verdict: 'pass', grade: 3 });
  });

  it('a trace of another wavelength named as this one is told by how its fiber fades, and held back', async () => {
    const own = renamed(document);
    expect((await api.post('/documents', own)).status).toBe(200);
    const at = `/projects/${own.project.id}`;
    const cableId = own.cables[0]!.id;
    for (const direction of ['AB', 'BA'] as const) {
      const task = { cableId, fiber: 3, direction, pulseNs: 30, averages: 65_536 };
      // The laser that fired was another than the one that was chosen.
      const fired = direction === 'AB' ? 1310 : 1550;
      const body = (await api.post(`${at}/standin/otdr`, { ...task, wavelengthNm: fired }))
        .body as Shot;
      const id = uuid();
      const place = { ...placeOf(id, 3, direction, 1550), cableId };
      await api.post(`${at}/traces`, { id, ...body, place });
    }
    const { problems, ledger } = (await api.get(`${at}/proof`)).body as ProofBody;
    expect(problems.map(({ message }) => message)).toMatchObject([
      { code: 'otherWavelength', wavelengthNm: 1550, likelyNm: 1310 },
    ]);
    expect(ledger.held).toEqual([{ count: 2, why: 'filesInDoubt' }]);
  });

  it('a splice fused again after the shot keeps its old figures to its old try', async () => {
    const splice = document.splices.find(
      ({ cableA, fiberA }) => cableA === A().id && fiberA === 1,
    )!;
    await api.record([
      { ...attemptOn(splice.id, 20), at: new Date(Date.now() + 120_000).toISOString() },
    ]);
    const { rows } = (await api.get(`${path}/ledger/splices?q=A+1`)).body as {
      rows: { id: string; verdict: string }[];
    };
    expect(rows.find(({ id }) => id === splice.id)!.verdict).toBe('provisional');
  });

  /** Of fiber 2. One that is shot a second later is another file. */
  let shot: Shot;

  it('a simulated trace is known by what stands in it, and is kept out of real work under any name', async () => {
    shot = await shoot(2, 'AB', 1550);
    await runImport(shot, (own) => placeOf(own, 2, 'AB', 1550));
    const list = (await api.get(`${path}/traces`)).body as { origin: string }[];
    expect(new Set(list.map(({ origin }) => origin))).toEqual(new Set(['simulated']));
    const real = renamed(smallDocument());
    await api.post('/documents', real);
    const body = { id: uuid(), name: 'north-100.sor', bytes: shot.bytes, place: null };
    const answer = await api.post(`/projects/${real.project.id}/traces`, body);
    expect(answer.status).toBe(422);
    expect((answer.body as { detail: string }).detail).toMatch(/simulated/);
    expect((await api.get(`/projects/${real.project.id}/traces`)).body).toEqual([]);
    const device = await api.post(`/projects/${real.project.id}/standin/otdr`, {
      cableId: real.cables[0]!.id,
      fiber: 1,
      direction: 'AB',
      wavelengthNm: 1550,
      pulseNs: 100,
      averages: 1024,
    });
    expect(device.status).toBe(409);
  });

  it('one file for both directions is held back, in words', async () => {
    const bytes = Buffer.from(shot.bytes, 'base64');
    // The same samples under another header, as a copy that was renamed in the instrument.
    const at = bytes.indexOf('Module');
    bytes.write('Modulo', at, 'latin1');
    await runImport({ name: 'copy.sor', bytes: bytes.toString('base64') }, (own) =>
      placeOf(own, 2, 'BA', 1550),
    );
    const { problems, ledger } = await proof();
    expect(problems.find(({ kind }) => kind === 'same samples')!.message).toMatchObject({
      code: 'copyOfOther',
      label: 'A 2',
    });
    expect(ledger.held).toEqual([{ count: 4, why: 'filesInDoubt' }]);
  });

  it('a broken fiber is found and has no light', async () => {
    for (const direction of ['AB', 'BA'] as const)
      await runImport(await shoot(3, direction, 1550, { faults: ['brokenHalfway'] }), (own) =>
        placeOf(own, 3, direction, 1550),
      );
    const { findings } = await proof();
    expect(findings.filter(({ cause }) => cause === 'break')).toMatchObject([
      { message: { code: 'brokenSamePlace', label: 'A 3' } },
    ]);
    const { rows, counts } = (await api.get(`${path}/budget`)).body as {
      rows: { label: string; lights: string; budgets: unknown[] }[];
      counts: Record<string, number>;
    };
    expect(rows[0]).toMatchObject({ label: 'A 3', lights: 'broken' });
    expect(counts.broken).toBe(1);
    expect(rows.find(({ label }) => label === 'A 1')!.lights).toBe('yes');
  });

  it('a circuit with its traces aligned with it', async () => {
    const view = (await api.get(`${path}/proof/circuits/${B().id}/1`)).body as {
      label: string;
      points: { name: string; at: number }[];
      traces: unknown[];
      peers: { fiber: number }[];
      splices: { mean: { loss: number } | null }[];
    };
    // Counted in cable B it is the same circuit, which begins at the end of A.
    expect(view.label).toBe('A 1');
    expect(view.points.map(({ name }) => name)).toEqual([
      'Exchange',
      'Mill',
      'Ford',
      'the outer end of C',
    ]);
    expect(view.traces).toHaveLength(4);
    expect(new Set(view.peers.map(({ fiber }) => fiber))).toEqual(new Set([1, 2, 3]));
    expect(view.splices[0]!.mean).not.toBeNull();
  });
});

describe('a fiber shot again', () => {
  const spliceOf = (fiber: number) =>
    document.splices.find(({ cableA, fiberA }) => cableA === A().id && fiberA === fiber)!;
  const shotNow = async (fiber: number, direction: 'AB' | 'BA') =>
    runImport(await shoot(fiber, direction, 1550), (own) => placeOf(own, fiber, direction, 1550));
  interface Series {
    direction: string;
    shots: unknown[];
    changes: { point: number | null; byDb: number; verdict: string }[];
  }
  const history = async (fiber: number) =>
    (await api.get(`${path}/proof/circuits/${A().id}/${fiber}/history`)).body as Series[];
  interface Alert {
    weight: string;
    spliceIds: string[];
    message: { code: string };
    at: string;
  }
  const alerts = async () =>
    (await api.get(`/closures/${spliceOf(4).closureId}/trace-alerts`)).body as Alert[];

  it('is a newer reading and no problem: both stay, and what moved is told from both ends', async () => {
    for (const direction of ['AB', 'BA'] as const) await shotNow(4, direction);
    expect((await history(4)).map(({ shots, changes }) => [shots.length, changes])).toEqual([
      [1, []],
      [1, []],
    ]);
    await api.record([attemptOn(spliceOf(4).id, 600)]);
    for (const direction of ['AB', 'BA'] as const) await shotNow(4, direction);
    const series = await history(4);
    expect(series.map(({ direction, shots }) => [direction, shots.length]).sort()).toEqual([
      ['AB', 2],
      ['BA', 2],
    ]);
    // The first closure behind the exchange, counted along the circuit whichever end it was shot from.
    for (const { changes } of series) {
      const [most, ...rest] = changes.filter(({ point }) => point !== null);
      expect(most).toMatchObject({ point: 1, verdict: 'moved' });
      expect(most!.byDb).toBeGreaterThan(0.2);
      expect(rest.map(({ verdict }) => verdict)).not.toContain('moved');
    }
    expect((await proof()).problems.map(({ kind }) => kind)).not.toContain('shot twice');
  });

  it('its splice is told to the crew at the closure, with the time of the traces that say so', async () => {
    const own = (await alerts()).find(({ spliceIds }) => spliceIds.includes(spliceOf(4).id))!;
    expect(own).toMatchObject({ weight: 'bad', message: { code: 'badSplice' } });
    expect(Math.abs(Date.parse(own.at) - Date.now())).toBeLessThan(120_000);
    expect((await api.get(`/closures/${uuid()}/trace-alerts`)).status).toBe(404);
  });

  it('both ends of each fiber’s circuit are named', async () => {
    const { body } = await api.get(`${path}/cables/${A().id}/circuit-ends`);
    const ends = body as { fiber: number; from: string; to: string }[];
    expect(ends).toHaveLength(24);
    expect(ends[0]).toEqual({ fiber: 1, from: 'Exchange', to: 'the outer end of C' });
    expect((await api.get(`${path}/cables/${uuid()}/circuit-ends`)).status).toBe(404);
  });
});

describe('a project document', () => {
  it('carries traces, their places and their readings, byte for byte', async () => {
    const { text } = await api.get(`${path}/document.json`);
    const copy = renamed(JSON.parse(text) as ProjectDocument);
    expect(copy.traces.length).toBe(12);
    expect((await api.post('/documents', copy)).status).toBe(200);
    const back = await api.get(`/projects/${copy.project.id}/document.json`);
    expect(JSON.parse(back.text)).toEqual(copy);
  });

  it('with a byte of a trace changed is refused as a whole', async () => {
    const { text } = await api.get(`${path}/document.json`);
    const copy = renamed(JSON.parse(text) as ProjectDocument);
    const bytes = Buffer.from(copy.traces[0]!.bytes, 'base64');
    bytes[bytes.length - 5]! ^= 1;
    copy.traces[0]!.bytes = bytes.toString('base64');
    const answer = await api.post('/documents', copy);
    expect(answer.status).toBe(422);
    expect((answer.body as { errors: { place: string }[] }).errors[0]!.place).toBe(
      '/traces/0/bytes',
    );
    expect((await api.get(`/projects/${copy.project.id}`)).status).toBe(404);
  });
});

describe('a fiber that was cut over', () => {
  it('is not judged by what was shot on its way before', async () => {
    const line = renamed(smallDocument({ practiceOnly: true }));
    const [a] = line.cables;
    const mill = line.closures[0]!;
    a!.run = { ...a!.run, end: { name: 'Exchange', distance: 0, mark: null, coil: 0 } };
    line.evidence = line.splices.map(({ id }) => attemptOn(id, 30));
    expect((await api.post('/documents', line)).status).toBe(200);
    const own = `/projects/${line.project.id}`;
    const shootA1 = async () => {
      const id = uuid();
      const shot = { cableId: a!.id, fiber: 1, direction: 'AB', wavelengthNm: 1550 };
      const asked = { ...shot, pulseNs: 30, averages: 65_536 };
      const file = (await api.post(`${own}/standin/otdr`, asked)).body as Shot;
      const place = { ...placeOf(id, 1, 'AB', 1550), cableId: a!.id };
      expect((await api.post(`${own}/traces`, { id, ...file, place })).status).toBe(200);
      return file.name;
    };
    const proved = async () => (await api.get(`${own}/proof`)).body as ProofBody;
    // Instruments count whole seconds.
    const nextSecond = () => new Promise((done) => setTimeout(done, 1100));
    const before = await shootA1();
    expect((await proved()).ledger.fresh).toBe(2);
    await nextSecond();
    const cutAt = new Date().toISOString();
    const plan = {
      closureId: mill.id,
      text: 'splice A 2-12 to B 2-12\nsplice A 1 to B 13',
      pins: [],
      spare: 0,
      anew: false,
      changeId: uuid(),
      retire: { by: 'M.', at: cutAt, why: 'Cut-over.' },
    };
    expect((await api.put(`/closures/${mill.id}/plan`, plan)).status).toBe(200);
    const after = await proved();
    expect(after.ledger.fresh).toBe(0);
    const said = after.problems.filter(({ kind }) => kind === 'cut over since');
    expect(said.map(({ message }) => message)).toEqual([
      {
        code: 'cutOverSince',
        files: { items: [before], most: 3 },
        closure: 'Mill',
        day: { dayOf: cutAt },
      },
    ]);
    // The same fiber shot now sees its new way: one splice at Mill, and B 13 to its end.
    const splices = (
      (await api.get(`/closures/${mill.id}/work`)).body as {
        splices: { id: string; fiberB: number }[];
      }
    ).splices;
    const fresh = splices.find(({ fiberB }) => fiberB === 13)!;
    await api.record([{ ...attemptOn(fresh.id, 20), at: new Date().toISOString() }]);
    await nextSecond();
    await shootA1();
    expect((await proved()).ledger).toMatchObject({ fresh: 1, held: [] });
  });
});

describe('a line that is not joined through yet', () => {
  it('is not called broken, and its made splices have figures', async () => {
    const half = renamed(smallDocument({ practiceOnly: true }));
    const made = half.splices.filter(({ cableA }) => cableA === half.cables[0]!.id);
    half.cables[0]!.run = {
      ...half.cables[0]!.run,
      end: { name: 'Exchange', distance: 0, mark: null, coil: 0 },
    };
    half.evidence = made.map(({ id }) => attemptOn(id, 30));
    expect((await api.post('/documents', half)).status).toBe(200);
    const own = `/projects/${half.project.id}`;
    const id = uuid();
    const shot = { cableId: half.cables[0]!.id, fiber: 1, direction: 'AB' as const };
    const file = (
      await api.post(`${own}/standin/otdr`, {
        ...shot,
        wavelengthNm: 1550,
        pulseNs: 30,
        averages: 65_536,
      })
    ).body as Shot;
    const place = { ...placeOf(id, 1, 'AB', 1550), cableId: shot.cableId };
    expect((await api.post(`${own}/traces`, { id, ...file, place })).status).toBe(200);
    const { findings, ledger } = (await api.get(`${own}/proof`)).body as ProofBody;
    expect(findings.filter(({ weight }) => weight === 'bad')).toEqual([]);
    expect(findings.map(({ message }) => message)).toContainEqual({
      code: 'notJoined',
      label: 'B 1 to C 1',
      closure: 'Ford',
    });
    expect(ledger.fresh).toBe(1);
    const { rows } = (await api.get(`${own}/budget`)).body as {
      rows: { label: string; lights: string; why: BudgetMessage }[];
    };
    expect(rows.find(({ label }) => label === 'A 1')).toMatchObject({
      lights: 'not joined',
      why: { code: 'notSpliced', splices: 1 },
    });
  });

  it('a laser that the simulated OTDR has not is refused at its place', async () => {
    const answer = await api.post(`${path}/standin/otdr`, {
      cableId: A().id,
      fiber: 1,
      direction: 'AB',
      wavelengthNm: 1300,
      pulseNs: 100,
      averages: 1024,
    });
    expect(answer.status).toBe(422);
    expect((answer.body as { errors: { place: string; detail: string }[] }).errors[0]).toEqual({
      place: '/wavelengthNm',
      code: 'noSuchLaser',
      detail: 'The simulated OTDR has lasers of 1310, 1490, 1550 and 1625 nm.',
    });
  });

  it('a circuit of a cable that is not there is not found', async () => {
    expect((await api.get(`${path}/proof/circuits/${uuid()}/1`)).status).toBe(404);
    expect((await api.get(`${path}/proof/circuits/${A().id}/999`)).status).toBe(404);
    expect((await api.get(`/traces/${uuid()}/file.sor`)).status).toBe(404);
  });
});

it('readings that come at the same moment name no trace of another project', async () => {
  const { id: traceId } = await runImport(await shoot(11, 'AB', 1550), () => null);
  const other = smallDocument();
  expect((await api.post('/documents', other)).status).toBe(200);
  const attempts = other.splices.slice(0, 6).map(({ id }) => attemptOn(id, 20));
  await api.record(attempts);
  const answers = await Promise.all(
    attempts.map((attempt) =>
      api.post('/evidence', {
        entries: [{ ...readingOn(attempt, 'AB', 1550, 20), traceId }],
      }),
    ),
  );
  expect(answers.map(({ status }) => status)).toEqual(attempts.map(() => 422));
});
