import { cp, mkdtemp, readFile, rm, writeFile } from 'node:fs/promises';
import { tmpdir } from 'node:os';
import { join } from 'node:path';
import { fileURLToPath } from 'node:url';
import { BUILT_IN_HARDWARE, BUILT_IN_LIMITS, enteringCable, hardwareSchema } from '@cordel/core';
import { sql } from 'drizzle-orm';
import { v7 as uuid } from 'uuid';
import { createApi } from './app.ts';
import { type OpenDb, openMemory, openServer, rowsOf } from './db/client.ts';
import { bringUpToDate } from './db/migrations.ts';
import { newDatabase, postgresFolder } from './testing/postgres.ts';
import { attemptOn } from './testing/small.ts';

const MIGRATIONS = fileURLToPath(new URL('../drizzle', import.meta.url));
const POSTGRES = postgresFolder();

interface Journal {
  entries: { tag: string; when: number }[];
}

let folder: string;
let journal: Journal;
let open: OpenDb;

/** Leaves the first migrations in the folder, as a server of before had them. */
const keepFirst = (count: number) =>
  writeFile(
    join(folder, 'meta/_journal.json'),
    JSON.stringify({ ...journal, entries: journal.entries.slice(0, count) }),
  );

beforeAll(async () => {
  folder = await mkdtemp(join(tmpdir(), 'cordel-migrations-'));
  await cp(MIGRATIONS, folder, { recursive: true });
  journal = JSON.parse(await readFile(join(folder, 'meta/_journal.json'), 'utf8')) as Journal;
  await keepFirst(1);
  open = POSTGRES
    ? await openServer(
        await newDatabase(POSTGRES, `migrated_${uuid().replaceAll('-', '')}`),
        folder,
      )
    : await openMemory(folder);
});
afterAll(async () => {
  await open.close();
  await rm(folder, { recursive: true, force: true });
});

const LIMITS = BUILT_IN_LIMITS[0]!;
/** Attempts, readings and one ruling. */
const ENTRIES = 4 + LIMITS.wavelengths.length + 1;
const project = uuid();
const closure = uuid();
const [cableA, cableB] = [uuid(), uuid()];
const splices = Array.from({ length: 4 }, () => uuid());
const tries = splices.map(() => uuid());

/** What the first version had of a project with four splices. */
async function writeOfOld(): Promise<void> {
  const { db } = open;
  const limits = JSON.stringify(LIMITS);
  const makeUp = JSON.stringify({ kind: 'loose-tube', tubes: 1, fibersPerTube: 12 });
  const trays = JSON.stringify([{ number: 1, single: 24, mass: 6 }]);
  await db.execute(sql`insert into projects values (${project}, 'Weir lane', '{"distance": "ft"}', 'tia-598', ${limits},
    '{"single": 24, "mass": 6}', '2024-03-01T08:00:00Z')`);
  await db.execute(
    sql`insert into closures values (${closure}, ${project}, 'Weir', 1, 1200000, null, ${trays})`,
  );
  for (const [id, name] of [
    [cableA, 'A'],
    [cableB, 'B'],
  ])
    await db.execute(
      sql`insert into cables values (${id}, ${project}, ${name}, ${makeUp}, 'tia-598')`,
    );
  for (const [index, id] of splices.entries()) {
    const fiber = index + 1;
    await db.execute(sql`insert into splices (id, project_id, closure_id, tray, slot, cable_a, fiber_a, cable_b, fiber_b,
        method, extra, head_cable, head_fiber)
      values (${id}, ${project}, ${closure}, 1, ${fiber}, ${cableA}, ${fiber}, ${cableB}, ${fiber}, 'single', '{}',
        ${cableA}, ${fiber})`);
    await db.execute(sql`insert into attempts (id, splice_id, by, at, try_id, estimate_mdb, void)
      values (${tries[index]}, ${id}, 'M.', '2024-03-01T09:00:00Z', ${tries[index]}, 30, false)`);
  }
  for (const nm of LIMITS.wavelengths)
    await db.execute(sql`insert into readings (id, splice_id, by, at, try_id, grade, wavelength_nm, loss_mdb, void)
      values (${uuid()}, ${splices[0]}, 'M.', '2024-03-02T09:00:00Z', ${tries[0]}, 'two-way', ${nm}, 40, false)`);
  await db.execute(sql`insert into rulings values (${uuid()}, default, ${splices[1]}, 'L.', '2024-03-02T10:00:00Z',
    ${tries[1]}, 'redo', 'Bent in its tray.')`);
}

/** A trace as it was kept before its figures had units in their names. */
async function writeTraceOfOld(): Promise<void> {
  const facts = {
    cableId: 'A',
    fiberId: '1',
    wavelengthNm: 1550,
    from: 'Weir',
    to: 'Mill',
    at: 1_709_280_000,
    pulseNs: 30,
    averages: 4096,
    groupIndex: 146_820,
    spacing: 0.5,
    samples: 64,
    range: 32,
    events: 1,
    samplesDigest: '',
    warnings: ['Map, byte 2: it says 9 bytes, and has 8.'],
  };
  await open.db
    .execute(sql`insert into traces (id, project_id, name, digest, origin, bytes, facts, found)
    values (${uuid()}, ${project}, 'a.sor', ${'ab'.repeat(32)}, 'instrument', '', ${JSON.stringify(facts)},
      '{"finder": 2, "joints": [], "end": null, "faded": null, "noise": 0}')`);
}

