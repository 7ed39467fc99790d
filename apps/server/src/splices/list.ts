import { and, eq } from 'drizzle-orm';
import {
  type Cable,
  type Closure,
  type ColumnMatch,
  type Method,
  type Placed,
  type SameNames,
  type Splice,
  matchColumns,
  readSpliceList,
} from '@cordel/core';
import { decodeText, readCsv, startAtTitles } from '@cordel/core/csv';
import { csvProblemText } from '@cordel/text/files';
import { spliceListText } from '@cordel/text/plan';
import { splicesProblems as say } from '@cordel/text/server/splices';
import type { Db } from '../db/client.ts';
import { cables, closures, imports, splices } from '../db/schema.ts';
import { Problem, atPlace, problemAt, sentence } from '../http/problem.ts';
import { addToPlan } from '../plans/queries.ts';
import { getCables, getClosures, getProject, lockProject } from '../projects/queries.ts';
import { allSchemes, schemeNamed } from '../schemes/queries.ts';
import { spliceColumns } from './columns.ts';
import { derivedId } from './derivedId.ts';
import { renewCircuitOrigins } from './circuitOrigins.ts';
import { insertSplices } from './insert.ts';

export interface ListRequest {
  /** Id of this import, made by the client: the same one sent again does nothing. */
  importId: string;
  text: string;
  match: ColumnMatch;
  /** How fibers are spliced where their row does not say it. */
  method: Method;
  /** Cables the list names that the project does not have yet. */
  cables: Cable[];
  /** Names that the list writes otherwise than they are meant. */
  sameNames: SameNames;
}

export interface ListResult {
  splices: number;
  closures: number;
  cables: number;
}

/** Reads a splice list into a project: all of it, or nothing with every problem at its row and column. */
export async function importList(
  db: Db,
  projectId: string,
  request: ListRequest,
): Promise<ListResult> {
  return db.transaction(async (tx) => {
    const on = tx as unknown as Db;
    // The same list may be sent twice at once: the second one finds what became of the first.
    await lockProject(on, projectId);
    return importOn(on, projectId, request);
  });
}

async function importOn(db: Db, projectId: string, request: ListRequest): Promise<ListResult> {
  const [done] = await db.select().from(imports).where(eq(imports.id, request.importId));
  if (done) return done.result;
  const project = await getProject(db, projectId);
  const text = decodeText(new TextEncoder().encode(request.text));
  const table = text.ok ? readCsv(text.value.text) : text;
  if (!table.ok) throw problemAt(422, '/text', sentence(csvProblemText(table.error), table.error));
  const known = await getCables(db, projectId);
  const schemes = await allSchemes(db);
  const all = [...known, ...request.cables];
  const there = await getClosures(db, projectId);
  const setting = {
    cables: all.map(({ name, makeUp, schemeId }) => ({
      name,
      makeUp,
      scheme: schemeNamed(schemes, schemeId, '/cables'),
    })),
    closures: await withSplices(db, projectId, there, all),
    trayCapacity: project.trayCapacity,
    method: request.method,
    sameNames: request.sameNames,
  };
  const list = readSpliceList(startAtTitles(table.value, matchColumns), request.match, setting);
  if (list.problems.length > 0) {
    const first = list.problems[0]!;
    throw new Problem(
      422,
      say('nothingImported', {
        problems: list.problems.length,
        row: first.row,
        column: first.column,
        message: spliceListText(first.message),
      }),
      list.problems
        .slice(0, 500)
        .map(({ row, column, message }) =>
          atPlace(`row ${row}, ${column}`, sentence(spliceListText(message), message)),
        ),
    );
  }
  const cableIds = new Map(all.map((cable) => [cable.name, cable.id]));
  const added = closuresFor(projectId, request.importId, there, list.closures, list.newTrays);
  const closureIds = new Map([...there, ...added].map((closure) => [closure.name, closure.id]));
  const planned: Splice[] = list.splices.map(({ closure, ...splice }, index) => ({
    ...splice,
    id: derivedId(request.importId, `splice ${index}`),
    projectId,
    closureId: closureIds.get(closure)!,
    cableA: cableIds.get(splice.cableA)!,
    cableB: cableIds.get(splice.cableB)!,
  }));
  const used = request.cables.filter((cable) => list.cables.includes(cable.name));
  const result = { splices: planned.length, closures: added.length, cables: used.length };
  await db.insert(imports).values({ id: request.importId, projectId, result });
  if (used.length > 0)
    await db.insert(cables).values(used.map((cable) => ({ ...cable, projectId })));
  if (added.length > 0) await db.insert(closures).values(added);
  for (const closure of there) {
    const trays = list.newTrays.get(closure.name) ?? [];
    if (trays.length > 0)
      await db
        .update(closures)
        .set({ trays: [...closure.trays, ...trays] })
        .where(eq(closures.id, closure.id));
  }
  await insertSplices(db, planned, project.limits.wavelengths);
  for (const closureId of new Set(planned.map((splice) => splice.closureId)))
    await addToPlan(db, closureId);
  await renewCircuitOrigins(db, projectId);
  return result;
}

async function withSplices(db: Db, projectId: string, there: Closure[], all: Cable[]) {
  const names = new Map(all.map((cable) => [cable.id, cable.name]));
  const groups = new Map<string, Placed[]>(there.map((closure) => [closure.id, []]));
  for (const splice of await db
    .select(spliceColumns)
    .from(splices)
    .where(and(eq(splices.projectId, projectId), eq(splices.live, true)))) {
    groups.get(splice.closureId)?.push({
      ...splice,
      cableA: names.get(splice.cableA) ?? splice.cableA,
      cableB: names.get(splice.cableB) ?? splice.cableB,
    });
  }
  return there.map((closure) => ({
    name: closure.name,
    trays: closure.trays,
    splices: groups.get(closure.id) ?? [],
  }));
}

function closuresFor(
  projectId: string,
  importId: string,
  there: Closure[],
  names: string[],
  trays: ReadonlyMap<string, Closure['trays']>,
): Closure[] {
  const known = new Set(there.map((closure) => closure.name));
  const next = Math.max(-1, ...there.map((closure) => closure.ordinal)) + 1;
  return names
    .filter((name) => !known.has(name))
    .map((name, index) => ({
      id: derivedId(importId, `closure ${name}`),
      projectId,
      name,
      ordinal: next + index,
      distance: null,
      branchOf: null,
      position: null,
      trays: trays.get(name) ?? [],
    }));
}
