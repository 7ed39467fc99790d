import { sql } from 'drizzle-orm';
import {
  BUILT_IN_INSTRUMENTS,
  type Evidence,
  type Instrument,
  type InstrumentEntry,
  type ReceivedRecord,
  type SplicerRecord,
} from '@cordel/core';
import type { ProjectDocument } from '@cordel/core/document';
import { v7 as uuid } from 'uuid';
import { rowsOf } from '../db/client.ts';
import { type TestApi, renamed, startApi } from '../testing/api.ts';
import { attemptOn, smallDocument, splicerRecordOf } from '../testing/small.ts';

let api: TestApi;
let document: ProjectDocument;
let path: string;
const spliceId = (index: number) => document.splices[index]!.id;

interface Bench {
  instruments: Instrument[];
  log: InstrumentEntry[];
  records: ReceivedRecord[];
  taken: string[];
  setAside: { recordId: string; why: string }[];
}
const bench = async (): Promise<Bench> => ({
  ...((await api.get(`${path}/bench`)).body as Omit<Bench, 'records'>),
  records: (await api.get(`${path}/splicer-records`)).body as ReceivedRecord[],
});

const recordOf = (number: number, part: Partial<SplicerRecord> = {}) =>
  splicerRecordOf(document, number, part);
const send = (...records: unknown[]) => api.post(`${path}/splicer-records`, { records });
const takenBy = (index: number, record: SplicerRecord) => ({
  ...attemptOn(spliceId(index), 20),
  recordId: record.id,
  recordPosition: 1,
});
const post = (...entries: unknown[]) => api.post('/evidence', { entries });

beforeAll(async () => {
  api = await startApi();
});
beforeEach(async () => {
  document = smallDocument({ practiceOnly: true });
  path = `/projects/${document.project.id}`;
  expect((await api.post('/documents', document)).status).toBe(200);
});
afterAll(() => api.close());

describe('what splicers record', () => {
  it('is kept as it came, with the moment it came in', async () => {
    const odd = recordOf(1, { temperature: 400, at: '2026-05-04T19:15:00.000Z' });
    odd.fibers[0]!.estimateMdb = 99_000;
    expect((await send(odd)).body).toEqual({ fresh: 1 });
    const [kept] = (await bench()).records;
    expect(kept).toMatchObject(odd);
    expect(Math.abs(Date.parse(kept!.receivedAt) - Date.now())).toBeLessThan(60_000);
  });

  it('counts once, sent again under the same id or another', async () => {
    const record = recordOf(1);
    await send(record);
    expect((await send(record)).body).toEqual({ fresh: 0 });
    expect((await send({ ...record, id: uuid() })).body).toEqual({ fresh: 0 });
    expect((await bench()).records).toHaveLength(1);
  });

  it('is refused at its place where it is cut off or of another project', async () => {
    const { fibers: _fibers, ...cut } = recordOf(1);
    const answer = await send(cut);
    expect(answer.status).toBe(422);
    expect((answer.body as { errors: { place: string }[] }).errors[0]?.place).toBe(
      '/records/0/fibers',
    );
    expect((await send(recordOf(2), { ...recordOf(3), projectId: uuid() })).status).toBe(422);
    expect((await bench()).records).toEqual([]);
  });

  it('is append-only in the database itself', async () => {
    await send(recordOf(1));
    const words = (statement: string) =>
      rowsOf(api.db, sql.raw(statement)).then(
        () => '',
        (error: { cause?: Error }) => String(error.cause?.message),
      );
    expect(await words('update splicer_records set number = 0')).toMatch(/append-only/);
    expect(await words('delete from instrument_log')).toMatch(/append-only/);
    expect(await words('delete from set_asides')).toMatch(/append-only/);
  });
});

describe('a record counts for one try only', () => {
  it('is refused for a second splice, and free again once it was taken back', async () => {
    const record = recordOf(1);
    await send(record);
    const first = takenBy(0, record);
    expect((await post(first)).status).toBe(200);
    expect((await bench()).taken).toEqual([record.id]);
    const second = takenBy(1, record);
    const refused = await post(second);
    expect(refused.status).toBe(409);
    expect((refused.body as { detail: string }).detail).toMatch(/not counted twice/);
    const back = { ...first, id: uuid(), supersedes: first.id, void: true, why: 'Slip.' };
    expect((await post(back)).status).toBe(200);
    expect((await bench()).taken).toEqual([]);
    expect((await post(second)).status).toBe(200);
  });

  it('is the same write sent again, and not a second try', async () => {
    const record = recordOf(1);
    await send(record);
    const entry = takenBy(0, record);
    await post(entry);
    expect(await post(entry)).toMatchObject({ status: 200, body: { recorded: 0 } });
  });

  it('is taken by one of two phones that press at once', async () => {
    const record = recordOf(1);
    await send(record);
    const answers = await Promise.all([post(takenBy(0, record)), post(takenBy(1, record))]);
    expect(answers.map(({ status }) => status).sort()).toEqual([200, 409]);
  });

  it('names a record that is not here', async () =>
    expect((await post(takenBy(0, recordOf(1)))).status).toBe(422));
});

