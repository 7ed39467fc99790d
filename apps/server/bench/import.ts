import { mkdtemp, rm } from 'node:fs/promises';
import { tmpdir } from 'node:os';
import { join } from 'node:path';
import { fileURLToPath } from 'node:url';
import type { Attempt, Evidence, Reading } from '@cordel/core';
import type { ProjectDocument } from '@cordel/core/document';
import { type Db, openFolder } from '../src/db/client.ts';
import { attempts, cables, closures, projects, readings, splices } from '../src/db/schema.ts';
import { writeDocument } from '../src/exchange/import/importProject.ts';
import type { Figure } from './figure.ts';
import { largeDocument } from './large.ts';

const MIGRATIONS = fileURLToPath(new URL('../drizzle', import.meta.url));
const BATCH = 1000;

/** Import of whole projects, against inserting the same rows in batches, and one of 300 closures against twelve of 25. */
export async function* importFigures(): AsyncGenerator<Figure> {
  const whole = await timed(largeDocument(100), writeDocument);
  const plain = await timed(largeDocument(100), insertRows);
  yield {
    name: 'import-rows',
    ratio: whole / plain,
    limit: 3,
    note: `86 400 splices with 259 200 entries in ${Math.round(whole / 1000)} s, against a plain batched insert of the same rows in ${Math.round(plain / 1000)} s`,
  };
  const small = await timed(largeDocument(25), writeDocument);
  const large = await timed(largeDocument(300), writeDocument);
  yield {
    name: 'import-growth',
    ratio: large / small / 12,
    limit: 1.3,
    note: `300 closures in ${Math.round(large / 1000)} s, against twelve times 25 closures in ${Math.round(small / 1000)} s`,
  };
}

async function timed(
  document: ProjectDocument,
  work: (db: Db, document: ProjectDocument) => Promise<void>,
): Promise<number> {
  const folder = await mkdtemp(join(tmpdir(), 'cordel-bench-'));
  const open = await openFolder(folder, MIGRATIONS);
  const begun = performance.now();
  await work(open.db, document);
  await open.synced();
  const took = performance.now() - begun;
  await open.close();
  await rm(folder, { recursive: true, force: true });
  return took;
}

async function insertRows(db: Db, document: ProjectDocument): Promise<void> {
  const { project, evidence } = document;
  const isAttempt = (entry: Evidence): entry is Attempt => entry.type === 'attempt';
  const isReading = (entry: Evidence): entry is Reading => entry.type === 'reading';
  const row = <Entry extends Attempt | Reading>({ type: _type, at, ...rest }: Entry) => ({
    ...rest,
    at: new Date(at),
  });
  await db.transaction(async (tx) => {
    await tx.insert(projects).values({ ...project, createdAt: new Date(project.createdAt) });
    await tx.insert(cables).values(document.cables);
    await tx.insert(closures).values(document.closures);
    for (const some of batches(document.splices))
      await tx
        .insert(splices)
        .values(some.map((one) => ({ ...one, headCable: one.cableA, headFiber: one.fiberA })));
    for (const some of batches(evidence.filter(isAttempt)))
      await tx.insert(attempts).values(some.map(row));
    for (const some of batches(evidence.filter(isReading)))
      await tx.insert(readings).values(some.map(row));
  });
}

function* batches<Row>(rows: readonly Row[]): Generator<Row[]> {
  for (let start = 0; start < rows.length; start += BATCH) yield rows.slice(start, start + BATCH);
}
