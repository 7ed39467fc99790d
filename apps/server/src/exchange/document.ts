import { eq, sql } from 'drizzle-orm';
import {
  BUILT_IN_SCHEMES,
  type Evidence,
  type Splice,
  addressOf,
  findClashes,
  isFuture,
  retirementsOf,
} from '@cordel/core';
import { DOCUMENT_VERSION, type ProjectDocument } from '@cordel/core/document';
import {
  allRecords,
  appendLog,
  logOf,
  putAside,
  putInstrument,
  receive,
  setAsideOf,
  usedInstruments,
} from '../bench/queries.ts';
import { digestOf } from '@cordel/core/close';
import { allClosing, allSigned, appendClosing, keepPhoto, keepSigned } from '../closing/queries.ts';
import { type Db, rowsOf } from '../db/client.ts';
import { cables, closures, plans, projects, schemes } from '../db/schema.ts';
import { recordAll } from '../evidence/queries.ts';
import { futureWords } from '../http/moments.ts';
import { Problem, type ProblemPlace } from '../http/problem.ts';
import { refresh } from '../ledger/refresh.ts';
import { assembliesOf, ownHardware, putAssemblies, putHardware } from '../prep/queries.ts';
import { getPlans } from '../plans/queries.ts';
import { getCables, getClosures, getProject } from '../projects/queries.ts';
import { archivedOf, setArchived } from '../removal/queries.ts';
import { allSchemes } from '../schemes/queries.ts';
import { sha256 } from '../traces/facts.ts';
import { allPlaces, keepTrace, placeTraces } from '../traces/queries.ts';
import { odditiesOf } from './oddities.ts';
import { renewHeads } from '../splices/heads.ts';
import { insertSplices } from '../splices/insert.ts';

/** Parts of a document that grow with the work: a package takes them piece by piece. */
type Growing = 'splices' | 'evidence' | 'traces' | 'photos';

/** A project's document but for what grows with the work. */
export async function readFrame(
  db: Db,
  projectId: string,
): Promise<Omit<ProjectDocument, Growing>> {
  const project = await getProject(db, projectId);
  const ownCables = await getCables(db, projectId);
  const odd = await oddIds(db, projectId);
  const used = new Set([project.schemeId, ...ownCables.map((cable) => cable.schemeId)]);
  return {
    format: 'cordel.project',
    version: DOCUMENT_VERSION,
    project,
    schemes: [...(await allSchemes(db)).values()].filter((scheme) => used.has(scheme.id)),
    closures: await getClosures(db, projectId),
    cables: ownCables,
    archived: await archivedOf(db, projectId),
    plans: await getPlans(db, projectId),
    hardware: await ownHardware(db, projectId),
    assemblies: await assembliesOf(db, projectId),
    instruments: await usedInstruments(db, projectId),
    splicerRecords: await allRecords(db, projectId),
    setAside: await setAsideOf(db, projectId),
    instrumentLog: await logOf(db, projectId),
    tracePlaces: await allPlaces(db, projectId),
    closing: await allClosing(db, projectId),
    signed: await allSigned(db, projectId),
    ...(odd.length > 0 ? { odd } : {}),
  };
}

/** Entries that earlier versions took and that contradict others: they name what comes after, or is elsewhere. */
async function oddIds(db: Db, projectId: string): Promise<string[]> {
  const own = sql`join splices s on s.id = e.splice_id and s.project_id = ${projectId}`;
  const rows = await rowsOf<{ id: string }>(
    db,
    sql`select e.id from attempts e ${own} left join attempts o on o.id = e.supersedes
          left join splicer_records r on r.id = e.record_id
          where o.seq > e.seq or r.project_id <> s.project_id
        union select e.id from readings e ${own} left join attempts a on a.id = e.try_id
          left join readings o on o.id = e.supersedes left join traces t on t.id = e.trace_id
          where a.seq > e.seq or o.seq > e.seq or t.project_id <> s.project_id
        union select e.id from rulings e ${own} join attempts a on a.id = e.try_id where a.seq > e.seq
        union select p.id from trace_places p join traces t on t.id = p.trace_id and t.project_id = ${projectId}
          join cables c on c.id = p.cable_id where c.project_id <> ${projectId}
        order by id`,
  );
  return rows.map(({ id }) => id);
}

