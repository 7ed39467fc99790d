import {
  type Assembly,
  BUILT_IN_HARDWARE,
  type Hardware,
  type ProjectDocument,
} from '@cordel/core';
import { v7 as uuid } from 'uuid';
import { type TestApi, startApi } from '../testing/api.ts';
import { smallDocument } from '../testing/small.ts';

let api: TestApi;
let document: ProjectDocument;
let assembly: Assembly;
beforeAll(async () => {
  api = await startApi();
});
afterAll(() => api.close());
beforeEach(async () => {
  document = smallDocument();
  await api.post('/documents', document);
  assembly = {
    closureId: document.closures[0]!.id,
    hardwareId: 'dome',
    reach: 30_000,
    entries: [
      {
        id: uuid(),
        cableId: document.cables[0]!.id,
        kind: 'end',
        diameter: 145,
        port: 'Oval',
        loop: 0,
        tubes: [],
        armoured: false,
        tracer: false,
        route: 0,
        inside: 0,
        done: ['right'],
      },
    ],
  };
});

const describeIt = (body: Assembly) => api.put(`/assemblies/${body.closureId}`, body);
const setting = async () =>
  (await api.get(`/projects/${document.project.id}`)).body as {
    assemblies: Assembly[];
    hardware: Hardware[];
  };

it('keeps what meets in a closure, and the same write again changes nothing', async () => {
  expect((await describeIt(assembly)).status).toBe(200);
  expect((await describeIt(assembly)).status).toBe(200);
  expect((await setting()).assemblies).toEqual([assembly]);
});

it('says which part names what is not there', async () => {
  const [entry] = assembly.entries;
  const places = async (body: Assembly) =>
    ((await describeIt(body)).body as { errors: { place: string }[] }).errors[0]!.place;
  expect(await places({ ...assembly, hardwareId: 'none' })).toBe('/hardwareId');
  expect(await places({ ...assembly, entries: [{ ...entry!, cableId: uuid() }] })).toBe(
    '/entries/0/cableId',
  );
  const crowd = [1, 2, 3].map(() => ({ ...entry!, id: uuid() }));
  const answer = await describeIt({ ...assembly, entries: crowd });
  expect(answer.body).toMatchObject({ detail: 'Oval has 2 holes; 3 cables are put there.' });
  expect(await places({ ...assembly, entries: [{ ...entry!, diameter: 5 }] })).toBe(
    '/entries/0/diameter',
  );
  expect((await setting()).assemblies).toEqual([]);
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
  await describeIt({ ...assembly, hardwareId: own.id });
  const read = (await api.get(`/projects/${document.project.id}/document.json`))
    .body as ProjectDocument;
  expect(read.hardware).toEqual([own]);
  expect(read.assemblies).toEqual([{ ...assembly, hardwareId: own.id }]);
});
