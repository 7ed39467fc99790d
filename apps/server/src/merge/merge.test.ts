import type { ProjectDocument } from '@cordel/core/document';
import { BUILT_IN_INSTRUMENTS, type ColourScheme, type Hardware } from '@cordel/core';
import fc from 'fast-check';
import { v7 as uuid } from 'uuid';
import { type TestApi, startApi } from '../testing/api.ts';
import { smallDocument } from '../testing/small.ts';
import { mergeLines } from './lines.ts';
import { mergeRecords } from './records.ts';

describe('a record that two people change', () => {
  const base = { name: 'Mill', trays: [1, 2], distance: 30 };

  it('has what each of them changed', () => {
    const theirs = { ...base, name: 'Tannery' };
    const mine = { ...base, trays: [1, 2, 3] };
    expect(mergeRecords(base, theirs, mine)).toEqual({
      merged: { name: 'Tannery', trays: [1, 2, 3], distance: 30 },
      conflicts: [],
    });
  });

  it('is told with both versions where they change the same, and is the same where they agree', () => {
    const theirs = { ...base, name: 'Tannery', distance: 31 };
    const mine = { ...base, name: 'Forge', distance: 31 };
    expect(mergeRecords(base, theirs, mine).conflicts).toEqual([
      { field: 'name', theirs: 'Tannery', mine: 'Forge' },
    ]);
  });

  it('has fields that only one of them put in or took out', () => {
    const read: { name: string; note?: string; model?: string } = { name: 'Mill', note: 'old' };
    const theirs = { ...read, model: 'M1' };
    expect(mergeRecords(read, theirs, { name: 'Forge' })).toEqual({
      merged: { name: 'Forge', model: 'M1' },
      conflicts: [],
    });
    expect(mergeRecords(read, { name: 'Mill' }, read).merged).toEqual({ name: 'Mill' });
    expect(mergeRecords(read, { name: 'Mill' }, { ...read, note: 'new' }).conflicts).toEqual([
      { field: 'note', theirs: undefined, mine: 'new' },
    ]);
  });

  it('is mine where nobody else changed it, and theirs where I did not', () => {
    const record = fc.record({ a: fc.integer(), b: fc.string(), c: fc.array(fc.nat(3)) });
    fc.assert(
      fc.property(record, record, (one, other) => {
        expect(mergeRecords(one, one, other)).toEqual({ merged: other, conflicts: [] });
        expect(mergeRecords(one, other, one)).toEqual({ merged: other, conflicts: [] });
        // Sent again it changes nothing.
        expect(mergeRecords(one, other, other)).toEqual({ merged: other, conflicts: [] });
      }),
    );
  });
});

describe('lines that two people write', () => {
  const base = 'A 1-12 = B 1-12\n# tray two\nA 13-24 = B 13-24';

  it('are all there where they are apart', () => {
    const theirs = `${base}\nC 1-4 = D 1-4`;
    const mine = `# checked\n${base}`;
    expect(mergeLines(base, theirs, mine)).toEqual({
      merged: `# checked\n${base}\nC 1-4 = D 1-4`,
      conflicts: [],
    });
  });

  it('are told with both versions where they are the same', () => {
    const theirs = base.replace('A 13-24 = B 13-24', 'A 13-24 = C 1-12');
    const mine = base.replace('A 13-24 = B 13-24', 'A 13-20 = B 13-20');
    expect(mergeLines(base, theirs, mine).conflicts).toEqual([
      { field: 'line 3', theirs: 'A 13-24 = C 1-12', mine: 'A 13-20 = B 13-20' },
    ]);
  });

  it('are those of the one who changed any', () => {
    const text = fc.array(fc.constantFrom('a', 'b', 'c', '')).map((lines) => lines.join('\n'));
    fc.assert(
      fc.property(text, text, (one, other) => {
        expect(mergeLines(one, one, other)).toEqual({ merged: other, conflicts: [] });
        expect(mergeLines(one, other, one)).toEqual({ merged: other, conflicts: [] });
        expect(mergeLines(one, other, other)).toEqual({ merged: other, conflicts: [] });
      }),
    );
  });
});

