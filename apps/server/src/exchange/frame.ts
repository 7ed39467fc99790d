import { sql } from 'drizzle-orm';
import { DOCUMENT_VERSION, type ProjectDocument } from '@cordel/core/document';
import { allRecords, logOf, setAsideOf, usedInstruments } from '../bench/queries.ts';
import { allClosing, allSigned } from '../closing/queries.ts';
import { type Db, rowsOf } from '../db/client.ts';
import { linksOf } from '../links/queries.ts';
import { getPlans } from '../plans/queries.ts';
import { assembliesOf, ownHardware } from '../prep/queries.ts';
import { getCables, getClosures, getProject } from '../projects/queries.ts';
import { archivedOf } from '../removal/queries.ts';
import { allSchemes } from '../schemes/queries.ts';
import { allPlaces } from '../traces/queries.ts';

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
    links: await linksOf(db, projectId),
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
        union select e.id from inspections e ${own} left join attempts a on a.id = e.try_id
          left join inspections o on o.id = e.supersedes where a.seq > e.seq or o.seq > e.seq
        union select e.id from rulings e ${own} join attempts a on a.id = e.try_id where a.seq > e.seq
        union select p.id from trace_places p join traces t on t.id = p.trace_id and t.project_id = ${projectId}
          join cables c on c.id = p.cable_id where c.project_id <> ${projectId}
        order by id`,
  );
  return rows.map(({ id }) => id);
}
