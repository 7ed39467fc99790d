import { Readable } from 'node:stream';
import { text } from 'node:stream/consumers';
import { createGunzip } from 'node:zlib';
import { sql } from 'drizzle-orm';
import { demoDocument } from '@cordel/demo';
import { v7 as uuid } from 'uuid';
import { type Db, type OpenDb, openServer, rowsOf } from '../db/client.ts';
import { MIGRATIONS, openMade } from '../testing/madeDatabase.ts';
import { changesAfter } from '../changes/queries.ts';
import { writeDocument } from '../exchange/import/importProject.ts';
import { type TestApi, startApi } from '../testing/api.ts';
import { newDatabase, postgresFolder } from '../testing/postgres.ts';
import { attemptOn, smallDocument } from '../testing/small.ts';
import { signCheckpoint } from '../chain/signing.ts';
import { databaseId } from '../db/databaseId.ts';
import { keysOf, readKeys, restoreKeys } from './keys.ts';
import { NotRestored, restoreBackup } from './restoreBackup.ts';
import { BACKUP_TABLES, LEFT_OUT } from './tables.ts';
import { backupLines } from './writeBackup.ts';

const POSTGRES = postgresFolder();

let api: TestApi;
let backup: string;
beforeAll(async () => {
  api = await startApi();
  await writeDocument(api.db, demoDocument(new Date(), 2));
  const small = smallDocument();
  await api.post('/documents', small);
  await api.post('/evidence', { entries: [attemptOn(small.splices[0]!.id, 20)] });
  // Of a phone an hour slow, and of a splice that the plan has dropped meanwhile.
  const slow = { 'x-cordel-clock': new Date(Date.now() - 3_600_000).toISOString() };
  await api.post('/evidence', { entries: [attemptOn(small.splices[1]!.id, 20)] }, slow);
  const [closure] = small.closures;
  const plan = { closureId: closure!.id, text: 'splice A 1-11 to B 1-11', pins: [], spare: 0 };
  await api.put(`/closures/${closure!.id}/plan`, {
    ...plan,
    anew: false,
    retire: null,
    changeId: uuid(),
  });
  const last = small.splices.find(
    ({ closureId, fiberA }) => closureId === closure!.id && fiberA === 12,
  );
  await api.post('/evidence', { entries: [attemptOn(last!.id, 20)] });
  for (const { name } of [{ name: 'clock_corrections' }, { name: 'undecided_evidence' }])
    expect(await contentOf(api.db, name)).toHaveLength(1);
  backup = (await collected(api.db)).join('');
});
afterAll(() => api.close());

async function collected(db: Db): Promise<string[]> {
  const lines: string[] = [];
  for await (const line of backupLines(db)) lines.push(line);
  return lines;
}

/** Empty databases that a backup goes into: the embedded one, and a server where the tests have one. */
const TARGETS: [string, () => Promise<OpenDb>][] = [
  ['the embedded database', () => openMade()],
  ...(POSTGRES
    ? ([
        [
          'a PostgreSQL server',
          async () =>
            openServer(
              await newDatabase(POSTGRES, `restored_${uuid().replaceAll('-', '')}`),
              MIGRATIONS,
            ),
        ],
      ] as [string, () => Promise<OpenDb>][])
    : []),
];

const tablesOf = async (db: Db) =>
  (
    await rowsOf<{ name: string }>(
      db,
      sql`select table_name as name from information_schema.tables where table_schema = 'public' and table_type = 'BASE TABLE'`,
    )
  ).map(({ name }) => name);

/** Every row of a table, in an order of its content. */
const contentOf = (db: Db, name: string) =>
  rowsOf<{ row: string }>(
    db,
    sql`select row_to_json(t)::text as row from ${sql.identifier(name)} t order by 1`,
  );

it('has every table, but those that are left out on purpose', async () => {
  const known = [...BACKUP_TABLES.map(({ name }) => name), ...LEFT_OUT];
  expect((await tablesOf(api.db)).sort()).toEqual(known.sort());
});

it.each(TARGETS)(
  'a restore drill into %s: every table is equal by its content',
  async (_, open) => {
    const target = await open();
    try {
      const rows = await restoreBackup(target.db, Readable.from([backup]));
      expect(rows).toBeGreaterThan(5000);
      for (const { name } of BACKUP_TABLES)
        expect([name, await contentOf(target.db, name)]).toEqual([
          name,
          await contentOf(api.db, name),
        ]);
      // What is recorded next gets the next number, and a backup of it is the same but for that.
      const [numbers] = await rowsOf<{ fresh: number; before: number }>(
        target.db,
        sql`select nextval('evidence_seq')::int as fresh, (select max(seq) from attempts)::int as before`,
      );
      expect(numbers!.fresh).toBeGreaterThan(numbers!.before);
      for (const name of ['audit', 'undecided_evidence']) {
        const [own] = await rowsOf<{ fresh: number; before: number | null }>(
          target.db,
          sql`select nextval(pg_get_serial_sequence(${name}, 'seq'))::int as fresh, (select max(seq)::int from ${sql.identifier(name)}) as before`,
        );
        expect(own!.fresh).toBe((own!.before ?? 0) + 1);
      }
    } finally {
      await target.close();
    }
  },
);