describe('the log of instruments', () => {
  const check = (round: number, passed: boolean, checkId = uuid()): InstrumentEntry => ({
    kind: 'arc check',
    id: uuid(),
    projectId: document.project.id,
    instrumentId: 'single-splicer',
    by: 'M.',
    at: '2026-05-04T20:15:00.000Z',
    checkId,
    round,
    passed,
    origin: 'typed',
    arcs: 100,
    air: { temperature: 12, humidity: null, pressure: null },
  });

  it('is kept in order, round by round, and once', async () => {
    const rounds = [check(1, false), check(2, true)];
    await api.post(`${path}/instrument-log`, { entries: rounds });
    await api.post(`${path}/instrument-log`, { entries: rounds });
    expect((await bench()).log).toEqual(rounds);
  });

  it('refuses a temperature in the wrong unit at its place', async () => {
    const hot = check(1, true);
    const entry = { ...hot, air: { temperature: 70, humidity: null, pressure: null } };
    const answer = await api.post(`${path}/instrument-log`, { entries: [entry] });
    expect(answer.status).toBe(422);
    expect((answer.body as { detail: string }).detail).toMatch(/temperature: Hotter than any site/);
  });
});

it('keeps records that belong to no splice, with why', async () => {
  const record = recordOf(1);
  await send(record);
  const entry = {
    id: uuid(),
    recordId: record.id,
    by: 'M.',
    at: '2026-05-04T20:15:00.000Z',
    why: 'A trial.',
  };
  await api.post(`${path}/set-aside`, { entries: [entry] });
  await api.post(`${path}/set-aside`, { entries: [entry] });
  expect((await bench()).setAside).toEqual([entry]);
});

it('instruments: own ones are saved, those that ship stay as they are', async () => {
  const own = { ...BUILT_IN_INSTRUMENTS[0]!, id: uuid(), name: 'Van 2' };
  expect((await api.put(`/instruments/${own.id}`, own)).status).toBe(200);
  expect((await bench()).instruments).toContainEqual(own);
  const shipped = BUILT_IN_INSTRUMENTS[0]!;
  expect((await api.put(`/instruments/${shipped.id}`, shipped)).status).toBe(409);
});

describe('the stand-in', () => {
  const press = (id: string, index: number, part = {}) =>
    api.post(`${path}/standins/single-splicer/arc`, {
      id,
      spliceIds: [spliceId(index)],
      program: 'SM',
      heater: '60 mm',
      ...part,
    });

  it('marks what it makes as simulated, and so is the try that takes it', async () => {
    const id = uuid();
    await press(id, 0);
    const { records } = await bench();
    expect(records[0]!.origin).toBe('simulated');
    const attempt = { ...attemptOn(spliceId(0), 20), recordId: id, recordPosition: 1 };
    // Whatever the client says of it.
    await api.record([{ ...attempt, origin: 'instrument' }]);
    const { evidence } = (await api.get(`/closures/${document.closures[0]!.id}/work`)).body as {
      evidence: { origin: string }[];
    };
    expect(evidence.map(({ origin }) => origin)).toEqual(['simulated']);
  });

  it('does not work in a project for real work, where its records are refused too', async () => {
    const real = renamed(smallDocument());
    await api.post('/documents', real);
    const own = `/projects/${real.project.id}`;
    const body = { id: uuid(), spliceIds: [real.splices[0]!.id], program: 'SM', heater: null };
    expect((await api.post(`${own}/standins/single-splicer/arc`, body)).status).toBe(409);
    expect((await api.post(`${own}/standins/single-splicer/check`, {})).status).toBe(409);
    const made = { ...recordOf(7, { origin: 'simulated' }), projectId: real.project.id };
    const answer = await api.post(`${own}/splicer-records`, { records: [made] });
    expect(answer.status).toBe(422);
    expect((answer.body as { detail: string }).detail).toMatch(/simulated/);
    expect((await api.get(`${own}/splicer-records`)).body).toEqual([]);
  });

  it('makes a record of what is loaded, counts on, and the same press is one arc', async () => {
    const ids = [uuid(), uuid()];
    await press(ids[0]!, 0);
    await press(ids[0]!, 0);
    await press(ids[1]!, 1);
    const { records } = await bench();
    expect(records.map(({ id }) => id)).toEqual(ids);
    expect(records[1]!.number).toBe(records[0]!.number + 1);
    expect(records[0]!.fibers).toHaveLength(1);
  });

  it('stops for a chip before the arc', async () => {
    const id = uuid();
    await press(id, 0, { faults: ['chip'] });
    const record = (await bench()).records.find((one) => one.id === id)!;
    expect(record).toMatchObject({
      fused: false,
      fibers: [{ error: 'chip', estimateMdb: null }],
    });
  });

  it('comes through an arc check round by round', async () => {
    let passed = false;
    for (let round = 1; round <= 6 && !passed; round++)
      passed = (
        (await api.post(`${path}/standins/single-splicer/check`, {})).body as { passed: boolean }
      ).passed;
    expect(passed).toBe(true);
  });

  it('refuses a splicer or a splice that is not there', async () => {
    expect((await api.post(`${path}/standins/none/check`, {})).status).toBe(422);
    expect((await press(uuid(), 0, { spliceIds: [uuid()] })).status).toBe(422);
  });
});

it('goes along with the project’s document, byte for byte', async () => {
  const own = { ...BUILT_IN_INSTRUMENTS[0]!, id: uuid(), name: 'Van 2' };
  await api.put(`/instruments/${own.id}`, own);
  const record = recordOf(1, { splicerId: own.id });
  await send(record, recordOf(2));
  await post(takenBy(0, record));
  const read = async (id: string) =>
    (await api.get(`/projects/${id}/document.json`)).body as ProjectDocument;
  const first = await read(document.project.id);
  expect(first.instruments).toEqual([own]);
  expect(first.splicerRecords).toHaveLength(2);
  expect((first.evidence[0] as Evidence & { recordId: string }).recordId).toBe(record.id);
  const copy = renamed(first);
  expect((await api.post('/documents', copy)).status).toBe(200);
  expect(await read(copy.project.id)).toEqual(copy);
});
