import { mkdtemp, rm } from 'node:fs/promises';
import { tmpdir } from 'node:os';
import { join } from 'node:path';
import { fileURLToPath } from 'node:url';
import { inArray, sql } from 'drizzle-orm';
import { createApi } from '../src/app.ts';
import { type Db, openFolder, rowsOf } from '../src/db/client.ts';
import { attempts, splices } from '../src/db/schema.ts';
import { writeDocument } from '../src/exchange/document.ts';
import { closureSplices } from '../src/ledger/queries.ts';
import { type Figure, medians } from './figure.ts';
import { attemptOn, largeDocument } from './large.ts';

const MIGRATIONS = fileURLToPath(new URL('../drizzle', import.meta.url));

/** Route, Ledger and recording over 86 400 splices with 259 200 attempts and readings, in a folder on disk. */
export async function databaseFigures(): Promise<Figure[]> {
  const folder = await mkdtemp(join(tmpdir(), 'cordel-bench-'));
  const open = await openFolder(folder, MIGRATIONS);
  try {
    const document = largeDocument();
    await writeDocument(open.db, document);
    await rowsOf(open.db, sql`analyze`);
    const app = createApi(open.db);
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
    return [
      await summaryFigure('route-summary', '/ledger/closures'),
      await summaryFigure('ledger-trays', '/ledger/trays?limit=200'),
      await summaryFigure('ledger-fibers', '/ledger/fibers?limit=200'),
      await closureFigure(open.db, document.closures[50]!.id),
      await recordFigure(
        open.db,
        app,
        document.splices.map((splice) => splice.id),
      ),
    ];
  } finally {
    await open.close();
    await rm(folder, { recursive: true, force: true });
  }
}

async function closureFigure(db: Db, closureId: string): Promise<Figure> {
  const ids = (await closureSplices(db, closureId)).map((row) => row.id);
  const [ours, plain] = await medians(
    25,
    () => closureSplices(db, closureId),
    () => db.select().from(splices).where(inArray(splices.id, ids)),
  );
  return {
    name: 'closure-ledger',
    ratio: ours / plain,
    limit: 3,
    note: 'against a primary-key read of its 864 rows',
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
    limit: 3,
    note: 'API against a bare insert through Drizzle',
  };
}