/**
 * Imports a whole project, all or nothing.
 * @throws Problem 409 where the project is here already, 422 where the document contradicts itself
 */
export async function writeDocument(db: Db, sent: ProjectDocument): Promise<void> {
  const odd = new Set(sent.odd);
  const document = odd.size > 0 ? withoutStrays(sent, odd) : sent;
  const { project } = document;
  const [here] = await db
    .select({ name: projects.name })
    .from(projects)
    .where(eq(projects.id, project.id));
  if (here)
    throw new Problem(409, `This project is here already, as “${here.name}”. Nothing was changed.`);
  const places = contradictions(
    document,
    new Set((await allSchemes(db)).keys()),
    new Date().toISOString(),
  );
  if (places.length > 0) {
    throw new Problem(
      422,
      `The document contradicts itself: ${places[0]!.place}: ${places[0]!.detail}`,
      places.slice(0, 500),
    );
  }
  await db.transaction(async (tx) => {
    const on = tx as unknown as Db;
    const known = new Set(BUILT_IN_SCHEMES.map((scheme) => scheme.id));
    for (const scheme of document.schemes.filter(({ id }) => !known.has(id))) {
      // A scheme that is here already stays as it is: other projects count by it.
      await tx.insert(schemes).values({ id: scheme.id, record: scheme }).onConflictDoNothing();
    }
    await tx.insert(projects).values({ ...project, createdAt: new Date(project.createdAt) });
    if (document.cables.length > 0) await tx.insert(cables).values(document.cables);
    for (const closure of parentsFirst(document.closures))
      await tx.insert(closures).values(closure);
    for (const own of document.hardware) await putHardware(on, own, 'keep');
    await putAssemblies(on, document.assemblies);
    await archiveOf(on, document);
    if (document.plans.length > 0) await tx.insert(plans).values(document.plans);
    await insertSplices(
      on,
      document.splices,
      project.limits.wavelengths,
      new Set(retirementsOf(document.evidence).keys()),
    );
    await renewHeads(on, project.id);
    await writeBench(on, document);
    await writeTraces(on, document);
    await recordAll(on, document.evidence, odd.size > 0 ? Infinity : EVIDENCE_BATCH);
    await writeClosing(on, document);
    if (document.evidence.length >= EVIDENCE_BATCH)
      await rowsOf(on, sql`analyze attempts, readings, rulings`);
  });
  await refresh(db, project.id);
}

/** Entries that are known to be odd come in without what the project does not have. */
function withoutStrays(document: ProjectDocument, odd: ReadonlySet<string>): ProjectDocument {
  const [traces, records, own] = [document.traces, document.splicerRecords, document.cables].map(
    (list) => new Set(list.map(({ id }) => id)),
  ) as [Set<string>, Set<string>, Set<string>];
  return {
    ...document,
    evidence: document.evidence.map((entry) => {
      if (!odd.has(entry.id)) return entry;
      if (entry.type === 'reading' && entry.traceId !== null && !traces.has(entry.traceId))
        return { ...entry, traceId: null };
      if (entry.type === 'attempt' && entry.recordId !== null && !records.has(entry.recordId))
        return { ...entry, recordId: null, recordPosition: null };
      return entry;
    }),
    tracePlaces: document.tracePlaces.map((place) =>
      odd.has(place.id) && place.cableId !== null && !own.has(place.cableId)
        ? { ...place, cableId: null, fiber: null, direction: null, wavelengthNm: null, why: STRAY }
        : place,
    ),
  };
}

const STRAY = 'It was placed on a cable of another project.';

/** Closures and cables that were out of the way are so again. */
async function archiveOf(db: Db, { archived, closures: own }: ProjectDocument): Promise<void> {
  const ownClosures = new Set(own.map(({ id }) => id));
  for (const id of archived)
    await setArchived(db, ownClosures.has(id) ? 'closure' : 'cable', id, true);
}

