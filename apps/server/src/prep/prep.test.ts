import {
  type Assembly,
  type AssemblyChange,
  BUILT_IN_HARDWARE,
  type CableEntry,
  type Hardware,
} from '@cordel/core';
import type { ProjectDocument } from '@cordel/core/document';
import { v7 as uuid } from 'uuid';
import { type TestApi, startApi } from '../testing/api.ts';
import { smallDocument } from '../testing/small.ts';

let api: TestApi;
let document: ProjectDocument;
let closureId: string;
let entry: CableEntry;
beforeAll(async () => {
  api = await startApi();
});
afterAll(() => api.close());
beforeEach(async () => {
  document = smallDocument();
  await api.post('/documents', document);
  closureId = document.closures[0]!.id;
  entry = {
    id: uuid(),
    cableId: document.cables[0]!.id,
    kind: 'end',
    diameter: 145,
    port: null,
    portOut: null,
    loop: 0,
    tubes: [],
    armoured: false,
    tracer: false,
    route: 0,
    inside: 0,
    conduit: 0,
    done: [],
  };
});

const change = (body: AssemblyChange) => api.post(`/assemblies/${closureId}/changes`, body);
const describeIt = async (hardwareId = 'dome') => {
  await change({ kind: 'hardware', hardwareId });
  await change({ kind: 'reach', reach: 30_000 });
  await change({ kind: 'add', entry });
};
const setting = async () => {
  const { cursor: _place, ...rest } = (await api.get(`/projects/${document.project.id}`)).body as {
    assemblies: Assembly[];
    hardware: Hardware[];
    cursor: string;
  };
  return rest;
};

const AT = '2026-05-04T20:15:00.000Z';

/** Ticks a step of the cable. */
const tick = (step: string, override: string | null = null, answers: Record<string, string> = {}) =>
  change({
    kind: 'tick',
    entryId: entry.id,
    step,
    done: true,
    by: 'A. Reed',
    at: AT,
    answers,
    photos: [],
    override,
  });

it('keeps what meets in a closure, and the same change again changes nothing', async () => {
  await describeIt();
  const { assemblies } = await setting();
  expect(assemblies).toEqual([{ closureId, hardwareId: 'dome', reach: 30_000, entries: [entry] }]);
  expect((await change({ kind: 'add', entry })).status).toBe(200);
  expect((await setting()).assemblies).toEqual(assemblies);
});

it('loses no tick of two people who work at once', async () => {
  await describeIt();
  const steps = ['right', 'diameter', 'seal', 'mark', 'ring', 'sheath', 'strength', 'score'];
  const why = 'Both list what was done without it.';
  await Promise.all(steps.map((step) => tick(step, why, { detector: 'dark' })));
  const [{ entries }] = (await setting()).assemblies as [Assembly];
  const { done } = entries[0]!;
  expect(done.map(({ step }) => step).sort()).toEqual([...steps].sort());
  expect(new Set(done.map(({ by, at, answers }) => `${by} ${at} ${answers.detector}`))).toEqual(
    new Set([`A. Reed ${AT} dark`]),
  );
});

// Common practice, no source: nothing is cut before the cable is known and its metal is safe.
it('takes no cut before the steps that people and live fibers depend on, unless a reason is given', async () => {
  await describeIt();
  await change({ kind: 'enter', entryId: entry.id, part: { armoured: true } });
  const early = await tick('ring');
  expect(early).toMatchObject({ status: 422, body: { errors: [{ place: '/step' }] } });
  const done = async () => (await setting()).assemblies[0]!.entries[0]!.done;
  expect(await done()).toEqual([]);
  expect((await tick('ring', 'The owner stood by.')).status).toBe(200);
  expect((await tick('sheath')).status).toBe(422);
  for (const guard of ['right', 'voltage']) expect((await tick(guard)).status).toBe(200);
  expect((await tick('sheath')).status).toBe(200);
});

it('says which part names what is not there, and changes nothing', async () => {
  await describeIt();
  const before = await setting();
  const places = async (body: AssemblyChange) =>
    ((await change(body)).body as { errors: { place: string }[] }).errors[0]!.place;
  expect(await places({ kind: 'hardware', hardwareId: 'none' })).toBe('/hardwareId');
  const stranger = { ...entry, id: uuid(), cableId: uuid() };
  expect(await places({ kind: 'add', entry: stranger })).toBe('/entry/cableId');
  expect(await places({ kind: 'enter', entryId: entry.id, part: { diameter: 5 } })).toBe(
    '/part/diameter',
  );
  expect(await setting()).toEqual(before);
});

it('puts no more cables into a port than it has holes', async () => {
  await describeIt();
  await change({ kind: 'enter', entryId: entry.id, part: { port: 'Oval' } });
  await change({ kind: 'add', entry: { ...entry, id: uuid(), port: 'Oval' } });
  const answer = await change({ kind: 'add', entry: { ...entry, id: uuid(), port: 'Oval' } });
  expect(answer.body).toMatchObject({ detail: 'Oval has 2 holes; 3 cables are put there.' });
});

it('gives each leg of an express cable a hole of its own', async () => {
  await describeIt();
  const enter = (part: Partial<typeof entry>) =>
    change({ kind: 'enter', entryId: entry.id, part: { kind: 'express', ...part } });
  expect((await enter({ port: 'Oval', portOut: 'Oval' })).status).toBe(200);
  expect((await enter({ port: 'Round 1', portOut: 'Round 1' })).body).toMatchObject({
    detail: 'Round 1 has one hole: the other leg of an express cable leaves by a port of its own.',
    errors: [{ place: '/part/portOut' }],
  });
  // A change of one thing leaves the port of the other leg as it was chosen.
  await change({ kind: 'enter', entryId: entry.id, part: { loop: 50_000 } });
  const [{ entries }] = (await setting()).assemblies as [Assembly];
  expect(entries[0]).toMatchObject({ port: 'Oval', portOut: 'Oval', loop: 50_000 });
  await change({ kind: 'add', entry: { ...entry, id: uuid() } });
  const third = await change({ kind: 'add', entry: { ...entry, id: uuid(), port: 'Oval' } });
  expect(third.body).toMatchObject({ detail: 'Oval has 2 holes; 3 cables are put there.' });
});

it('takes hardware of one’s own, and never changes what ships', async () => {
  const own: Hardware = { ...BUILT_IN_HARDWARE[0]!, id: uuid(), name: 'Yard dome' };
  expect((await api.put(`/hardware/${own.id}`, own)).status).toBe(200);
  expect((await setting()).hardware.map(({ name }) => name)).toContain('Yard dome');
  expect((await api.put('/hardware/dome', BUILT_IN_HARDWARE[0])).status).toBe(409);
});

it('goes along with the project’s document', async () => {
  const own: Hardware = { ...BUILT_IN_HARDWARE[0]!, id: uuid(), name: 'Yard dome' };
  await api.put(`/hardware/${own.id}`, own);
  await describeIt(own.id);
  const read = (await api.get(`/projects/${document.project.id}/document.json`))
    .body as ProjectDocument;
  expect(read.hardware).toEqual([own]);
  expect(read.assemblies).toMatchObject([{ closureId, hardwareId: own.id, entries: [entry] }]);
});
