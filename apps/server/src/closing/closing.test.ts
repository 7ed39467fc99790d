import { enteringCable } from '@cordel/core';
import type { ClosingEntry, ClosureRecord } from '@cordel/core/close';
import { closureRecord, sealRecord, shortCode } from '@cordel/core/close';
import { DOCUMENT_VERSION, type ProjectDocument } from '@cordel/core/document';
import { sql } from 'drizzle-orm';
import { v7 as uuid } from 'uuid';
import { rowsOf } from '../db/client.ts';
import { type TestApi, renamed, startApi } from '../testing/api.ts';
import { attemptOn, readingOn, smallDocument } from '../testing/small.ts';

interface Closing {
  entries: ClosingEntry[];
  photos: { id: string; digest: string }[];
  digest: string;
  signed: { digest: string; whole: boolean; changes: string[] }[];
}

let api: TestApi;
let document: ProjectDocument;
let closureId: string;
beforeAll(async () => {
  api = await startApi();
});
afterAll(() => api.close());

/** A small project with its first closure described, spliced and measured. */
beforeEach(async () => {
  document = renamed(smallDocument());
  closureId = document.closures[0]!.id;
  const own = document.splices.filter((splice) => splice.closureId === closureId);
  const cables = [...new Set(own.flatMap(({ cableA, cableB }) => [cableA, cableB]))];
  document.assemblies = [
    {
      closureId,
      hardwareId: 'dome',
      reach: 0,
      entries: cables.map((cableId) => ({ ...enteringCable(uuid(), cableId), diameter: 145 })),
    },
  ];
  document.evidence = own.flatMap((splice) => {
    const attempt = attemptOn(splice.id, 20);
    return [
      attempt,
      ...[1310, 1550].flatMap((nm) => [
        readingOn(attempt, 'AB', nm, 40),
        readingOn(attempt, 'BA', nm, 20),
      ]),
    ];
  });
  expect(await api.post('/documents', document)).toMatchObject({ status: 200 });
});

const closing = async () => (await api.get(`/closures/${closureId}/closing`)).body as Closing;
const post = (...entries: object[]) => api.post(`/closures/${closureId}/closing`, { entries });
const entry = (kind: string, part: object) => ({
  kind,
  id: uuid(),
  closureId,
  by: 'M.',
  at: '2026-05-05T08:00:00.000Z',
  ...part,
});
const said = (point: string, verdict = 'good', why: string | null = null) =>
  entry('point', { point, verdict, why, slots: [], photos: [] });
const roundWith = (limitPa = 34_500) =>
  entry('round', { targetPa: 30_000, limitPa, unit: 'psi', stepPa: 70, airPa: 101_325 });
/** Ports and seams of the dome. */
const PLACES = [
  'Oval',
  ...[1, 2, 3, 4].map((port) => `Round ${port}`),
  'Drop port',
  'Clamp ring',
  'Air valve',
];
const START = Date.parse('2026-05-05T08:00:00.000Z');
const minute = (count: number) => new Date(START + count * 60_000).toISOString();
const gaugeAt = (roundId: string, count: number, part: object = {}) => ({
  ...entry('gauge', {
    roundId,
    gaugePa: 30_000,
    temperature: 12,
    minute: null,
    origin: 'typed',
    ...part,
  }),
  at: minute(count),
});
/** Readings of a tight closure, a minute apart. */
const held = (roundId: string) => Array.from({ length: 11 }, (_, count) => gaugeAt(roundId, count));
const looked = (roundId: string, seen: string, places: string[]) => ({
  ...entry('bubbles', { roundId, places, seen }),
  at: minute(11),
});
const sign = (role: string, digest: string) =>
  entry('sign', { role, digest, strokes: [[0, 0, 9, 9]] });
const detailOf = (answer: { body: unknown }) => (answer.body as { detail: string }).detail;

const DOME = [
  'tray:1',
  'trays:stack',
  'tubes',
  'port:Oval',
  'port:Round 1',
  'port:Round 2',
  'port:Round 3',
  'port:Round 4',
  'port:Drop port',
  'faces',
  'gasket',
  'bolt:1',
  'bolt:4',
  'bolt:2',
  'bolt:5',
  'bolt:3',
  'bolt:6',
  'bolts:again',
  ...['domeIn', 'lipCaptured', 'latchClosed', 'collarTight'],
  ...['collarLocked', 'valveCap', 'mounted', 'slackStored', 'labelled'],
];

