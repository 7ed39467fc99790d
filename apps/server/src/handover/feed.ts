import type { ChainLink, Checkpoint } from '@cordel/core/close';
import { linkPages, sealChain } from '../chain/chain.ts';
import { eq, inArray, sql } from 'drizzle-orm';
import {
  type Closure,
  type ClosureRow,
  type Hardware,
  type Paper,
  type Project,
  type Ruling,
  formatRange,
} from '@cordel/core';
import { feed as say } from '@cordel/text/handover/feed';
import type { ClosingState } from '@cordel/core/close';
import { closingOf, photosOf, signedOf, wholePhoto } from '../closing/queries.ts';
import { recordNow } from '../closing/record.ts';
import { type Db, rowsOf } from '../db/client.ts';
import { assemblies, rulings, splices } from '../db/schema.ts';
import { readFrame } from '../exchange/frame.ts';
import { closureRows } from '../ledger/queries.ts';
import { allHardware } from '../prep/queries.ts';
import { getCables, getClosures, getProject } from '../projects/queries.ts';
import { allSchemes } from '../schemes/queries.ts';
import { listTraces, traceFile } from '../traces/queries.ts';
import type { PackageClosure, PackageMessage, PackageSplice } from './messages.ts';
import { evidencePages, newestEntry, retiredSplices, splicePages } from './pages.ts';

export interface PackageTask {
  projectId: string;
  closureId: string | null;
  paper: Paper;
  folder: string;
  file: string;
}

/** A closing of which nothing is recorded. */
const NOTHING: ClosingState = {
  visit: null,
  points: [],
  rounds: [],
  test: 'to do',
  signatures: [],
  blocks: [],
  stage: 'to come',
};

/** How many rows a package is made of: what its progress is counted in. */
export async function countRows(
  db: Db,
  task: Pick<PackageTask, 'projectId' | 'closureId'>,
): Promise<number> {
  const picked = task.closureId
    ? sql`s.closure_id = ${task.closureId}`
    : sql`s.project_id = ${task.projectId}`;
  const [row] = await rowsOf<{ rows: number }>(
    db,
    sql`select ((select count(*) from splices s where ${picked})
          + (select count(*) from attempts e join splices s on s.id = e.splice_id where ${picked})
          + (select count(*) from readings e join splices s on s.id = e.splice_id where ${picked})
          + (select count(*) from inspections e join splices s on s.id = e.splice_id where ${picked})
          + (select count(*) from rulings e join splices s on s.id = e.splice_id where ${picked}))::int as rows`,
  );
  return row?.rows ?? 0;
}

/** What a row takes in a package's files and once more in its zip, and a file beside its copy in the document. */
const ROW_BYTES = 2000;
const FILE_COPIES = 5;

/** How much room a package needs while it is made, in bytes; rather too much than too little. */
export async function estimateBytes(
  db: Db,
  task: Pick<PackageTask, 'projectId' | 'closureId'>,
): Promise<number> {
  const [files] = await rowsOf<{ bytes: string }>(
    db,
    sql`select coalesce((select sum(octet_length(bytes)) from traces where project_id = ${task.projectId}), 0)
          + coalesce((select sum(octet_length(p.bytes)) from photos p join closures c on c.id = p.closure_id
              where c.project_id = ${task.projectId}), 0) as bytes`,
  );
  return (await countRows(db, task)) * ROW_BYTES + Number(files?.bytes ?? 0) * FILE_COPIES;
}

/** Reads all that goes into a package, piece by piece, so that nobody who records has to wait. */
export async function* feed(
  db: Db,
  task: PackageTask,
): AsyncGenerator<{ message: PackageMessage; part: string; rows: number }> {
  const { projectId, closureId } = task;
  const project = await getProject(db, projectId);
  // First: what is in the package is in the chain, but for what is recorded meanwhile.
  const checkpoint = await sealChain(db, projectId);
  const summary = await closureRows(db, projectId);
  const all = await getClosures(db, projectId);
  const own = closureId ? all.filter(({ id }) => id === closureId) : all;
  const kept = new Set(own.map(({ id }) => id));
  const rows = summary.closures.filter((row) => kept.has(row.closureId));
  const [only] = closureId ? rows : [];
  yield {
    part: 'summary',
    rows: 0,
    message: {
      kind: 'open',
      folder: task.folder,
      file: task.file,
      paper: task.paper,
      title: only ? `${project.name}: ${only.name}` : project.name,
      closureId,
      project,
      cables: await getCables(db, projectId),
      schemes: [...(await allSchemes(db)).values()],
      closures: own,
      rows,
      tally: only ?? summary.project,
      extras: await extraTitles(db, task),
      wavelengths: await wavelengthsOf(db, project),
      moment: await newestEntry(db, projectId, closureId),
      checkpoint,
      document: closureId ? null : await readFrame(db, projectId),
    },
  };
  const hardware = await allHardware(db);
  // Ends of the fibers that pass here: traces of others belong elsewhere.
  const passed = new Set<string>();
  for (const closure of own) {
    const row = rows.find((one) => one.closureId === closure.id)!;
    const parts = await closureParts(db, closure, row, hardware);
    for (const one of parts.retired) for (const end of endsOf(one)) passed.add(end);
    yield {
      part: closure.name,
      rows: parts.retired.length,
      message: { kind: 'closure', closure: parts },
    };
    for await (const page of splicePages(db, closure.id)) {
      for (const row of page) for (const end of endsOf(row)) passed.add(end);
      yield { part: closure.name, rows: page.length, message: { kind: 'splices', splices: page } };
    }
    for (const { id } of await photosOf(db, closure.id))
      yield {
        part: closure.name,
        rows: 0,
        message: { kind: 'photo', photo: await wholePhoto(db, id) },
      };
  }
  const picked = closureId ? sql`s.closure_id = ${closureId}` : sql`s.project_id = ${projectId}`;
  for await (const page of evidencePages(db, picked))
    yield { part: 'evidence', rows: page.rows, message: { kind: 'evidence', json: page.json } };
  if (closureId) {
    const { record } = await recordNow(db, closureId);
    yield { part: 'record', rows: 0, message: { kind: 'record', record } };
    yield* tracesOf(db, project, passed);
  } else {
    yield* tracesOf(db, project, null);
    yield* photosAgain(db, own);
    yield* chainOf(db, projectId, checkpoint);
  }
  yield { part: 'zip', rows: 0, message: { kind: 'finish' } };
}

