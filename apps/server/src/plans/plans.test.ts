import type { Plan, Splice } from '@cordel/core';
import type { ProjectDocument } from '@cordel/core/document';
import { v7 as uuid } from 'uuid';
import { type TestApi, startApi } from '../testing/api.ts';
import { attemptOn, smallDocument } from '../testing/small.ts';

let api: TestApi;
let document: ProjectDocument;
let closureId: string;
beforeAll(async () => {
  api = await startApi();
});
afterAll(() => api.close());
beforeEach(async () => {
  document = smallDocument();
  closureId = document.closures[0]!.id;
  await api.post('/documents', document);
});

const planOf = async () =>
  (await api.get(`/closures/${closureId}/plan`)).body as Plan & { worked: string[] };
const splicesOf = async () =>
  ((await api.get(`/closures/${closureId}/work`)).body as { splices: Splice[] }).splices;
const write = (text: string, over: object = {}) => ({
  closureId,
  text,
  pins: [],
  spare: 0,
  anew: false,
  changeId: uuid(),
  ...over,
});
const put = (body: object) => api.put(`/closures/${closureId}/plan`, body);
const twoTrays = () =>
  api.put(`/closures/${closureId}`, {
    ...document.closures[0]!,
    trays: [1, 2].map((number) => ({ number, single: 12, mass: 2 })),
  });

it('says the splices of an imported list in lines', async () => {
  expect((await planOf()).text).toBe('splice A tube 1 to B tube 1');
});

it('adds, moves and drops what the lines say, and the same write again changes nothing', async () => {
  await twoTrays();
  const body = write('splice A 1-10 to B 1-10\nsplice A tube 2 to B tube 2');
  expect((await put(body)).body).toMatchObject({ added: 12, moved: 0, dropped: 2, retired: 0 });
  const after = await splicesOf();
  expect(after).toHaveLength(22);
  // What was there keeps its tray; the new tube lies whole on the free one.
  expect(after.filter((splice) => splice.tray === 2).map((splice) => splice.fiberA)).toEqual(
    Array.from({ length: 12 }, (_, index) => 13 + index),
  );
  expect((await put(body)).body).toMatchObject({ added: 0, moved: 0, dropped: 0, retired: 0 });
  expect(await splicesOf()).toEqual(after);
  expect((await planOf()).text).toBe(body.text);
  const moved = await put({ ...body, anew: true, pins: [{ cable: 'A', unit: 1, tray: 2 }] });
  expect(moved.body).toMatchObject({ added: 0, moved: 22, dropped: 0, retired: 0 });
});

it('refuses wrong lines at their places and changes nothing', async () => {
  const before = await splicesOf();
  const answer = await put(
    write('splice A 1-12 to B 1-12\nsplice A 25 to B 13\nsplice A 3 to B 14'),
  );
  expect(answer.status).toBe(422);
  expect(answer.body).toMatchObject({
    errors: [
      { place: 'line 2, column 10', detail: expect.stringMatching(/A has fibers 1 to 24/) },
      { place: 'line 3, column 8', detail: expect.stringMatching(/A 3 is named in line 1/) },
    ],
  });
  expect(await splicesOf()).toEqual(before);
  expect((await planOf()).text).toBe('splice A tube 1 to B tube 1');
});

it('never drops a splice that has attempts', async () => {
  const [first] = await splicesOf();
  await api.post('/evidence', { entries: [attemptOn(first!.id, 20)] });
  expect((await planOf()).worked).toEqual([first!.id]);
  const answer = await put(write('splice A 2-12 to B 2-12'));
  expect(answer.status).toBe(409);
  expect(answer.body).toMatchObject({
    detail: 'A 1 to B 1 is spliced or ruled on: a plan drops it only where the splice is removed.',
    code: 'hasEvidence',
  });
  expect(await splicesOf()).toHaveLength(12);
  expect((await put(write('splice A 1-6 to B 1-6'))).body).toMatchObject({ dropped: 6 });
});

it('says how many trays are missing', async () => {
  const answer = await put(write('splice A tubes 1-2 to B tubes 1-2'));
  expect(answer.status).toBe(409);
  expect(answer.body).toMatchObject({
    detail: '12 single-fiber sleeves found no room: add 1 tray.',
  });
});

it('is part of the project’s document', async () => {
  await put(write('splice A 1-6 to B 1-6 # the lower half'));
  const read = (await api.get(`/projects/${document.project.id}/document.json`))
    .body as ProjectDocument;
  expect(read.plans).toEqual([
    { closureId, text: 'splice A 1-6 to B 1-6 # the lower half', pins: [], spare: 0 },
  ]);
});