/** Hardware and a cable's entry as they were kept before steps said by whom, and cables had two legs. */
async function writeEntryOfOld(): Promise<void> {
  const {
    access: _access,
    torqueMilliNm: _torque,
    sleeve: _sleeve,
    parts: _parts,
    procedure: _procedure,
    ...profile
  } = { ...BUILT_IN_HARDWARE[0]!, id: 'own', name: 'Yard dome' };
  const { strengthAtFirst: _first, ...keep } = profile.keep;
  const { portOut: _portOut, ...entry } = enteringCable(uuid(), cableA, 'express');
  await open.db.execute(
    sql`insert into hardware values ('own', ${JSON.stringify({ ...profile, testKpa: 34.5, keep })})`,
  );
  await open.db.execute(sql`insert into assemblies (closure_id, hardware_id, reach, entries)
    values (${closure}, 'own', 0, ${JSON.stringify([{ ...entry, done: ['ring', 'sheath'] }])})`);
}

const evidence = async () =>
  (
    await rowsOf<{ rows: number }>(
      open.db,
      sql`select ((select count(*) from attempts) + (select count(*) from readings) + (select count(*) from rulings))::int as rows`,
    )
  )[0]!.rows;

it('migrations are noted one after the other: an older one would be passed over', () => {
  const moments = journal.entries.map(({ when }) => when);
  expect(moments).toEqual([...new Set(moments)].sort((a, b) => a - b));
});

describe('a database of the first version', () => {
  it('comes through every migration with what was recorded in it', async () => {
    await writeOfOld();
    for (let count = 2; count <= journal.entries.length; count++) {
      // One release noted this migration at a moment that lay ahead of those that followed.
      await open.db.execute(
        sql`update drizzle.__drizzle_migrations set created_at = 1795900000000 where created_at = 1795840000000`,
      );
      if (journal.entries[count - 1]!.tag === '0016_units_in_names') await writeTraceOfOld();
      if (journal.entries[count - 1]!.tag === '0018_prep_ticks') await writeEntryOfOld();
      await keepFirst(count);
      await bringUpToDate(open.db, folder);
      expect([journal.entries[count - 1]!.tag, await evidence()]).toEqual([
        journal.entries[count - 1]!.tag,
        ENTRIES,
      ]);
    }
  });

  it('is read by the server of today, and judged', async () => {
    const app = createApi(open);
    const read = async <Answer>(path: string): Promise<Answer> => {
      const response = await app.request(`/api${path}`);
      expect([path, response.status]).toEqual([path, 200]);
      return (await response.json()) as Answer;
    };
    const view = await read<{
      project: { units: object; practice: object };
      cables: { glass: object }[];
    }>(`/projects/${project}`);
    // Only the unit of distances was a setting then; the others go with it.
    expect(view.project.units).toMatchObject({ distance: 'ft', length: 'in', timeZone: 'UTC' });
    expect(view.project.practice).toMatchObject({ redos: 3, redoConsumption: 400 });
    expect(view.cables).toHaveLength(2);
    expect(await read(`/projects/${project}/traces`)).toMatchObject([
      {
        facts: {
          measuredAtS: 1_709_280_000,
          spacingM: 0.5,
          rangeM: 32,
          warnings: [{ code: 'saidBefore', text: 'Map, byte 2: it says 9 bytes, and has 8.' }],
        },
      },
    ]);
    const { hardware, assemblies } = await read<{ hardware: unknown[]; assemblies: unknown[] }>(
      `/projects/${project}`,
    );
    // What came later is as if it had been left empty, and what was ticked stays ticked.
    expect(hardware).toContainEqual(
      hardwareSchema.parse({
        ...BUILT_IN_HARDWARE[0]!,
        ...{ id: 'own', name: 'Yard dome', testKpa: 34.5, access: 0, procedure: null },
      }),
    );
    const tick = { by: null, at: null, answers: {}, photos: [] };
    expect(assemblies).toMatchObject([
      {
        entries: [
          {
            kind: 'express',
            portOut: null,
            done: [
              { step: 'ring', ...tick },
              { step: 'sheath', ...tick },
            ],
          },
        ],
      },
    ]);
    const { rows } = await read<{ rows: { id: string; verdict: string; redo: boolean }[] }>(
      `/projects/${project}/ledger/splices`,
    );
    const found = new Map(rows.map((row) => [row.id, row]));
    expect(found.get(splices[0]!)).toMatchObject({ verdict: 'pass', redo: false });
    expect(found.get(splices[1]!)).toMatchObject({ redo: true });
    expect(found.get(splices[2]!)).toMatchObject({ redo: false });
    const work = await read<{ evidence: { type: string; origin: string }[] }>(
      `/closures/${closure}/work`,
    );
    const figures = work.evidence.filter(({ type }) => type !== 'ruling');
    expect(new Set(figures.map(({ origin }) => origin))).toEqual(new Set(['typed']));
  });

  it('stays append-only, and takes what is recorded now', async () => {
    await expect(rowsOf(open.db, sql`update attempts set estimate_mdb = 1`)).rejects.toThrow();
    const entry = attemptOn(splices[2]!, 20);
    const answer = await createApi(open).request('/api/evidence', {
      method: 'POST',
      headers: { 'content-type': 'application/json' },
      body: JSON.stringify({ entries: [entry] }),
    });
    expect(answer.status).toBe(200);
    expect(await evidence()).toBe(ENTRIES + 1);
  });
});
