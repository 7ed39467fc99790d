import { createHash } from 'node:crypto';
import { mkdtemp, readFile, readdir, rm } from 'node:fs/promises';
import { tmpdir } from 'node:os';
import { join } from 'node:path';
import { Readable } from 'node:stream';
import { gunzipSync } from 'node:zlib';
import { sql } from 'drizzle-orm';
import { type OpenDb, openMemory, rowsOf } from '../db/client.ts';
import { MIGRATIONS, openMade } from '../testing/madeDatabase.ts';
import { type TestApi, startApi } from '../testing/api.ts';
import { attemptOn, smallDocument } from '../testing/small.ts';
import { restoreAny } from './restoreAny.ts';
import { restoreBackup } from './restoreBackup.ts';
import { backupFile } from './routes.ts';
import { backUpDay, keptDays } from './schedule.ts';

const day = (text: string): Date => new Date(`${text}T02:00:00.000Z`);

let folder: string;
let api: TestApi;
beforeAll(async () => {
  folder = await mkdtemp(join(tmpdir(), 'cordel-backups-'));
  api = await startApi();
});
afterAll(async () => {
  await api.close();
  await rm(folder, { recursive: true, force: true });
});

describe('backups by themselves', () => {
  it('are one a day, of which the last days and the first of twelve months are kept', async () => {
    const schedule = { folder, days: 5 };
    for (let at = Date.parse('2025-01-01'); at <= Date.parse('2026-03-20'); at += 24 * 3600_000) {
      const now = new Date(at);
      const made = await backUpDay(schedule, () => Promise.resolve(Readable.from(['x'])), now);
      expect(made).toContain(now.toISOString().slice(0, 10));
    }
    const again = () => Promise.reject<Readable>(new Error('It is there already.'));
    expect(await backUpDay(schedule, again, day('2026-03-20'))).toBeNull();
    const kept = (await readdir(folder)).sort().map((name) => name.slice(7, 17));
    expect(kept.slice(-5)).toEqual([
      '2026-03-16',
      '2026-03-17',
      '2026-03-18',
      '2026-03-19',
      '2026-03-20',
    ]);
    expect(kept.slice(0, -5)).toEqual([
      ...Array.from({ length: 9 }, (_, index) => `2025-${String(index + 4).padStart(2, '0')}-01`),
      ...['2026-01-01', '2026-02-01', '2026-03-01'],
    ]);
  });

  it('leave those before as they are where one fails', async () => {
    const before = await readdir(folder);
    const broken = () =>
      Promise.resolve(
        Readable.from(
          (function* () {
            yield 'half';
            throw new Error('The disk is full.');
          })(),
        ),
      );
    await expect(backUpDay({ folder, days: 1 }, broken, day('2026-03-21'))).rejects.toThrow('full');
    expect(await readdir(folder)).toEqual(before);
  });

  it('can be restored', async () => {
    const document = smallDocument();
    await api.post('/documents', document);
    await api.record([attemptOn(document.splices[0]!.id, 20)]);
    const own = await mkdtemp(join(tmpdir(), 'cordel-backup-'));
    const path = await backUpDay(
      { folder: own, days: 1 },
      () => Promise.resolve(backupFile(api.db)),
      day('2026-03-22'),
    );
    const lines = gunzipSync(await readFile(path!)).toString();
    await rm(own, { recursive: true, force: true });
    const target = await openMade();
    await restoreAny(
      () => Promise.resolve({ ...target, close: () => Promise.resolve() }),
      () => Readable.from([lines]),
      MIGRATIONS,
    );
    const [row] = await rowsOf<{ count: number }>(
      target.db,
      sql`select count(*)::int as count from attempts`,
    );
    expect(row).toEqual({ count: 1 });
    await target.close();
  });

  it('go into no database in which somebody has an account already', async () => {
    const target = await openMade();
    await rowsOf(
      target.db,
      sql`insert into people (id, name, email) values (gen_random_uuid(), 'Olga Host', 'olga@firm.example')`,
    );
    const lines = '{"format":"cordel.backup","version":1,"database":1,"evidenceSeq":"1"}\n';
    await expect(restoreBackup(target.db, Readable.from([lines]))).rejects.toThrow(/accounts here/);
    await target.close();
  });

  it('never keep a day that is to come as a reason to drop one that was', () => {
    const days = ['2026-03-01', '2026-03-02', '2026-03-03'];
    expect([...keptDays(days, day('2026-03-03'), 2)].sort()).toEqual(days);
    expect([...keptDays([], day('2026-03-03'), 2)]).toEqual([]);
  });
});

describe('a backup of an earlier version', () => {
  /** The version before people had accounts. */
  const VERSION = 23;
  const LIMITS = { ends: { mechanical: 500, fused: 750 } };

  /** What that version wrote of one project, line by line. */
  function oldBackup(): string {
    const project = smallDocument().project;
    const row = {
      id: project.id,
      name: 'Old line',
      scheme_id: 'tia-598',
      limits: { ...project.limits, ...LIMITS },
      tray_capacity: project.trayCapacity,
      practice: Object.fromEntries(
        Object.entries(project.practice).filter(([key]) => key !== 'signers'),
      ),
      budget: project.budget,
      route: [],
      units: project.units,
      practice_only: false,
      created_at: project.createdAt,
    };
    const head = JSON.stringify({
      format: 'cordel.backup',
      version: 1,
      database: VERSION,
      evidenceSeq: '7',
    });
    const lines = `${head}\n["projects",${JSON.stringify(row)}]\n`;
    const digest = createHash('sha256').update(lines).digest('hex');
    return `${lines}${JSON.stringify({ rows: 1, digest })}\n`;
  }

  it('is restored into tables as they were, which are brought up to date then', async () => {
    let opened: OpenDb | null = null;
    const versions: number[] = [];
    // One database, opened with the old migrations first and with all of them after.
    const open = async (migrations: string): Promise<OpenDb> => {
      if (!opened) opened = await openMemory(migrations);
      else {
        const { bringUpToDate } = await import('../db/migrations.ts');
        await bringUpToDate(opened.db, migrations);
      }
      const [row] = await rowsOf<{ count: number }>(
        opened.db,
        sql`select count(*)::int as count from drizzle.__drizzle_migrations`,
      );
      versions.push(row!.count);
      return { ...opened, close: () => Promise.resolve() };
    };
    const text = oldBackup();
    expect(await restoreAny(open, () => Readable.from([text]), MIGRATIONS)).toBe(1);
    expect(versions[0]).toBe(VERSION);
    expect(versions[1]).toBeGreaterThan(VERSION);
    const [row] = await rowsOf<{ name: string; signers: string }>(
      opened!.db,
      sql`select name, practice->>'signers' as signers from projects`,
    );
    expect(row).toEqual({ name: 'Old line', signers: 'one or two' });
    await opened!.close();
  });

  it('of a later version says what to do', async () => {
    const later = oldBackup().replace('"database":23', '"database":9999');
    await expect(
      restoreAny(
        () => Promise.reject(new Error('not opened')),
        () => Readable.from([later]),
        MIGRATIONS,
      ),
    ).rejects.toThrow(/update this one first/);
  });
});