/** All that is needed before a name can be put under it. */
async function makeReady(): Promise<void> {
  const round = roundWith();
  const cables = document.assemblies[0]!.entries.map(({ id }) => `cable:${id}`);
  const answer = await post(
    ...[...DOME, ...cables].map((point) => said(point)),
    round,
    ...held(round.id),
    looked(round.id, 'none', PLACES),
    { ...entry('release', { roundId: round.id, before: 'leaving' }), at: minute(15) },
  );
  expect(answer.status).toBe(200);
}

describe('what was done at a closure', () => {
  it('is kept as it was, and the same sent twice is once', async () => {
    const good = said('tray:1');
    expect((await post(good)).status).toBe(200);
    expect((await post(good)).status).toBe(200);
    expect((await closing()).entries).toEqual([good]);
    expect((await post({ ...good, verdict: 'bad' })).status).toBe(409);
  });

  it('is append-only in the database itself', async () => {
    await post(said('tray:1'));
    for (const table of ['closing_entries', 'photos', 'signed_records'])
      for (const statement of [`delete from ${table}`, `truncate ${table}`])
        await expect(rowsOf(api.db, sql.raw(statement))).rejects.toThrow();
    await expect(rowsOf(api.db, sql`update closing_entries set kind = 'x'`)).rejects.toMatchObject({
      cause: { message: expect.stringMatching(/append-only/) as string },
    });
  });

  it('belongs to its closure', async () => {
    const answer = await post({ ...said('tray:1'), closureId: document.closures[1]!.id });
    expect(answer.status).toBe(422);
  });

  it('moves the stage that the Route shows', async () => {
    const stage = async () =>
      (
        (await api.get(`/projects/${document.project.id}/ledger/closures`)).body as {
          closures: { closureId: string; closing: string }[];
        }
      ).closures.find((row) => row.closureId === closureId)!.closing;
    expect(await stage()).toBe('to come');
    await post(said('tray:1'));
    expect(await stage()).toBe('under way');
  });
});

describe('a pressure test', () => {
  it('is refused above the limit of the closure, and taken at it', async () => {
    const answer = await post(roundWith(34_501));
    expect(answer.status).toBe(422);
    expect(detailOf(answer)).toMatch(/Dome, six ports is tested with 5\.00 psi at most: 5\.01 psi/);
    expect((await post(roundWith(34_500))).status).toBe(200);
  });

  it('has readings only where there is a round', async () => {
    const answer = await post(gaugeAt(uuid(), 1));
    expect(answer.status).toBe(422);
    expect((await closing()).entries).toEqual([]);
  });
});

describe('a moment that cannot be', () => {
  const visit = (at: string) => ({
    ...entry('visit', {
      purpose: 'build',
      why: null,
      crew: ['M.'],
      air: { temperature: null, humidity: null, pressure: null },
      sky: '',
      instruments: [],
    }),
    at,
  });
  const refused = async (odd: object, status: number, field: string, words: RegExp) => {
    const before = (await closing()).entries.length;
    const answer = await post(odd);
    expect(answer.status).toBe(status);
    expect(answer.body).toMatchObject({ errors: [{ place: `/entries/0/${field}` }] });
    expect(detailOf(answer)).toMatch(words);
    expect((await closing()).entries).toHaveLength(before);
  };

  it('before the visit, or before it was pressurized, is refused', async () => {
    const round = { ...roundWith(), at: minute(30) };
    expect((await post(visit(minute(20)), round)).status).toBe(200);
    await refused({ ...said('tray:1'), at: minute(10) }, 422, 'at', /before this visit began/);
    await refused(gaugeAt(round.id, 29), 422, 'at', /before it was pressurized/);
    expect((await post(gaugeAt(round.id, 31))).status).toBe(200);
  });

  it('after the release is refused; what was read before it and comes late is taken', async () => {
    const round = roundWith();
    const release = {
      ...entry('release', { roundId: round.id, before: 'leaving' }),
      at: minute(6),
    };
    await post(round, gaugeAt(round.id, 1), release);
    await refused(gaugeAt(round.id, 7), 409, 'roundId', /The pressure was released/);
    expect((await post(gaugeAt(round.id, 5))).status).toBe(200);
  });

  it('after a signature is refused until a new visit', async () => {
    await makeReady();
    const { digest } = await closing();
    await post({ ...sign('technician', digest), at: minute(20) });
    const late = { ...said('tray:1', 'bad'), at: minute(25) };
    await refused(late, 409, 'kind', /M\. signed this visit.*Open a new visit/);
    const again = { ...visit(minute(30)), purpose: 'mend', why: 'tray 1 is high' };
    expect((await post(again, { ...late, at: minute(31) })).status).toBe(200);
  });
});