const EVIDENCE_BATCH = 5000;

/** Instruments and what they recorded: attempts name these records, so they go in before the evidence. */
async function writeBench(db: Db, document: ProjectDocument): Promise<void> {
  for (const own of document.instruments) await putInstrument(db, own, 'keep');
  for (let start = 0; start < document.splicerRecords.length; start += 500)
    await receive(db, document.splicerRecords.slice(start, start + 500));
  await putAside(db, document.setAside);
  await appendLog(db, document.instrumentLog);
}

/** Traces and where they belong: readings name them, so they go in before the evidence. */
async function writeTraces(db: Db, document: ProjectDocument): Promise<void> {
  for (const [index, { bytes, digest, ...trace }] of document.traces.entries()) {
    const file = new Uint8Array(Buffer.from(bytes, 'base64'));
    if (sha256(file) !== digest) {
      const detail = `The bytes of ${trace.name} are not those that its digest was made of.`;
      throw new Problem(422, detail, [{ place: `/traces/${index}/bytes`, detail }]);
    }
    await keepTrace(db, { ...trace, bytes: file });
  }
  await placeTraces(db, document.tracePlaces);
}

/** What was done to close closures, and signed: it goes in as it is, for a copy keeps every signature. */
async function writeClosing(db: Db, document: ProjectDocument): Promise<void> {
  for (const photo of document.photos) await keepPhoto(db, photo);
  for (let start = 0; start < document.closing.length; start += 500)
    await appendClosing(db, document.closing.slice(start, start + 500));
  for (const [index, record] of document.signed.entries()) {
    if (digestOf(record.content) !== record.digest) {
      const detail =
        'This record is not what its digest was made of: it was changed after it was signed.';
      throw new Problem(422, detail, [{ place: `/signed/${index}/content`, detail }]);
    }
  }
  await keepSigned(db, document.signed);
}

function parentsFirst(list: ProjectDocument['closures']): ProjectDocument['closures'] {
  const byId = new Map(list.map((closure) => [closure.id, closure]));
  const ordered = new Map<string, ProjectDocument['closures'][number]>();
  const visit = (closure: ProjectDocument['closures'][number]): void => {
    if (ordered.has(closure.id)) return;
    const parent = closure.branchOf === null ? undefined : byId.get(closure.branchOf);
    if (parent) visit(parent);
    ordered.set(closure.id, closure);
  };
  list.forEach(visit);
  return [...ordered.values()];
}

