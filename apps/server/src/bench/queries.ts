import { and, asc, desc, eq, inArray, ne, sql } from 'drizzle-orm';
import {
  BUILT_IN_INSTRUMENTS,
  type Instrument,
  type InstrumentEntry,
  type KeptRecord,
  type ReceivedRecord,
  type SetAside,
  type SplicerRecord,
} from '@cordel/core';
import { benchProblems as say } from '@cordel/text/server/bench';
import { appendOnly } from '../evidence/appendOnly.ts';
import { type Db, rowsOf } from '../db/client.ts';
import { instrumentLog, instruments, setAsides, splicerRecords } from '../db/schema.ts';
import { Problem, problemAt } from '../http/problem.ts';

/** Splicers and cleavers: those that ship and the users' own. */
export async function allInstruments(db: Db): Promise<Instrument[]> {
  return [...BUILT_IN_INSTRUMENTS, ...(await ownInstruments(db))];
}

const ownInstruments = async (db: Db): Promise<Instrument[]> =>
  (await db.select().from(instruments).orderBy(asc(instruments.id))).map((row) => row.record);

/** Users' own instruments that a project's records and log name. */
export async function usedInstruments(db: Db, projectId: string): Promise<Instrument[]> {
  const rows = await rowsOf<{ id: string }>(
    db,
    sql`select splicer_id as id from splicer_records where project_id = ${projectId}
        union select instrument_id from instrument_log where project_id = ${projectId}`,
  );
  const used = new Set(rows.map(({ id }) => id));
  return (await ownInstruments(db)).filter(({ id }) => used.has(id));
}

/**
 * Adds an instrument or changes one of the users' own.
 * @param known what becomes of one that is here already: `keep` leaves it for those who work by it
 */
export async function putInstrument(
  db: Db,
  record: Instrument,
  known: 'change' | 'keep' = 'change',
): Promise<void> {
  if (BUILT_IN_INSTRUMENTS.some((built) => built.id === record.id))
    throw new Problem(409, say('builtIn', { name: record.name }));
  const insert = db.insert(instruments).values({ id: record.id, record });
  await (known === 'keep'
    ? insert.onConflictDoNothing()
    : insert.onConflictDoUpdate({ target: instruments.id, set: { record } }));
}

/**
 * Takes in what splicers recorded. A record that is here already, by its id or as the same run of the
 * same splicer, changes nothing.
 * @param records with the moment they came in, where that is another than now
 * @returns how many were new
 */
export async function receive(
  db: Db,
  records: readonly (SplicerRecord & { receivedAt?: string })[],
): Promise<number> {
  const rows = records.map(({ receivedAt, ...record }) => ({
    id: record.id,
    projectId: record.projectId,
    splicerId: record.splicerId,
    number: record.number,
    at: new Date(record.at),
    origin: record.origin,
    ...(receivedAt ? { receivedAt: new Date(receivedAt) } : {}),
    record,
  }));
  const fresh = await appendOnly(db, splicerRecords, rows, {
    placeOf: (index) => `/records/${index}`,
    // The same run, whatever its file was read as.
    told: ['projectId', 'splicerId', 'number'],
  });
  return fresh.size;
}

type RecordRow = typeof splicerRecords.$inferSelect;

export const toReceived = ({ record, seq, receivedAt }: RecordRow): ReceivedRecord => ({
  ...record,
  seq,
  receivedAt: receivedAt.toISOString(),
});

/** How many of the newest records a bench looks back over. */
const NEWEST = 2000;

/** The newest records of a project, oldest of them first. */
export async function newestRecords(db: Db, projectId: string): Promise<ReceivedRecord[]> {
  const rows = await db
    .select()
    .from(splicerRecords)
    .where(eq(splicerRecords.projectId, projectId))
    .orderBy(desc(splicerRecords.seq))
    .limit(NEWEST);
  return rows.map(toReceived).reverse();
}

/** All records of a project as they came, in the order in which they came in. */
export async function allRecords(db: Db, projectId: string): Promise<KeptRecord[]> {
  const rows = await db
    .select({ record: splicerRecords.record, receivedAt: splicerRecords.receivedAt })
    .from(splicerRecords)
    .where(eq(splicerRecords.projectId, projectId))
    .orderBy(asc(splicerRecords.seq));
  return rows.map(({ record, receivedAt }) => ({
    ...record,
    receivedAt: receivedAt.toISOString(),
  }));
}

/** Ids of a project's records that a try in force has. */
export async function takenRecords(db: Db, projectId: string): Promise<string[]> {
  const rows = await rowsOf<{ id: string }>(
    db,
    sql`select distinct record_id as id from (
          select distinct on (a.try_id) a.record_id, a.void from attempts a
          where a.try_id in (
            select t.try_id from attempts t join splicer_records r on r.id = t.record_id
            where r.project_id = ${projectId})
          order by a.try_id, a.seq desc) last
        where not void and record_id is not null`,
  );
  return rows.map(({ id }) => id);
}

export async function setAsideOf(db: Db, projectId: string): Promise<SetAside[]> {
  const rows = await db
    .select({ row: setAsides })
    .from(setAsides)
    .innerJoin(splicerRecords, eq(splicerRecords.id, setAsides.recordId))
    .where(eq(splicerRecords.projectId, projectId))
    .orderBy(asc(setAsides.seq));
  return rows.map(({ row: { seq: _seq, at, ...rest } }) => ({ ...rest, at: at.toISOString() }));
}

/**
 * Sets records of a project aside; the same entry sent again changes nothing.
 * @throws Problem 422 at the first entry that names a record of another project
 */
export async function putAside(
  db: Db,
  projectId: string,
  entries: readonly SetAside[],
): Promise<void> {
  const strays = await db
    .select({ id: splicerRecords.id })
    .from(splicerRecords)
    .where(
      and(
        inArray(
          splicerRecords.id,
          entries.map(({ recordId }) => recordId),
        ),
        ne(splicerRecords.projectId, projectId),
      ),
    );
  const index = entries.findIndex(({ recordId }) => strays.some(({ id }) => id === recordId));
  if (index >= 0) throw problemAt(422, `/entries/${index}/recordId`, say('otherProject'));
  const rows = entries.map((entry) => ({ ...entry, at: new Date(entry.at) }));
  await appendOnly(db, setAsides, rows);
}

/** What was done to the instruments of a project, oldest first. */
export async function logOf(db: Db, projectId: string): Promise<InstrumentEntry[]> {
  const rows = await db
    .select({ entry: instrumentLog.entry })
    .from(instrumentLog)
    .where(eq(instrumentLog.projectId, projectId))
    .orderBy(asc(instrumentLog.seq));
  return rows.map(({ entry }) => entry);
}

/** Appends to the log; the same entry sent again changes nothing. */
export async function appendLog(db: Db, entries: readonly InstrumentEntry[]): Promise<void> {
  const rows = entries.map((entry) => ({
    id: entry.id,
    projectId: entry.projectId,
    instrumentId: entry.instrumentId,
    entry,
  }));
  await appendOnly(db, instrumentLog, rows);
}