it('comes back as another database, which signs as before with its keys', async () => {
  const target = await openMade();
  await restoreBackup(target.db, Readable.from([backup]));
  const [before, after] = [databaseId(api.db), databaseId(target.db)];
  expect(await before()).toBe(await databaseId(api.db)());
  expect(await after()).not.toBe(await before());
  const told = { projectId: uuid(), number: 1, hash: '0'.repeat(64), at: new Date().toISOString() };
  const { publicKey } = await signCheckpoint(api.db, told);
  await restoreKeys(target.db, readKeys(JSON.stringify(await keysOf(api.db))));
  expect(await signCheckpoint(target.db, told)).toMatchObject({ publicKey });
  for (const text of ['', '{}', '{"format":"cordel keys","checkpoints":"AAAA"}'])
    expect(() => readKeys(text)).toThrow(NotRestored);
  await target.close();
});

it('is of one moment: what is recorded meanwhile is not in it', async () => {
  const project = smallDocument();
  await api.post('/documents', project);
  const lines = backupLines(api.db);
  const head = (await lines.next()).value as string;
  const attempt = attemptOn(project.splices[3]!.id, 20);
  const recording = api.post('/evidence', { entries: [attempt] });
  let rest = head;
  for await (const line of lines) rest += line;
  expect((await recording).status).toBe(200);
  expect(rest).toContain(project.splices[3]!.id);
  expect(rest).not.toContain(attempt.id);
});

it('who has read changes of the database before asks for everything again', async () => {
  const target = await openMade();
  await restoreBackup(target.db, Readable.from([backup]));
  const [project] = await rowsOf<{ id: string }>(target.db, sql`select id from projects limit 1`);
  for (const xact of [0n, 1_000_000_000n]) {
    const answer = await changesAfter(target.db, project!.id, { xact, seq: 0 });
    expect(answer).toMatchObject({ reset: true, changes: [] });
    expect(await changesAfter(target.db, project!.id, answer.cursor)).toMatchObject({
      reset: false,
    });
  }
  await target.close();
});

it('ends with who takes it: the database answers others again', async () => {
  const lines = backupLines(api.db);
  await lines.next();
  await lines.return(undefined);
  expect((await api.get('/projects')).status).toBe(200);
});

it('comes from the running server, gzipped', async () => {
  const bytes = await api.raw('/backup');
  const lines = (await text(Readable.from([Buffer.from(bytes)]).pipe(createGunzip()))).split('\n');
  expect(JSON.parse(lines[0]!)).toMatchObject({ format: 'cordel.backup', version: 1 });
  expect(JSON.parse(lines.at(-2)!)).toMatchObject({ rows: lines.length - 3 });
});

describe('a backup that is not restored leaves nothing behind', () => {
  let target: OpenDb;
  beforeAll(async () => {
    target = await openMade();
  });
  afterAll(() => target.close());
  const lines = () => backup.split('\n');

  it.each([
    [
      'one figure was changed',
      () => backup.replace('"estimate_mdb":20,', '"estimate_mdb":10,'),
      /damaged/,
    ],
    [
      'a line is missing',
      () =>
        lines()
          .toSpliced(lines().length - 5, 1)
          .join('\n'),
      /damaged/,
    ],
    ['it was cut short', () => lines().slice(0, -2).join('\n'), /ends too early/],
    [
      'it is of another version',
      () => backup.replace(/"database":\d+/, '"database":3'),
      /earlier version/,
    ],
    ['it is something else', () => '{"format":"cordel.project"}\n', /not a backup/],
  ])('%s', async (_, spoilt, words) => {
    const restoring = restoreBackup(target.db, Readable.from([spoilt()]));
    await expect(restoring).rejects.toThrow(NotRestored);
    await expect(restoring).rejects.toThrow(words);
    expect(await rowsOf(target.db, sql`select from projects`)).toHaveLength(0);
  });

  it('there are projects already', async () => {
    await expect(restoreBackup(api.db, Readable.from([backup]))).rejects.toThrow(
      /projects or accounts here/,
    );
  });
});
