import { and, asc, eq, sql, inArray } from 'drizzle-orm';
import { type ClosingEntry, type Photo, type SignedRecord, digestOf } from '@cordel/core/close';
import { closingProblems as say } from '@cordel/text/server/closing';
import { appendOnly } from '../evidence/appendOnly.ts';
import { type Db, rowsOf } from '../db/client.ts';
import { closingEntries, closures, photos, signedRecords } from '../db/schema.ts';
import { notFound, problemAt } from '../http/problem.ts';

/** A photo as lists show it: without its bytes. */
export type PhotoRow = Omit<Photo, 'bytes'> & { digest: string };

/** What was done to close a closure, in recorded order. */
export const closingOf = (db: Db, closureId: string): Promise<ClosingEntry[]> =>
  closingOfAll(db, [closureId]);

/** The same of some closures. */
export async function closingOfAll(db: Db, closureIds: readonly string[]): Promise<ClosingEntry[]> {
  const rows = await db
    .select({ entry: closingEntries.entry })
    .from(closingEntries)
    .where(inArray(closingEntries.closureId, [...closureIds]))
    .orderBy(asc(closingEntries.seq));
  return rows.map(({ entry }) => entry);
}

/** The same of all closures of a project. */
export async function allClosing(db: Db, projectId: string): Promise<ClosingEntry[]> {
  const rows = await db
    .select({ entry: closingEntries.entry })
    .from(closingEntries)
    .innerJoin(closures, eq(closures.id, closingEntries.closureId))
    .where(eq(closures.projectId, projectId))
    .orderBy(asc(closingEntries.seq));
  return rows.map(({ entry }) => entry);
}

/**
 * Appends entries in their order; the same entry sent again changes nothing.
 * @param start place of the first of them in what was sent
 * @throws Problem 409 where another entry has the id
 */
export async function appendClosing(
  db: Db,
  entries: readonly ClosingEntry[],
  start = 0,
): Promise<void> {
  const rows = entries.map((entry) => ({
    id: entry.id,
    closureId: entry.closureId,
    kind: entry.kind,
    entry,
  }));
  await appendOnly(db, closingEntries, rows, { placeOf: (index) => `/entries/${start + index}` });
}

const photoColumns = {
  id: photos.id,
  closureId: photos.closureId,
  by: photos.by,
  at: photos.at,
  width: photos.width,
  height: photos.height,
  digest: photos.digest,
};

const toPhoto = ({ at, ...rest }: { at: Date } & Omit<PhotoRow, 'at'>): PhotoRow => ({
  ...rest,
  at: at.toISOString(),
});

/** Photos of a closure, as they came. */
export const photosOf = (db: Db, closureId: string): Promise<PhotoRow[]> =>
  photosOfAll(db, [closureId]);

/** The same of some closures. */
export async function photosOfAll(db: Db, closureIds: readonly string[]): Promise<PhotoRow[]> {
  const rows = await db
    .select(photoColumns)
    .from(photos)
    .where(inArray(photos.closureId, [...closureIds]))
    .orderBy(asc(photos.seq));
  return rows.map(toPhoto);
}

const withBytes = { ...photoColumns, bytes: sql<string>`encode(${photos.bytes}, 'base64')` };

const toWhole = ({
  digest: _digest,
  at,
  bytes,
  ...row
}: { at: Date; bytes: string } & Omit<PhotoRow, 'at'>): Photo => ({
  ...row,
  at: at.toISOString(),
  // The database breaks its lines.
  bytes: bytes.replaceAll('\n', ''),
});

/** A photo with its bytes. */
export async function wholePhoto(db: Db, photoId: string): Promise<Photo> {
  const [row] = await db.select(withBytes).from(photos).where(eq(photos.id, photoId));
  if (!row) throw notFound('photo');
  return toWhole(row);
}