describe('what was simulated', () => {
  const simulated = (roundId: string) => gaugeAt(roundId, 2, { minute: 2, origin: 'simulated' });
  const run = (roundId: string, id = uuid()) =>
    api.post(`/closures/${closureId}/simulated-gauge`, {
      id,
      roundId,
      condition: 'tight',
      by: 'M.',
    });

  it('is not recorded in a project for real work, and the simulated gauge does not run', async () => {
    const round = roundWith();
    await post(round);
    const answer = await post(simulated(round.id));
    expect(answer.status).toBe(422);
    expect(detailOf(answer)).toMatch(/simulated.*practice projects only/);
    const refused = await run(round.id);
    expect(refused.status).toBe(409);
    expect(detailOf(refused)).toMatch(/for real work: simulators work in practice projects only/);
    expect((await closing()).entries).toHaveLength(1);
  });

  it('is recorded in a practice project with its origin, signed with it, and the mark stays', async () => {
    const project = { ...document.project, practiceOnly: true };
    expect((await api.put(`/projects/${project.id}`, project)).status).toBe(200);
    const now = { ...roundWith(), at: new Date().toISOString() };
    await post(now);
    const id = uuid();
    expect((await run(now.id, id)).status).toBe(200);
    expect((await run(now.id, id)).status).toBe(200);
    expect((await run(now.id)).status).toBe(200);
    const readings = (await closing()).entries.filter((one) => one.kind === 'gauge');
    expect(readings).toHaveLength(12);
    expect(new Set(readings.map(({ origin }) => origin))).toEqual(new Set(['simulated']));
    expect(readings.at(-1)!.minute).toBe(6);
    const { text } = await api.get(`/closures/${closureId}/record.json`);
    expect(text).toContain('"origin":"simulated"');
    expect(text).toContain('"practiceOnly":true');
    const back = await api.put(`/projects/${project.id}`, { ...project, practiceOnly: false });
    expect(back.status).toBe(409);
    expect(detailOf(back)).toMatch(/it stays for practice only/);
  });

  it('a reading that a client calls the instrument’s is kept as typed: no gauge is connected', async () => {
    const round = roundWith();
    await post(round, gaugeAt(round.id, 1, { origin: 'instrument' }));
    expect((await closing()).entries.at(-1)).toMatchObject({ origin: 'typed' });
  });

  it('comes in by no document of a project for real work', async () => {
    const whole = renamed(smallDocument());
    whole.evidence = [{ ...attemptOn(whole.splices[0]!.id, 20), origin: 'simulated' }];
    const answer = await api.post('/documents', whole);
    expect(answer.status).toBe(422);
    expect(answer.body).toMatchObject({ errors: [{ place: '/evidence/0/origin' }] });
    whole.project.practiceOnly = true;
    expect((await api.post('/documents', whole)).status).toBe(200);
  });
});

describe('a cut-over of live fibers', () => {
  const cutOver = () =>
    entry('cut-over', {
      sleeves: [
        { fibers: [2], minutes: 5 },
        { fibers: [1], minutes: 5 },
      ],
      circuits: [{ name: 'clinic', fibers: [1], weight: 1 }],
      start: '2026-05-05T22:00:00.000Z',
    });
  const word = (cutOverId: string, circuit: string, state: string) =>
    entry('circuit', { cutOverId, circuit, state });

  it('is kept in its order, and says of its own circuits only what is so', async () => {
    const kept = cutOver();
    expect((await post(kept, word(kept.id, 'clinic', 'down'))).status).toBe(200);
    expect((await closing()).entries[0]).toEqual(kept);
    for (const [odd, place, detail] of [
      [word(uuid(), 'clinic', 'up'), 'cutOverId', /no such cut-over/],
      [word(kept.id, 'dairy', 'up'), 'circuit', /dairy is no circuit of this cut-over/],
      [word((await closing()).entries[1]!.id, 'clinic', 'up'), 'cutOverId', /no such cut-over/],
    ] as const) {
      const answer = await post(odd);
      expect(answer.status).toBe(422);
      expect(answer.body).toMatchObject({ errors: [{ place: `/entries/0/${place}` }] });
      expect(detailOf(answer)).toMatch(detail);
    }
    expect((await closing()).entries).toHaveLength(2);
  });

  it('is not signed over while a circuit is down', async () => {
    const kept = cutOver();
    await post(kept, word(kept.id, 'clinic', 'down'));
    await makeReady();
    const waiting = await post(sign('technician', (await closing()).digest));
    expect(waiting.status).toBe(409);
    expect(detailOf(waiting)).toMatch(/Down since the cut-over: clinic\./);
    await post(word(kept.id, 'clinic', 'up'));
    expect((await post(sign('technician', (await closing()).digest))).status).toBe(200);
  });

  it('that removes a splice changes what was signed, and says which', async () => {
    await makeReady();
    const { digest } = await closing();
    await post(sign('technician', digest), sign('lead', digest));
    const first = document.splices.find((splice) => splice.closureId === closureId)!;
    await api.record([
      {
        type: 'ruling',
        id: uuid(),
        spliceId: first.id,
        by: 'M.',
        at: '2026-05-06T20:00:00.000Z',
        tryId: null,
        kind: 'retire',
        why: 'Cut-over.',
      },
    ]);
    const after = await closing();
    expect(after.digest).not.toBe(digest);
    expect(after.signed).toMatchObject([{ digest, whole: true }]);
    expect(after.signed[0]!.changes).toContainEqual({
      code: 'removed',
      splices: { pairs: [{ cableA: 'A', fiberA: 1, cableB: 'B', fiberB: 1 }], most: 8 },
    });
    // What was signed is still what it was.
    expect((await post(sign('lead', digest))).status).toBe(409);
  });
});

