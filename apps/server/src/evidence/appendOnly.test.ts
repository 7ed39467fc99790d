import type { ProjectDocument } from '@cordel/core/document';
import { v7 as uuid } from 'uuid';
import { type TestApi, startApi } from '../testing/api.ts';
import { smallDocument, splicerRecordOf, withOuterEnd } from '../testing/small.ts';

let api: TestApi;
let document: ProjectDocument;
beforeAll(async () => {
  api = await startApi();
  document = withOuterEnd(smallDocument({ practiceOnly: true }));
  expect((await api.post('/documents', document)).status).toBe(200);
});
afterAll(() => api.close());

const signed = () => ({ id: uuid(), by: 'M.', at: '2026-05-04T20:15:00.000Z' });
const projectPath = () => `/projects/${document.project.id}`;

const splicerRecord = (number: number) => splicerRecordOf(document, number);

/** A record of the splicer that is on the server, for what names one. */
async function sentRecord(number: number): Promise<string> {
  const record = splicerRecord(number);
  await api.post(`${projectPath()}/splicer-records`, { records: [record] });
  return record.id;
}

/** A trace that is on the server, for what names one. */
async function sentTrace(): Promise<string> {
  const shot = await api.post(`${projectPath()}/standin/otdr`, {
    cableId: document.cables[0]!.id,
    fiber: 1,
    direction: 'AB',
    wavelengthNm: 1550,
    pulseNs: 30,
    averages: 4096,
  });
  const { name, bytes } = shot.body as { name: string; bytes: string };
  const id = uuid();
  const answer = await api.post(`${projectPath()}/traces`, { id, name, bytes, place: null });
  return (answer.body as { id: string }).id;
}

interface Table {
  /** Where its entries are sent to, in the body under this name. */
  send(entries: object[]): ReturnType<TestApi['post']>;
  /** How many of it are on the server. */
  count(): Promise<number>;
  /** An entry, and the same one with something else in it. */
  entry(): Promise<[entry: object, changed: object]>;
}

const lengthAt = async (path: string, name?: string): Promise<number> => {
  const { body } = await api.get(path);
  return (name ? (body as Record<string, unknown[]>)[name]! : (body as unknown[])).length;
};

/** Each record of the splicer has a number of its own. */
let nextNumber = 7000;

const TABLES: Record<string, Table> = {
  'a record that was set aside': {
    send: (entries) => api.post(`${projectPath()}/set-aside`, { entries }),
    count: () => lengthAt(`${projectPath()}/bench`, 'setAside'),
    entry: async () => {
      const entry = { ...signed(), recordId: await sentRecord(Date.now() % 1e6), why: 'A trial.' };
      return [entry, { ...entry, why: 'Another reason.' }];
    },
  },
  'an entry of an instrument’s log': {
    send: (entries) => api.post(`${projectPath()}/instrument-log`, { entries }),
    count: () => lengthAt(`${projectPath()}/bench`, 'log'),
    entry: async () => {
      const own = { projectId: document.project.id, instrumentId: 'cleaver', what: 'turned' };
      const entry = { kind: 'blade', ...signed(), ...own };
      return [entry, { ...entry, what: 'replaced' }];
    },
  },
  'a splicer’s record': {
    send: (records) => api.post(`${projectPath()}/splicer-records`, { records }),
    count: () => lengthAt(`${projectPath()}/splicer-records`),
    entry: async () => {
      const record = splicerRecord(nextNumber++);
      return [record, { ...record, number: record.number + 500_000 }];
    },
  },
  'an entry of a closing': {
    send: (entries) => api.post(`/closures/${document.closures[0]!.id}/closing`, { entries }),
    count: () => lengthAt(`/closures/${document.closures[0]!.id}/closing`, 'entries'),
    entry: async () => {
      const own = { closureId: document.closures[0]!.id, done: 'Tray 1 is spliced.' };
      const entry = { kind: 'leave', ...signed(), ...own };
      return [entry, { ...entry, done: 'Tray 2 is spliced.' }];
    },
  },
};

describe.each(Object.entries(TABLES))('%s', (_, table) => {
  it('is kept once, however often it is sent, and never changed', async () => {
    const [entry, changed] = await table.entry();
    const before = await table.count();
    expect((await table.send([entry])).status).toBe(200);
    expect((await table.send([entry])).status).toBe(200);
    expect(await table.count()).toBe(before + 1);
    expect(await table.send([changed])).toMatchObject({
      status: 409,
      body: { code: 'entryChanged', parameters: { id: (entry as { id: string }).id } },
    });
  });

  it('is refused where one write has it twice, with something else in it', async () => {
    const [entry, changed] = await table.entry();
    const before = await table.count();
    expect((await table.send([entry, changed])).status).toBe(409);
    expect(await table.count()).toBe(before);
  });

  it('comes with others all or nothing', async () => {
    const [[entry, changed], [fresh]] = [await table.entry(), await table.entry()];
    await table.send([entry]);
    const before = await table.count();
    const refused = await table.send([fresh, changed]);
    expect(refused.status).toBe(409);
    expect((refused.body as { errors: { place: string }[] }).errors[0]!.place).toMatch(/\/1$/);
    expect(await table.count()).toBe(before);
  });
});

it('the place of a trace is kept once, and never changed', async () => {
  const place = {
    ...signed(),
    traceId: await sentTrace(),
    cableId: document.cables[0]!.id,
    fiber: 1,
    direction: 'AB',
    wavelengthNm: 1550,
    why: null,
  };
  const send = (entry: object) => api.post(`${projectPath()}/trace-places`, { entries: [entry] });
  expect((await send(place)).status).toBe(200);
  expect((await send(place)).status).toBe(200);
  expect(await send({ ...place, fiber: 2 })).toMatchObject({
    status: 409,
    body: { code: 'entryChanged' },
  });
});

it('a run of a splicer is the same run under another id, and whatever its file was read as', async () => {
  const record = splicerRecord(123_456);
  const send = (one: object) => api.post(`${projectPath()}/splicer-records`, { records: [one] });
  expect((await send(record)).body).toEqual({ fresh: 1 });
  expect((await send({ ...record, id: uuid() })).body).toEqual({ fresh: 0 });
  expect((await send({ ...record, arcs: 1 })).body).toEqual({ fresh: 0 });
});
