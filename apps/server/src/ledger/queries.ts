import { type SQL, and, asc, desc, eq, sql } from 'drizzle-orm';
import {
  EMPTY_TALLY,
  addTally,
  type ClosureRow,
  type FiberRow,
  type GroupKind,
  type LedgerQuery,
  type Page,
  type RedoRow,
  type SpliceRow,
  type TrayRow,
  type Verdict,
  type Limits,
  type RollUp,
  type Tally,
  type SpliceStage,
  URGENCY,
  VERDICTS,
  judgeSplice,
  reasonsFor,
  rollUp,
  spliceStage,
  spliceStateOf,
  groupBy,
} from '@cordel/core';
import { spliceColumns } from '../splices/columns.ts';
import { type Db, rowsOf } from '../db/client.ts';
import { shared } from '../db/shared.ts';
import { closures, splices } from '../db/schema.ts';
import { closingStages } from '../closing/queries.ts';
import { bySplice, evidenceOf, idArray } from '../evidence/queries.ts';
import { getCables, getClosures, getProject } from '../projects/queries.ts';
import { allSchemes } from '../schemes/queries.ts';
import { refresh } from './refresh.ts';
import { searchCondition } from './search.ts';

/** Counts and sums over `splices s`, the losses over splices alone and not over ends, as core's roll-up wants them; states as `spliceState` tells them apart. */
const TALLY = sql`
  count(*)::int as total,
  count(*) filter (where s.verdict = 'open' and not s.redo)::int as open,
  count(*) filter (where s.verdict = 'skipped')::int as skipped,
  count(*) filter (where s.verdict = 'dead')::int as dead,
  count(*) filter (where s.redo)::int as redo,
  count(*) filter (where s.verdict = 'provisional' and not s.redo)::int as spliced,
  count(*) filter (where s.verdict = 'pass')::int as measured,
  count(*) filter (where s.verdict = 'accepted')::int as accepted,
  count(*) filter (where s.verdict = 'fail')::int as failed,
  count(*) filter (where s.origin = 'simulated')::int as simulated,
  count(s.loss_half_mdb) filter (where s.end_way is null)::int as figures,
  coalesce(sum(s.loss_half_mdb) filter (where s.end_way is null), 0)::float8 as "sumHalfMdb",
  max(s.loss_half_mdb) filter (where s.end_way is null) as "maxHalfMdb",
  min(s.grade) filter (where s.end_way is null) as weakest`;

interface ClosureRows {
  project: RollUp;
  closures: ClosureRow[];
}

/** The project's tally and a row a closure in route order: what the Route and the Ledger's head show. */
export const closureRows = (db: Db, projectId: string): Promise<ClosureRows> =>
  shared(db, `closures ${projectId}`, () => readClosureRows(db, projectId));

async function readClosureRows(db: Db, projectId: string): Promise<ClosureRows> {
  const { limits } = await getProject(db, projectId);
  await refresh(db, projectId);
  const rows = await rowsOf<Tally & { closureId: string; tray: number }>(
    db,
    sql`select s.closure_id as "closureId", s.tray, ${TALLY} from splices s
        where s.project_id = ${projectId} and s.live group by s.closure_id, s.tray order by s.tray`,
  );
  const trays = groupBy(rows, ({ closureId }) => closureId);
  const stages = await closingStages(db, projectId);
  const closures = (await getClosures(db, projectId)).map((closure): ClosureRow => {
    const own = trays.get(closure.id) ?? [];
    const traysOver = own
      .filter((tray) => tray.failed === 0 && rollUp(tray, 'tray', limits).verdict === 'fail')
      .map(({ tray }) => tray);
    const { id: closureId, name, distance, branchOf } = closure;
    const tally = own.reduce(addTally, EMPTY_TALLY);
    const trayCount = closure.trays.length;
    const judged = rollUp(tally, 'closure', limits, traysOver.length);
    const closing = stages.get(closureId) ?? 'to come';
    return { closureId, name, distance, branchOf, trayCount, traysOver, closing, ...judged };
  });
  const whole = closures.reduce(addTally, EMPTY_TALLY);
  const failing = closures.filter((row) => row.verdict === 'fail').length;
  return {
    project: rollUp(whole, 'closure', { ...limits, mean: NO_MEANS }, failing),
    closures,
  };
}