/** How a fiber's ends are called in places of traces: by its head, and by the cables it is joined to here. */
const endsOf = (row: PackageSplice): string[] => [
  `${row.headCable} ${row.headFiber}`,
  `${row.cableA} ${row.fiberA}`,
  `${row.cableB} ${row.fiberB}`,
];

/** Trace files: all of them, or those of the fibers that are named. */
async function* tracesOf(
  db: Db,
  { id: projectId, units }: Project,
  passed: ReadonlySet<string> | null,
) {
  for (const { id, name, digest, receivedAt, origin, facts, place } of await listTraces(
    db,
    projectId,
  )) {
    if (passed && !(place && passed.has(`${place.cableId} ${place.fiber}`))) continue;
    const { bytes } = await traceFile(db, id);
    const trace = {
      id,
      projectId,
      name,
      digest,
      receivedAt: receivedAt.toISOString(),
      origin,
      bytes: Buffer.from(bytes).toString('base64'),
    };
    const words = say('trace', {
      from: facts.from,
      to: facts.to,
      fiber: facts.fiberId,
      wavelengthNm: facts.wavelengthNm,
      range: formatRange(facts.rangeM, units.distance),
    });
    yield { part: 'traces', rows: 0, message: { kind: 'trace' as const, trace, words } };
  }
}

/** The chain up to what the server signed. */
async function* chainOf(db: Db, projectId: string, checkpoint: Checkpoint | null) {
  if (!checkpoint) return;
  const message = (links: ChainLink[], last: Checkpoint | null) => ({
    part: 'record',
    rows: 0,
    message: { kind: 'chain' as const, links, checkpoint: last },
  });
  for await (const page of linkPages(db, projectId))
    yield message(
      page.filter(({ number }) => number <= checkpoint.number),
      null,
    );
  yield message([], checkpoint);
}

/** Photos once more, where the document has them. */
async function* photosAgain(db: Db, closures: readonly Closure[]) {
  for (const closure of closures)
    for (const { id } of await photosOf(db, closure.id))
      yield {
        part: 'photos',
        rows: 0,
        message: { kind: 'document photo' as const, photo: await wholePhoto(db, id) },
      };
}

async function closureParts(
  db: Db,
  closure: Closure,
  row: ClosureRow,
  hardware: readonly Hardware[],
): Promise<PackageClosure> {
  const closing = await closingOf(db, closure.id);
  const [assembly] = await db.select().from(assemblies).where(eq(assemblies.closureId, closure.id));
  const { state, record } =
    closing.length > 0
      ? await recordNow(db, closure.id)
      : { state: NOTHING, record: { closing: [] } };
  const all = await rulingsOf(db, closure.id);
  return {
    closure,
    row,
    hardware: hardware.find(({ id }) => id === assembly?.hardwareId) ?? null,
    assembly: assembly ?? null,
    state,
    closing: record.closing,
    signed: await signedOf(db, closure.id),
    retired: await retiredSplices(db, closure.id, all),
    rulings: all.filter(({ kind }) => kind !== 'retire'),
  };
}

async function rulingsOf(db: Db, closureId: string): Promise<Ruling[]> {
  const ids = db.select({ id: splices.id }).from(splices).where(eq(splices.closureId, closureId));
  const rows = await db
    .select()
    .from(rulings)
    .where(inArray(rulings.spliceId, ids))
    .orderBy(rulings.seq);
  return rows.map(({ seq: _seq, at, ...rest }) => ({
    type: 'ruling',
    at: at.toISOString(),
    ...rest,
  }));
}

/** Wavelengths that anything of a project is measured at or asked for, nm, the shortest first. */
export async function wavelengthsOf(db: Db, { id, limits }: Project): Promise<number[]> {
  const rows = await rowsOf<{ nm: number }>(
    db,
    sql`select distinct e.wavelength_nm as nm from readings e join splices s on s.id = e.splice_id
        where s.project_id = ${id}`,
  );
  const all = new Set([...limits.wavelengths, ...rows.map(({ nm }) => nm)]);
  return [...all].sort((a, b) => a - b);
}

/** Titles of columns that splice lists brought along, in order. */
async function extraTitles(db: Db, task: PackageTask): Promise<string[]> {
  const picked = task.closureId
    ? sql`closure_id = ${task.closureId}`
    : sql`project_id = ${task.projectId}`;
  const found = await rowsOf<{ title: string }>(
    db,
    sql`select distinct title from splices, jsonb_object_keys(extra) as title where ${picked} order by title`,
  );
  return found.map(({ title }) => title);
}