describe('circuits', () => {
  const circuits = (path: string) => api.get(`/projects/${document.project.id}/circuits${path}`);

  it('follow a fiber from the middle to both ends, with lengths between closures', async () => {
    const [a, b, c] = document.cables.map((cable) => cable.id) as [string, string, string];
    const answer = await circuits(`/${b}/3`);
    // Mill at 1 km, Ford at 2 km: 1 km of B lies between their splices.
    expect(answer.body).toMatchObject({
      circuits: [
        {
          circle: false,
          legs: [
            { cableId: a, fiber: 3, length: null, splice: { closureId } },
            { cableId: b, fiber: 3, length: 10_000_000 },
            { cableId: c, fiber: 3, length: null, splice: null },
          ],
        },
      ],
    });
    expect((await circuits(`/${c}/5`)).status).toBe(404);
  });

  it('name what is unassigned, until a plan says that it is meant', async () => {
    const ford = document.closures[1]!.id;
    const before = (await circuits('')).body as { problems: object[] };
    expect(before.problems).toMatchObject([
      { kind: 'ends', closure: ford, message: { code: 'unassigned', cable: 'B', runs: '5-12' } },
    ]);
    const text = 'splice B 1-4 to C all\nreserve B 5-12';
    await api.put(`/closures/${ford}/plan`, { ...write(text), closureId: ford });
    expect((await circuits('')).body).toEqual({ problems: [] });
  });

  it('find a ribbon laid the other way round, unless its plan says so', async () => {
    const flips = async () =>
      ((await circuits('')).body as { problems: { kind: string }[] }).problems.filter(
        ({ kind }) => kind === 'flip',
      );
    await put(write('splice A tube 1 to B tube 1 mass reversed'));
    expect((await splicesOf())[0]).toMatchObject({ fiberA: 1, fiberB: 12, method: 'mass' });
    expect(await flips()).toEqual([]);
    // The same splices said one by one: nobody says that it is meant.
    const onto = Array.from(
      { length: 12 },
      (_, index) => `splice A ${index + 1} to B ${12 - index} `,
    );
    await put(write(onto.join('\n')));
    expect(await flips()).toMatchObject([{ closure: closureId }]);
  });
});

describe('a cable that is renamed', () => {
  const rename = (name: string) =>
    api.put(`/cables/${document.cables[0]!.id}`, { ...document.cables[0]!, name });

  it('is renamed in plans and pins in the same write, and nothing is proposed to be dropped', async () => {
    await put(
      write('splice A tube 1 to B tube 1 # A', { pins: [{ cable: 'A', unit: 1, tray: 1 }] }),
    );
    const before = await splicesOf();
    expect((await rename('West trunk')).status).toBe(200);
    const plan = await planOf();
    expect(plan.text).toBe('splice "West trunk" tube 1 to B tube 1 # A');
    expect(plan.pins).toEqual([{ cable: 'West trunk', unit: 1, tray: 1 }]);
    const again = await put(write(plan.text, { pins: plan.pins }));
    expect(again.body).toMatchObject({ added: 0, moved: 0, dropped: 0, retired: 0 });
    expect(await splicesOf()).toEqual(before);
  });

  it('to a name that is taken is refused in words, and its plans stay', async () => {
    await put(write('splice A tube 1 to B tube 1'));
    const answer = await rename('B');
    expect(answer.status).toBe(409);
    expect((answer.body as { detail: string }).detail).toMatch(/has a cable of that name already/);
    expect((await planOf()).text).toBe('splice A tube 1 to B tube 1');
  });
});

it('a list that is imported into a planned closure changes its plan, which drops nothing of it', async () => {
  await twoTrays();
  await put(write('splice A tube 1 to B tube 1'));
  const answer = await api.post(`/projects/${document.project.id}/splice-list`, {
    importId: uuid(),
    text: 'closure,tray,slot,cable A,fiber A,cable B,fiber B,method\r\nMill,2,1,A,13-16,B,13-16,single',
    match: { closure: 0, tray: 1, slot: 2, cableA: 3, fiberA: 4, cableB: 5, fiberB: 6, method: 7 },
    cables: [],
  });
  expect(answer.status).toBe(200);
  const plan = await planOf();
  expect(plan.text).toBe('splice A tube 1 to B tube 1\nsplice A 13-16 to B 13-16');
  expect((await put(write(plan.text))).body).toMatchObject({
    added: 0,
    moved: 0,
    dropped: 0,
    retired: 0,
  });
});

it('splices both legs of an express cable, each fiber of each once', async () => {
  await twoTrays();
  // The same fibers of A, on the side where it comes in and where it leaves.
  const text = 'splice A.in tube 1 to B tube 1\nsplice A.out tube 1 to B tube 2';
  expect((await put(write(text))).body).toMatchObject({ added: 24, dropped: 12 });
  const after = await splicesOf();
  expect(after.filter(({ fiberA }) => fiberA === 1).map(({ legA, legB }) => [legA, legB])).toEqual([
    ['in', null],
    ['out', null],
  ]);
  expect((await planOf()).text).toBe(text);
  // A third splice of one of them is refused at its line.
  const third = await put(write(`${text}\nsplice A.out 1 to B 1`));
  expect(third.body).toMatchObject({ errors: [{ place: 'line 3, column 8' }, {}] });
});
