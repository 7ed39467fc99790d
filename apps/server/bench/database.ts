import { execFileSync } from 'node:child_process';
import { mkdtemp, rm } from 'node:fs/promises';
import { tmpdir } from 'node:os';
import { join } from 'node:path';
import { fileURLToPath } from 'node:url';
import { inArray, sql } from 'drizzle-orm';
import { createApi } from '../src/app.ts';
import { type Db, openFolder, rowsOf } from '../src/db/client.ts';
import { attempts, splices } from '../src/db/schema.ts';
import { writeDocument } from '../src/exchange/import/importProject.ts';
import { spliceRows } from '../src/ledger/queries.ts';
import { type Figure, medians } from './figure.ts';
import { attemptOn, largeDocument } from './large.ts';

const MIGRATIONS = fileURLToPath(new URL('../drizzle', import.meta.url));

/** Route, Ledger and recording over 86 400 splices with 259 200 attempts and readings, in a folder on disk. */
export async function* databaseFigures(): AsyncGenerator<Figure> {
  const folder = await mkdtemp(join(tmpdir(), 'cordel-bench-'));
  const open = await openFolder(folder, MIGRATIONS);
  let isOpen = true;
  try {
    const document = largeDocument();
    await writeDocument(open.db, document);
    await rowsOf(open.db, sql`analyze`);
    const app = createApi(open);
    const get = async (path: string) => {
      const response = await app.request(`/api${path}`);
      if (response.status !== 200) throw new Error(await response.text());
      return response.json();
    };
    const project = document.project.id;
    const count = () =>
      rowsOf(
        open.db,
        sql`select (select count(*) from splices) + (select count(*) from attempts) + (select count(*) from readings)`,
      );
    const summaryFigure = async (name: string, path: string): Promise<Figure> => {
      const [ours, plain] = await medians(9, () => get(`/projects/${project}${path}`), count);
      return {
        name,
        ratio: ours / plain,
        limit: 15,
        note: 'API against count(*) over the same rows',
      };
    };
    const ids = document.splices.map((splice) => splice.id);
    yield await summaryFigure('route-summary', '/ledger/closures');
    yield await summaryFigure('ledger-trays', '/ledger/trays?limit=200');
    yield await summaryFigure('ledger-fibers', '/ledger/fibers?limit=200');
    yield await closureFigure(open.db, project, document.closures[50]!.id);
    yield await recordFigure(open.db, app, ids);
    yield await syncedFigure(open, ids);
    // The package is made by a process of its own, which opens the same folder.
    await open.close();
    isOpen = false;
    yield* packageFigures(folder, project);
  } finally {
    if (isOpen) await open.close();
    await rm(folder, { recursive: true, force: true });
  }
}

interface PackageRun {
  took: number;
  csv: number;
  csvBytes: number;
  size: number;
  memory: number;
  idle: number;
  busy: number;
  quiet: number;
  page: number;
}

const MEGABYTE = 1e6;
const MEMORY = 500;

function packageFigures(folder: string, projectId: string): Figure[] {
  const script = fileURLToPath(new URL('./packageRun.ts', import.meta.url));
  const text = execFileSync('npx', ['--no-install', 'tsx', script, folder, projectId], {
    encoding: 'utf8',
    stdio: ['ignore', 'pipe', 'inherit'],
  });
  const run = JSON.parse(text.trim().split('\n').at(-1)!) as PackageRun;
  const mb = (bytes: number) => `${Math.round(bytes / MEGABYTE)} MB`;
  return [
    {
      name: 'package',
      ratio: run.took / run.csv,
      limit: 4,
      note: `a package of 86 400 splices with their evidence, ${mb(run.size)}, against reading the same rows and writing them as CSV, ${mb(run.csvBytes)}`,
    },
    {
      name: 'package-memory',
      ratio: run.memory / MEGABYTE / MEMORY,
      limit: 1,
      note: `${mb(run.memory)} above a server at rest, of ${MEMORY} MB`,
    },
    {
      name: 'package-record',
      ratio: run.busy / run.idle,
      limit: 3,
      note: 'recording an attempt while a package is made, against the same at rest',
    },
    {
      name: 'package-page',
      ratio: run.page / run.quiet,
      limit: 3,
      note: 'the changes that a page asks for while a package is made, against the same at rest',
    },
  ];
}

async function closureFigure(db: Db, projectId: string, closureId: string): Promise<Figure> {
  const all = { closureId, sort: 'route', offset: 0, limit: 1000 } as const;
  const rows = () => spliceRows(db, projectId, all);
  const ids = (await rows()).rows.map((row) => row.id);
  const [ours, plain] = await medians(25, rows, () =>
    db.select().from(splices).where(inArray(splices.id, ids)),
  );
  return {
    name: 'closure-ledger',
    ratio: ours / plain,
    limit: 3,
    note: 'against a primary-key read of its 864 rows',
  };
}

/** What the sync of the log adds to a record, on the disk that the bench runs on. */
async function syncedFigure(
  open: Awaited<ReturnType<typeof openFolder>>,
  ids: string[],
): Promise<Figure> {
  const [synced, unsynced] = [createApi(open), createApi({ db: open.db })];
  let next = 0;
  const send = async (app: ReturnType<typeof createApi>) => {
    const response = await app.request('/api/evidence', {
      method: 'POST',
      headers: { 'content-type': 'application/json' },
      body: JSON.stringify({ entries: [attemptOn(ids[next++ % ids.length]!, 20)] }),
    });
    if (response.status !== 200) throw new Error(await response.text());
    return response.json();
  };
  const [ours, bare] = await medians(
    400,
    () => send(synced),
    () => send(unsynced),
  );
  return {
    name: 'record-synced',
    ratio: ours / bare,
    limit: 1.5,
    note: 'recording an attempt that outlives a power cut, against one that may not',
  };
}

async function recordFigure(
  db: Db,
  app: ReturnType<typeof createApi>,
  ids: string[],
): Promise<Figure> {
  let next = 0;
  const fresh = () => attemptOn(ids[next++ % ids.length]!, 20);
  const [ours, bare] = await medians(
    400,
    async () => {
      const body = JSON.stringify({ entries: [fresh()] });
      const response = await app.request('/api/evidence', {
        method: 'POST',
        // As clients over HTTP do, it says how long the body is.
        headers: {
          'content-type': 'application/json',
          'content-length': String(Buffer.byteLength(body)),
        },
        body,
      });
      if (response.status !== 200) throw new Error(await response.text());
      return response.json();
    },
    () => {
      const { type: _type, ...row } = fresh();
      return db.insert(attempts).values({ ...row, at: new Date(row.at) });
    },
  );
  return {
    name: 'record-attempt',
    ratio: ours / bare,
    limit: 2.2,
    note: 'API against a bare insert through Drizzle',
  };
}