describe('signing', () => {
  it('waits until nothing is open', async () => {
    const answer = await post(sign('technician', (await closing()).digest));
    expect(answer.status).toBe(409);
    expect(detailOf(answer)).toMatch(/not checked\. The pressure test is not passed/);
  });

  it('freezes what is signed by the digest that the phone worked out too', async () => {
    await makeReady();
    // As a page sends it: the words that were read when it was ticked are part of what is signed.
    const read = { code: 'facesClean', parameters: {}, text: 'Both sealing faces clean and dry' };
    expect((await post({ ...said('faces'), read })).status).toBe(200);
    const { digest, entries, photos } = await closing();
    // As the phone does from what it holds.
    const record = closureRecord({
      project: document.project,
      closure: document.closures[0]!,
      hardware: ((await api.get(`/projects/${document.project.id}`)).body as { hardware: never[] })
        .hardware,
      assembly: document.assemblies[0]!,
      plan: null,
      cables: document.cables,
      splices: document.splices.filter((splice) => splice.closureId === closureId),
      retired: [],
      evidence: document.evidence,
      entries,
      photos,
    });
    expect(sealRecord(record).digest).toBe(digest);
    expect((await post({ ...sign('technician', digest), read: [read] })).status).toBe(200);
    expect((await closing()).digest).toBe(digest);
    expect((await post(sign('lead', digest))).status).toBe(200);
    expect((await closing()).signed).toEqual([{ digest, whole: true, changes: [] }]);
    const now = (await api.get(`/closures/${closureId}/record.json`)).body as ClosureRecord;
    expect(sealRecord(now).digest).toBe(digest);
    expect(now.closing).toContainEqual(expect.objectContaining({ point: 'faces', read }));
    expect((await closing()).entries).toContainEqual(
      expect.objectContaining({ kind: 'sign', role: 'technician', read: [read] }),
    );
  });

  it('stands once for each of two who sign at once, and for what is sent twice', async () => {
    await makeReady();
    const { digest } = await closing();
    const [technician, lead] = [sign('technician', digest), sign('lead', digest)];
    const answers = await Promise.all([technician, lead, technician, lead].map((one) => post(one)));
    expect(answers.map(({ status }) => status)).toEqual([200, 200, 200, 200]);
    const now = await closing();
    const names = now.entries.filter(({ kind }) => kind === 'sign').map(({ id }) => id);
    expect(names.sort()).toEqual([technician.id, lead.id].sort());
    expect(now.signed).toEqual([{ digest, whole: true, changes: [] }]);
  });

  it('is refused where the closure changed meanwhile, with what changed', async () => {
    await makeReady();
    const { digest } = await closing();
    expect((await post(sign('technician', digest))).status).toBe(200);
    const splice = document.splices[0]!;
    await api.record([{ ...attemptOn(splice.id, 10), at: '2026-05-05T07:00:00.000Z' }]);
    const answer = await post(sign('lead', digest));
    expect(answer.status).toBe(409);
    expect(detailOf(answer)).toMatch(/changed meanwhile: check it again, then sign/);
    expect(detailOf(answer)).toMatch(/Spliced or corrected \(1 entry\): A 1 to B 1/);
    const { signed, entries } = await closing();
    expect(signed[0]!.changes[0]).toMatchObject({ code: 'spliced', entries: 1 });
    expect(entries.filter(({ kind }) => kind === 'sign')).toHaveLength(1);
  });

  it('shows what changed since, once the closure is opened again', async () => {
    await makeReady();
    const { digest } = await closing();
    await post(sign('technician', digest), sign('lead', digest));
    await post(
      entry('visit', {
        purpose: 'new drop',
        why: 'barn on the hill',
        crew: ['M.'],
        air: { temperature: null, humidity: null, pressure: null },
        sky: '',
        instruments: [],
      }),
    );
    const { signed } = await closing();
    expect(signed[0]!.changes).toContainEqual({
      code: 'openedAgainFor',
      by: 'M.',
      why: 'barn on the hill',
    });
    // The signatures of before stand in the record now.
    expect(signed[0]!.changes).toContainEqual({ code: 'closingEntries', entries: 2 });
  });
});