/** What records of a document say against each other, each at its JSON Pointer. */
function contradictions(
  document: ProjectDocument,
  known: ReadonlySet<string>,
  now: string,
): ProblemPlace[] {
  const places: ProblemPlace[] = [];
  const complain = (place: string, detail: string) => places.push({ place, detail });
  const schemeMap = new Map(
    [...BUILT_IN_SCHEMES, ...document.schemes].map((scheme) => [scheme.id, scheme]),
  );
  const cableMap = new Map(document.cables.map((cable) => [cable.id, cable]));
  const closureMap = new Map(document.closures.map((closure) => [closure.id, closure]));
  const spliceIds = new Set(document.splices.map((splice) => splice.id));
  for (const kind of [
    'closures',
    'cables',
    'splices',
    'splicerRecords',
    'instrumentLog',
    'traces',
  ] as const) {
    document[kind].forEach((entry, index) => {
      if (entry.projectId !== document.project.id)
        complain(`/${kind}/${index}/projectId`, 'It belongs to another project.');
    });
  }
  for (const [index, cable] of document.cables.entries()) {
    if (!schemeMap.has(cable.schemeId) && !known.has(cable.schemeId))
      complain(`/cables/${index}/schemeId`, `There is no colour scheme “${cable.schemeId}”.`);
  }
  for (const [index, closure] of document.closures.entries()) {
    const steps = new Set<string>();
    for (
      let at: string | null = closure.id;
      at !== null;
      at = closureMap.get(at)?.branchOf ?? null
    ) {
      if (steps.has(at) || !closureMap.has(at)) {
        complain(
          `/closures/${index}/branchOf`,
          'It branches off in a circle or from a closure that is not in the document.',
        );
        break;
      }
      steps.add(at);
    }
  }
  for (const kind of ['plans', 'assemblies', 'closing', 'photos', 'signed'] as const)
    document[kind].forEach((entry, index) => {
      if (!closureMap.has(entry.closureId))
        complain(`/${kind}/${index}/closureId`, 'There is no such closure in the document.');
    });
  document.splices.forEach((splice, index) => {
    if (!closureMap.has(splice.closureId))
      complain(`/splices/${index}/closureId`, 'There is no such closure in the document.');
    for (const side of ['A', 'B'] as const) {
      const cable = cableMap.get(splice[`cable${side}`]);
      const scheme = cable && schemeMap.get(cable.schemeId);
      if (!cable)
        complain(`/splices/${index}/cable${side}`, 'There is no such cable in the document.');
      else if (scheme) {
        try {
          addressOf(cable.makeUp, scheme, splice[`fiber${side}`]);
        } catch (error) {
          complain(`/splices/${index}/fiber${side}`, (error as Error).message);
        }
      }
    }
  });
  const retired = retirementsOf(document.evidence);
  const byClosure = new Map<string, { splice: Splice; index: number }[]>();
  document.splices.forEach((splice, index) => {
    if (retired.has(splice.id)) return;
    const own = byClosure.get(splice.closureId);
    if (own) own.push({ splice, index });
    else byClosure.set(splice.closureId, [{ splice, index }]);
  });
  for (const closure of document.closures) {
    const own = byClosure.get(closure.id) ?? [];
    const clashes = findClashes(
      own.map(({ splice }) => splice),
      closure.trays,
      (at) => `splice ${own[at]!.index}`,
      (id) => cableMap.get(id)?.name ?? id,
    );
    for (const clash of clashes)
      complain(`/splices/${own[clash.index]!.index}/${clash.column}`, clash.message);
  }
  checkEvidence(document.evidence, spliceIds, complain);
  const odd = new Set(document.odd);
  for (const { id, place, detail } of odditiesOf(document))
    if (!odd.has(id)) complain(place, detail);
  checkOrigins(document, complain);
  checkMoments(document, now, complain);
  return places;
}

type Complain = (place: string, detail: string) => void;

/** What was simulated comes in with a practice project only. */
function checkOrigins(document: ProjectDocument, complain: Complain): void {
  if (document.project.practiceOnly) return;
  const lists: [string, readonly object[]][] = [
    ['evidence', document.evidence],
    ['splicerRecords', document.splicerRecords],
    ['instrumentLog', document.instrumentLog],
    ['traces', document.traces],
    ['closing', document.closing],
  ];
  for (const [name, list] of lists)
    list.forEach((entry, index) => {
      if ('origin' in entry && entry.origin === 'simulated')
        complain(
          `/${name}/${index}/origin`,
          'It was simulated, and the project is not marked as practice only. Nothing was imported.',
        );
    });
}

/** Nothing was done at a moment that is still to come. */
function checkMoments(document: ProjectDocument, now: string, complain: Complain): void {
  for (const name of ['evidence', 'closing', 'instrumentLog', 'setAside', 'tracePlaces'] as const)
    document[name].forEach(({ at }, index) => {
      if (isFuture(at, now)) complain(`/${name}/${index}/at`, futureWords(at, now));
    });
}

function checkEvidence(
  evidence: readonly Evidence[],
  spliceIds: ReadonlySet<string>,
  complain: Complain,
): void {
  const ids = new Set<string>();
  evidence.forEach((entry, index) => {
    if (!spliceIds.has(entry.spliceId))
      complain(`/evidence/${index}/spliceId`, 'There is no such splice in the document.');
    if (ids.has(entry.id)) complain(`/evidence/${index}/id`, 'The id is used twice.');
    ids.add(entry.id);
  });
}