/** A project as a whole has no mean of its own to keep. */
const NO_MEANS: Limits['mean'] = { fiber: null, tray: null, closure: null };

/** Conditions a query sets on the splices that a row must have one of. */
async function asked(db: Db, projectId: string, query: LedgerQuery): Promise<SQL | undefined> {
  const conditions: (SQL | undefined)[] = [
    eq(splices.projectId, projectId),
    eq(splices.live, true),
  ];
  if (query.closureId) conditions.push(eq(splices.closureId, query.closureId));
  if (query.q?.trim())
    conditions.push(searchCondition(query.q, await getCables(db, projectId), await allSchemes(db)));
  return and(...conditions);
}

/** Whether a group, by its key, has a splice that the query finds. Without a search nothing need be looked up. */
async function filteredBy(
  db: Db,
  projectId: string,
  query: LedgerQuery,
  key: SQL,
  columns: SQL,
): Promise<SQL> {
  if (!query.closureId && !query.q?.trim()) return sql`true`;
  const condition = await asked(db, projectId, query);
  return sql`${key} in (select ${columns} from splices join closures on closures.id = splices.closure_id where ${condition})`;
}

/** A row a tray. */
export async function trayRows(
  db: Db,
  projectId: string,
  query: LedgerQuery,
): Promise<Page<TrayRow>> {
  const found = await filteredBy(
    db,
    projectId,
    query,
    sql`(s.closure_id, s.tray)`,
    sql`splices.closure_id, splices.tray`,
  );
  return groups<TrayRow>(
    db,
    projectId,
    query,
    'tray',
    sql`select g.*, c.name as closure from (
          select s.closure_id as "closureId", s.tray, ${TALLY} from splices s
          where s.project_id = ${projectId} and s.live and ${found}
          group by s.closure_id, s.tray) g
        join closures c on c.id = g."closureId"
        order by c.distance nulls last, c.ordinal, c.name, g.tray`,
  );
}

/** A row a fiber along the route, with all its splices whichever of them the query found. */
export async function fiberRows(
  db: Db,
  projectId: string,
  query: LedgerQuery,
): Promise<Page<FiberRow>> {
  const found = await filteredBy(
    db,
    projectId,
    query,
    sql`(s.head_cable, s.head_fiber)`,
    sql`splices.head_cable, splices.head_fiber`,
  );
  return groups<FiberRow>(
    db,
    projectId,
    query,
    'fiber',
    sql`select s.head_cable as "headCable", s.head_fiber as "headFiber", ${TALLY} from splices s
        join cables h on h.id = s.head_cable
        where s.project_id = ${projectId} and s.live and ${found}
        group by s.head_cable, s.head_fiber, h.name
        order by length(h.name), h.name, s.head_fiber`,
  );
}

/** Judges rows of tallies in core, then filters, sorts and cuts out the page asked for. */
async function groups<Row extends RollUp>(
  db: Db,
  projectId: string,
  query: LedgerQuery,
  kind: GroupKind,
  statement: SQL,
): Promise<Page<Row>> {
  const { limits } = await getProject(db, projectId);
  await refresh(db, projectId);
  const tallies = await rowsOf<Row>(db, statement);
  const rows = tallies
    .map((row) => ({ ...row, ...rollUp(row, kind, limits) }))
    .filter((row) => query.verdict === undefined || row.verdict === query.verdict);
  if (query.sort === 'worst')
    rows.sort((a, b) => (b.maxHalfMdb ?? -Infinity) - (a.maxHalfMdb ?? -Infinity));
  if (query.sort === 'mean') rows.sort((a, b) => meanOf(b) - meanOf(a));
  if (query.sort === 'verdict') rows.sort((a, b) => URGENCY[a.verdict] - URGENCY[b.verdict]);
  return { rows: rows.slice(query.offset, query.offset + query.limit), total: rows.length };
}

