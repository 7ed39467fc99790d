import { type SQL, sql } from 'drizzle-orm';
import { type Db, rowsOf } from '../db/client.ts';

/** What one of two people did. */
interface ConflictSide {
  entryId: string;
  by: string;
  at: string;
  receivedAt: string;
  /** Of an attempt. */
  estimateMdb: number | null;
  /** Of a point of the closing list. */
  verdict: string | null;
}

/**
 * Two entries of two people about the same, made before either could know of the other's. Of a plan the first side is who
 * changed it.
 */
export interface Conflict {
  kind: 'attempt' | 'point' | 'sign' | 'plan';
  closureId: string;
  spliceId: string | null;
  /** The fibers of the splice, the point of the list, or the role that both signed in. */
  what: string | null;
  sides: [ConflictSide, ConflictSide];
}

const MOST = 200;

/** Entries that are told side by side, with when they came: `receipts` know it where people sign in. */
const utc = (column: SQL): SQL =>
  sql`to_char(${column} at time zone 'UTC', 'YYYY-MM-DD"T"HH24:MI:SS.MS"Z"')`;

const side = (name: SQL): SQL =>
  sql`jsonb_build_object('entryId', ${name}.id, 'by', ${name}.by, 'at', ${utc(sql`${name}.at`)},
      'receivedAt', ${utc(sql`${name}.received_at`)}, 'estimateMdb', ${name}.estimate_mdb, 'verdict', ${name}.verdict)`;

/** Pairs of rows of which each was made before the other had come. */
const pairs = (kind: Conflict['kind'], rows: SQL, more = sql``): SQL =>
  sql`with own as materialized (${rows})
      select ${kind} as kind, x.closure_id as "closureId", x.splice_id as "spliceId", x.what,
        jsonb_build_array(${side(sql`x`)}, ${side(sql`y`)}) as sides
      from own x join own y on y.key = x.key and x.id < y.id and x.by <> y.by
      where x.received_at > y.at and y.received_at > x.at ${more}
      order by x.at limit ${MOST}`;

/** Attempts in force, each as it was made first. */
const attemptRows = (projectId: string): SQL =>
  sql`select a.id, a.by, a.at, r.received_at, a.estimate_mdb, null::text as verdict, s.closure_id, s.id as splice_id,
        ca.name || ' ' || s.fiber_a || ' / ' || cb.name || ' ' || s.fiber_b as what, s.id::text as key
      from attempts a join splices s on s.id = a.splice_id
      join cables ca on ca.id = s.cable_a join cables cb on cb.id = s.cable_b join receipts r on r.entry_id = a.id
      where s.project_id = ${projectId}::uuid and s.live and a.id = a.try_id and not a.void
        and not exists (select from attempts v where v.try_id = a.try_id and v.void)`;

const closingRows = (projectId: string, kind: string, what: SQL, verdict: SQL): SQL =>
  sql`select e.id, e.entry->>'by' as by, (e.entry->>'at')::timestamptz as at, r.received_at, null::int as estimate_mdb,
        ${verdict} as verdict, e.closure_id, null::uuid as splice_id, ${what} as what,
        e.closure_id::text || ' ' || ${what} as key
      from closing_entries e join closures c on c.id = e.closure_id join receipts r on r.entry_id = e.id
      where c.project_id = ${projectId}::uuid and e.kind = ${kind}`;

/** What two people did at the same time in a project, and nobody has decided yet. */
export async function conflictsOf(db: Db, projectId: string): Promise<Conflict[]> {
  const attempts = await rowsOf<Conflict>(db, pairs('attempt', attemptRows(projectId)));
  const points = await rowsOf<Conflict>(
    db,
    pairs(
      'point',
      closingRows(projectId, 'point', sql`(e.entry->>'point')`, sql`(e.entry->>'verdict')`),
      // Whoever looked again knew of both: the last word counts.
      sql`and x.verdict <> y.verdict and not exists (
            select from own z where z.key = x.key and z.at > x.received_at and z.at > y.received_at)`,
    ),
  );
  const signatures = await rowsOf<Conflict>(
    db,
    pairs('sign', closingRows(projectId, 'sign', sql`(e.entry->>'role')`, sql`null::text`)),
  );
  return [...attempts, ...points, ...signatures, ...(await madeWhileDropped(db, projectId))];
}

/** Splices that somebody made while a changed plan dropped them. */
const madeWhileDropped = (db: Db, projectId: string): Promise<Conflict[]> =>
  rowsOf<Conflict>(
    db,
    sql`select 'plan' as kind, d.closure_id as "closureId", d.id as "spliceId",
          ca.name || ' ' || (d.splice->>'fiberA') || ' / ' || cb.name || ' ' || (d.splice->>'fiberB') as what,
          jsonb_build_array(
            jsonb_build_object('entryId', d.id, 'by', coalesce(d.by, ''), 'at', ${utc(sql`d.at`)},
              'receivedAt', ${utc(sql`d.at`)}, 'estimateMdb', null, 'verdict', null),
            jsonb_build_object('entryId', e.id, 'by', e.entry->>'by', 'at', e.entry->>'at',
              'receivedAt', ${utc(sql`e.received_at`)}, 'estimateMdb', e.entry->'estimateMdb', 'verdict', null)) as sides
        from dropped_splices d
        join lateral (select * from undecided_evidence u where u.splice_id = d.id
          order by u.entry->>'type' = 'attempt' desc, u.seq desc limit 1) e on true
        join cables ca on ca.id = (d.splice->>'cableA')::uuid join cables cb on cb.id = (d.splice->>'cableB')::uuid
        where d.project_id = ${projectId}::uuid order by d.at limit ${MOST}`,
  );

/** Entries of one person whose device's clock was off by about as much. */
export interface ClockCorrection {
  by: string;
  /** By how much our clock was ahead of the device's, s; negative where the device's was. */
  offS: number;
  entries: number;
  /** The first and the last of them, by our clock. */
  from: string;
  to: string;
}

/** Entries of a project that were corrected, by person and day, the newest first. */
export const clockCorrectionsOf = (db: Db, projectId: string): Promise<ClockCorrection[]> =>
  rowsOf<ClockCorrection>(
    db,
    sql`with own as (
          select by, corrected_at, extract(epoch from corrected_at - said_at) as off from clock_corrections
          where project_id = ${projectId}::uuid)
        select by, round(avg(off))::float8 as "offS", count(*)::int as entries,
          ${utc(sql`min(corrected_at)`)} as "from", ${utc(sql`max(corrected_at)`)} as "to"
        from own group by by, date_trunc('day', corrected_at at time zone 'UTC'), round(off / 60)
        order by max(corrected_at) desc limit ${MOST}`,
  );