describe('photos', () => {
  const jpeg = Buffer.from([0xff, 0xd8, 0xff, 0xe0, 1, 2, 3, 0xff, 0xd9]).toString('base64');
  const photo = (bytes: string) => ({
    id: uuid(),
    closureId,
    by: 'M.',
    at: '2026-05-05T08:00:00.000Z',
    width: 800,
    height: 600,
    bytes,
  });

  it('are kept byte for byte, and belong to what is signed', async () => {
    const before = (await closing()).digest;
    const one = photo(jpeg);
    expect((await api.post('/photos', one)).status).toBe(200);
    expect((await api.post('/photos', one)).status).toBe(200);
    const bytes = Buffer.from(await api.raw(`/photos/${one.id}`));
    expect(bytes.toString('base64')).toBe(jpeg);
    const { photos, digest } = await closing();
    expect(photos).toHaveLength(1);
    expect(digest).not.toBe(before);
  });

  it.each([
    ['text', Buffer.from('no picture').toString('base64')],
    ['half a picture', Buffer.from([0xff, 0xd8, 0xff]).toString('base64')],
    ['no base 64', '***'],
    ['a picture too large', Buffer.alloc(800_000, 1).toString('base64')],
  ])('refuse %s', async (_, bytes) => {
    expect((await api.post('/photos', photo(bytes))).status).toBe(422);
    expect((await closing()).photos).toEqual([]);
  });
});

describe('a label’s code', () => {
  it('leads to its closure', async () => {
    const answer = await api.get(`/codes/${shortCode(closureId).toLowerCase()}`);
    expect(answer.body).toMatchObject({
      closures: [{ closureId, name: document.closures[0]!.name }],
    });
  });

  it('that is mistyped or unknown says so', async () => {
    const code = shortCode(closureId);
    const slip = code.endsWith('0') ? code.replace(/.$/, '1') : code.replace(/.$/, '0');
    expect((await api.get(`/codes/${slip}`)).body).toMatchObject({
      status: 422,
      code: 'checkFails',
      errors: [{ place: '/code', code: 'checkFails' }],
    });
    expect((await api.get(`/codes/${shortCode(uuid())}`)).status).toBe(404);
  });
});

describe('a document', () => {
  it('carries closing, photos and signatures there and back', async () => {
    await makeReady();
    const { digest } = await closing();
    await post(sign('technician', digest), sign('lead', digest));
    const text = (await api.get(`/projects/${document.project.id}/document.json`)).text;
    const other = await startApi();
    expect((await other.post('/documents', text)).status).toBe(200);
    const back = await other.get(`/projects/${document.project.id}/document.json`);
    expect(back.text).toBe(text);
    expect(((await other.get(`/closures/${closureId}/closing`)).body as Closing).digest).toBe(
      digest,
    );
    await other.close();
  });

  it('is refused where a signed record was changed', async () => {
    await makeReady();
    await post(sign('technician', (await closing()).digest));
    const whole = (await api.get(`/projects/${document.project.id}/document.json`))
      .body as ProjectDocument;
    whole.signed[0]!.content = whole.signed[0]!.content.replace('"tray":1', '"tray":2');
    const other = await startApi();
    const answer = await other.post('/documents', whole);
    expect(answer.status).toBe(422);
    expect(detailOf(answer)).toMatch(/changed after it was signed/);
    expect((await other.get('/projects')).body).toEqual([]);
    await other.close();
  });

  it('of a newer version says so', async () => {
    const answer = await api.post('/documents', {
      ...document,
      version: DOCUMENT_VERSION + 1,
    });
    expect(answer.status).toBe(422);
    expect(detailOf(answer)).toContain(
      `newer than this Cordel, which reads up to version ${DOCUMENT_VERSION}`,
    );
  });
});