describe('a record that was changed since it was read', () => {
  let api: TestApi;
  let document: ProjectDocument;
  beforeAll(async () => {
    api = await startApi();
  });
  afterAll(() => api.close());
  beforeEach(async () => {
    document = smallDocument();
    expect((await api.post('/documents', document)).status).toBe(200);
  });
  const read = async () =>
    (await api.get(`/projects/${document.project.id}`)).body as Pick<
      ProjectDocument,
      'project' | 'closures' | 'cables'
    >;

  it('keeps what others changed: a closure, a cable, a project', async () => {
    const [closure] = document.closures;
    const [cable] = document.cables;
    const paths = {
      closure: `/closures/${closure!.id}`,
      cable: `/cables/${cable!.id}`,
      project: `/projects/${document.project.id}`,
    };
    const saved = [
      await api.put(paths.closure, { ...closure!, name: 'Weir', base: closure }),
      await api.put(paths.closure, { ...closure!, distance: 77, base: closure }),
      await api.put(paths.cable, { ...cable!, name: 'North', base: cable }),
      await api.put(paths.cable, {
        ...cable!,
        glass: { ...cable!.glass, mfd: 920 },
        base: cable,
      }),
      await api.put(paths.project, { ...document.project, name: 'Hill', base: document.project }),
      await api.put(paths.project, {
        ...document.project,
        trayCapacity: { single: 24, mass: 4 },
        base: document.project,
      }),
    ];
    expect(saved.map(({ status }) => status)).toEqual(saved.map(() => 200));
    const now = await read();
    expect(now.closures).toContainEqual({ ...closure!, name: 'Weir', distance: 77 });
    expect(now.cables.find(({ id }) => id === cable!.id)).toMatchObject({
      name: 'North',
      glass: { mfd: 920 },
    });
    expect(now.project).toMatchObject({ name: 'Hill', trayCapacity: { single: 24, mass: 4 } });
  });

  it('is refused with both versions where both changed the same, and saved once that was read', async () => {
    const [closure] = document.closures;
    const path = `/closures/${closure!.id}`;
    const theirs = { ...closure!, name: 'Tannery' };
    const mine = { ...closure!, name: 'Forge' };
    expect((await api.put(path, { ...theirs, base: closure })).status).toBe(200);
    const refused = await api.put(path, { ...mine, base: closure });
    expect(refused.status).toBe(412);
    expect(refused.body).toMatchObject({
      errors: [{ place: '/name', detail: 'name: theirs is “Tannery”, yours is “Forge”' }],
    });
    expect((await read()).closures).toContainEqual(theirs);
    expect((await api.put(path, { ...mine, base: theirs })).status).toBe(200);
    // The same write sent again, for its answer was lost, changes nothing.
    expect((await api.put(path, { ...mine, base: theirs })).status).toBe(200);
    expect((await read()).closures).toContainEqual(mine);
  });

  it('keeps what others changed of a record for all projects', async () => {
    const [hardware] = (await api.get('/hardware')).body as Hardware[];
    const [scheme] = (await api.get('/schemes')).body as ColourScheme[];
    const [splicer] = BUILT_IN_INSTRUMENTS;
    const own = [
      ['/hardware', { ...hardware!, id: uuid() }, { testMinutes: 17 }],
      ['/schemes', { ...scheme!, id: `own-${uuid()}` }, { source: 'Company sheet 4' }],
      ['/instruments', { ...splicer!, id: uuid() }, { source: 'Company sheet 5' }],
    ] as const;
    for (const [path, record, more] of own) {
      const put = (body: object) => api.put(`${path}/${record.id}`, body);
      expect((await put(record)).status).toBe(200);
      // Two who read it at the same time: each changes something else.
      expect((await put({ ...record, name: 'Theirs', base: record })).status).toBe(200);
      expect((await put({ ...record, ...more, base: record })).status).toBe(200);
      const refused = await put({ ...record, name: 'Mine', base: record });
      expect(refused).toMatchObject({ status: 412, body: { errors: [{ place: '/name' }] } });
    }
    // What was a splicer is a cleaver meanwhile, which has no heaters.
    const cleaver = BUILT_IN_INSTRUMENTS.find(({ kind }) => kind === 'cleaver')!;
    const other = { ...splicer!, id: uuid() };
    const send = (body: object) => api.put(`/instruments/${other.id}`, body);
    expect((await send({ ...cleaver, id: other.id })).status).toBe(200);
    expect(await send({ ...other, heaters: 4, base: other })).toMatchObject({
      status: 412,
      body: { code: 'changedMeanwhile' },
    });
    const { instruments } = (await api.get(`/projects/${document.project.id}/bench`)).body as {
      instruments: object[];
    };
    const lists = [
      (await api.get('/hardware')).body,
      (await api.get('/schemes')).body,
      instruments,
    ];
    own.forEach(([, record, more], index) =>
      expect(lists[index]).toContainEqual({ ...record, ...more, name: 'Theirs' }),
    );
  });

  it('is a plan to which one adds splices and another a remark: both stay', async () => {
    const [closure] = document.closures;
    const path = `/closures/${closure!.id}/plan`;
    const stored = (await api.get(path)).body as { text: string; pins: []; spare: number };
    const base = { text: stored.text, pins: stored.pins, spare: stored.spare };
    const write = (text: string, from = base) =>
      api.put(path, {
        closureId: closure!.id,
        ...base,
        text,
        anew: false,
        retire: null,
        changeId: uuid(),
        base: from,
      });
    const fewer = 'splice A 1-8 to B 1-8';
    expect((await write(fewer)).body).toMatchObject({ dropped: 4 });
    const read8 = { ...base, text: fewer };
    const added = await write(`${fewer}\nsplice A 9-12 to B 9-12`, read8);
    expect(added.body).toMatchObject({ added: 4, dropped: 0 });
    // Who read it before adds a remark.
    const remarked = await write(`# seen on site\n${fewer}`, read8);
    expect(remarked.body).toMatchObject({
      added: 0,
      dropped: 0,
      plan: { text: `# seen on site\n${fewer}\nsplice A 9-12 to B 9-12` },
    });
    const both = await write(`${fewer}\nsplice A 13-14 to B 13-14`, read8);
    expect(both.status).toBe(412);
    expect((both.body as { detail: string }).detail).toContain('splice A 9-12 to B 9-12');
  });
});