/** A photo without its bytes, as it stands in a document beside its file. */
export async function photoAlone(db: Db, photoId: string): Promise<Omit<Photo, 'bytes'>> {
  const [row] = await db.select(photoColumns).from(photos).where(eq(photos.id, photoId));
  if (!row) throw notFound('photo');
  const { digest: _digest, ...rest } = toPhoto(row);
  return rest;
}

/** Whether bytes begin and end as a JPEG picture does. Source: ITU-T T.81, annex B: SOI and EOI. */
const isJpeg = (bytes: Uint8Array): boolean =>
  bytes[0] === 0xff && bytes[1] === 0xd8 && bytes.at(-2) === 0xff && bytes.at(-1) === 0xd9;

/** A photo's row. Throws a 422 problem where it is no JPEG picture. */
export function photoRow({ at, ...photo }: Omit<Photo, 'bytes'>, bytes: Uint8Array) {
  if (!isJpeg(bytes)) {
    throw problemAt(422, '/bytes', say('notAJpeg'));
  }
  return {
    ...photo,
    at: new Date(at),
    digest: digestOf(bytes),
    bytes: sql`decode(${Buffer.from(bytes).toString('base64')}, 'base64')`,
  };
}

/**
 * Keeps a photo; the same one sent again changes nothing.
 * @throws Problem 409 where another photo has the id
 */
export async function keepPhoto(db: Db, row: ReturnType<typeof photoRow>): Promise<void> {
  await appendOnly(db, photos, [row], { placeOf: () => '/id' });
}

/** Whether a photo is kept with this content. */
export async function hasPhoto(db: Db, id: string, digest: string): Promise<boolean> {
  const rows = await db
    .select({ id: photos.id })
    .from(photos)
    .where(and(eq(photos.id, id), eq(photos.digest, digest)));
  return rows.length > 0;
}

/** A photo's file. */
export const photoFile = async (db: Db, photoId: string): Promise<Uint8Array> =>
  new Uint8Array(Buffer.from((await wholePhoto(db, photoId)).bytes, 'base64'));

/** Records of a closure as they were signed, in the order in which they were. */
export const signedOf = (db: Db, closureId: string): Promise<SignedRecord[]> =>
  signedOfAll(db, [closureId]);

/** The same of some closures. */
export async function signedOfAll(db: Db, closureIds: readonly string[]): Promise<SignedRecord[]> {
  const { digest, content } = signedRecords;
  return db
    .select({ closureId: signedRecords.closureId, digest, content })
    .from(signedRecords)
    .where(inArray(signedRecords.closureId, [...closureIds]))
    .orderBy(asc(signedRecords.seq));
}

/** The same of all closures of a project. */
export async function allSigned(db: Db, projectId: string): Promise<SignedRecord[]> {
  const { digest, content } = signedRecords;
  return db
    .select({ closureId: signedRecords.closureId, digest, content })
    .from(signedRecords)
    .innerJoin(closures, eq(closures.id, signedRecords.closureId))
    .where(eq(closures.projectId, projectId))
    .orderBy(asc(signedRecords.seq));
}

export async function keepSigned(db: Db, records: readonly SignedRecord[]): Promise<void> {
  if (records.length > 0)
    await db
      .insert(signedRecords)
      .values([...records])
      .onConflictDoNothing();
}

/** How far the closing of each closure of a project has come; those that are not named are to come. */
export async function closingStages(
  db: Db,
  projectId: string,
): Promise<Map<string, 'under way' | 'done'>> {
  const rows = await rowsOf<{ id: string; roles: number; entries: number }>(
    db,
    sql`with own as (
          select e.closure_id, e.seq, e.kind, e.entry ->> 'role' as role,
            max(e.seq) filter (where e.kind = 'visit') over (partition by e.closure_id) as opened
          from closing_entries e join closures c on c.id = e.closure_id
          where c.project_id = ${projectId})
        select closure_id as id, count(distinct role)::int as roles, count(*)::int as entries
        from own where kind <> 'visit' and (opened is null or seq > opened) group by closure_id`,
  );
  return new Map(rows.map(({ id, roles }) => [id, roles === 2 ? 'done' : 'under way']));
}
