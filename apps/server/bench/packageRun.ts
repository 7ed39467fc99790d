// A process of its own: memory is counted from a server at rest, which holds nothing of a bench.
import { rm } from 'node:fs/promises';
import { join } from 'node:path';
import { fileURLToPath } from 'node:url';
import { eq } from 'drizzle-orm';
import { writeCsv } from '@cordel/core/csv';
import { v7 as uuid } from 'uuid';
import { createApi } from '../src/app.ts';
import { openFolder } from '../src/db/client.ts';
import { splices } from '../src/db/schema.ts';
import { csvOf } from '../src/exchange/csv.ts';
import { evidenceOf } from '../src/evidence/queries.ts';
import { attemptOn } from './large.ts';
import { median } from './figure.ts';

const MIGRATIONS = fileURLToPath(new URL('../drizzle', import.meta.url));
const [folder, projectId] = process.argv.slice(2) as [string, string];
const open = await openFolder(folder, MIGRATIONS);
const packages = join(folder, 'packages');
const app = createApi({ ...open, folder: packages });
const pause = (ms: number) => new Promise((done) => setTimeout(done, ms));

async function call(method: string, path: string, body?: unknown): Promise<unknown> {
  const text = JSON.stringify(body);
  const response = await app.request(`/api${path}`, {
    method,
    ...(body
      ? {
          headers: {
            'content-type': 'application/json',
            'content-length': String(Buffer.byteLength(text)),
          },
          body: text,
        }
      : {}),
  });
  if (response.status !== 200) throw new Error(await response.text());
  return response.json();
}

const ids = (
  await open.db.select({ id: splices.id }).from(splices).where(eq(splices.projectId, projectId))
).map(({ id }) => id);
let next = 0;
/** Milliseconds that an attempt takes to be recorded. */
async function recorded(): Promise<number> {
  const start = performance.now();
  await call('POST', '/evidence', { entries: [attemptOn(ids[next++ % ids.length]!, 20)] });
  return performance.now() - start;
}

/** Milliseconds that a page takes which everybody looks at. */
async function looked(): Promise<number> {
  const start = performance.now();
  await call('GET', `/projects/${projectId}/changes`);
  return performance.now() - start;
}

await call('GET', `/projects/${projectId}/ledger/closures`);
const idle: number[] = [];
const quiet: number[] = [];
for (let count = 0; count < 150; count++) {
  idle.push(await recorded());
  quiet.push(await looked());
  await pause(10);
}
// What was recorded just now is judged before the clock starts.
await call('GET', `/projects/${projectId}/ledger/closures`);
globalThis.gc?.();
const base = process.memoryUsage.rss();
let peak = base;
const watch = setInterval(() => (peak = Math.max(peak, process.memoryUsage.rss())), 100);
const id = uuid();
const started = performance.now();
await call('POST', `/projects/${projectId}/packages`, {
  id,
  closureId: null,
  paper: 'A4',
  by: 'M.',
  at: '2026-06-01T08:00:00.000Z',
});
const busy: number[] = [];
const page: number[] = [];
for (;;) {
  busy.push(await recorded());
  page.push(await looked());
  await pause(60);
  if (busy.length % 5 > 0) continue;
  const list = (await call('GET', `/projects/${projectId}/packages`)) as {
    id: string;
    state: string;
    problem: string;
    size: number;
  }[];
  const made = list.find((one) => one.id === id);
  if (made!.state === 'making') continue;
  if (made!.state !== 'done') throw new Error(made!.problem);
  const took = performance.now() - started;
  clearInterval(watch);
  const plain = performance.now();
  const text = await csvOf(open.db, projectId, 'splices');
  const evidence = await evidenceOf(open.db, eq(splices.projectId, projectId));
  const columns = ['id', 'type', 'spliceId', 'by', 'at', 'tryId', 'estimateMdb', 'lossMdb', 'why'];
  const rows = writeCsv(
    columns,
    evidence.map((entry) =>
      columns.map((column) => (entry as unknown as Record<string, string>)[column] ?? ''),
    ),
  );
  const csv = performance.now() - plain;
  console.log(
    JSON.stringify({
      took,
      csv,
      csvBytes: text.length + rows.length,
      size: made!.size,
      memory: peak - base,
      idle: median(idle),
      busy: median(busy),
      quiet: median(quiet),
      page: median(page),
    }),
  );
  break;
}
await open.close();
await rm(packages, { recursive: true, force: true });
process.exit(0);