const meanOf = (tally: Tally): number =>
  tally.figures === 0 ? -Infinity : tally.sumHalfMdb / tally.figures;

const { projectId: _project, extra: _extra, ...planned } = spliceColumns;

export const spliceRowColumns = {
  ...planned,
  closure: closures.name,
  headCable: splices.headCable,
  headFiber: splices.headFiber,
  verdict: splices.verdict,
  redo: splices.redo,
  grade: splices.grade,
  lossHalfMdb: splices.lossHalfMdb,
  wavelengthNm: splices.wavelengthNm,
  tries: splices.tries,
  origin: splices.origin,
  missing: splices.missing,
};

/** Judgements that make up a state. */
function inState(state: SpliceStage): SQL {
  const all = VERDICTS.flatMap((verdict) => [
    { verdict, redo: false },
    { verdict, redo: true },
  ]);
  const own = all.filter((judged) => spliceStage(judged) === state);
  return sql.join([
    sql`(`,
    sql.join(
      own.map(
        ({ verdict, redo }) => sql`(${splices.verdict} = ${verdict} and ${splices.redo} = ${redo})`,
      ),
      sql` or `,
    ),
    sql`)`,
  ]);
}

export const routeOrder = [
  sql`${closures.distance} asc nulls last`,
  asc(closures.ordinal),
  asc(closures.name),
  asc(splices.tray),
  asc(splices.slot),
  asc(splices.fiberA),
];

/** A row a splice. */
export async function spliceRows(
  db: Db,
  projectId: string,
  query: LedgerQuery,
): Promise<Page<SpliceRow>> {
  await refresh(db, projectId);
  const condition = and(
    await asked(db, projectId, query),
    query.verdict ? eq(splices.verdict, query.verdict) : undefined,
    query.state ? inState(query.state) : undefined,
  );
  const ranked = Object.keys(URGENCY).sort((a, b) => URGENCY[a as Verdict] - URGENCY[b as Verdict]);
  const urgency = sql`array_position(${`{${ranked.join(',')}}`}::text[], ${splices.verdict})`;
  const order = {
    route: routeOrder,
    worst: [sql`${desc(splices.lossHalfMdb)} nulls last`, ...routeOrder],
    mean: [sql`${desc(splices.lossHalfMdb)} nulls last`, ...routeOrder],
    verdict: [urgency, ...routeOrder],
  }[query.sort];
  const from = () =>
    sql`from splices join closures on closures.id = splices.closure_id where ${condition}`;
  const [count] = await rowsOf<{ total: number }>(db, sql`select count(*)::int as total ${from()}`);
  const rows = await db
    .select(spliceRowColumns)
    .from(splices)
    .innerJoin(closures, eq(closures.id, splices.closureId))
    .where(condition)
    .orderBy(...order)
    .offset(query.offset)
    .limit(query.limit);
  return { rows, total: count?.total ?? 0 };
}

/** Splices to redo in route order, each with its reasons. */
export async function redoRows(
  db: Db,
  projectId: string,
  query: LedgerQuery,
): Promise<Page<RedoRow>> {
  const { limits } = await getProject(db, projectId);
  await refresh(db, projectId);
  const condition = and(await asked(db, projectId, query), eq(splices.redo, true));
  const rows = await db
    .select(spliceRowColumns)
    .from(splices)
    .innerJoin(closures, eq(closures.id, splices.closureId))
    .where(condition)
    .orderBy(
      ...(query.sort === 'worst' ? [sql`${splices.lossHalfMdb} desc nulls last`] : []),
      ...routeOrder,
    );
  const page = rows.slice(query.offset, query.offset + query.limit);
  const evidence = bySplice(
    await evidenceOf(db, sql`${splices.id} = any(${idArray(page.map((row) => row.id))}::uuid[])`),
  );
  const explained = page.map((row) => {
    const spliceState = spliceStateOf(evidence.get(row.id) ?? []);
    return {
      ...row,
      reasons: reasonsFor(spliceState, judgeSplice(spliceState, row, limits), row, limits),
    };
  });
  return { rows: explained, total: rows.length };
}
