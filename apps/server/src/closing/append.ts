import { eq, sql } from 'drizzle-orm';
import { CLOCK_ERROR_MS } from '@cordel/core';
import {
  type ClosingEntry,
  type ClosureRecord,
  type EntryOf,
  changesSince,
  formatGauge,
  sealRecord,
} from '@cordel/core/close';
import { recordChangeText, signingBlockText } from '@cordel/text/close';
import { type Db, rowsOf } from '../db/client.ts';
import { closingEntries } from '../db/schema.ts';
import { refuseFuture, utcOf } from '../http/moments.ts';
import { Problem } from '../http/problem.ts';
import { appendClosing, closingOf, keepSigned, signedOf } from './queries.ts';
import { recordNow } from './record.ts';

/**
 * Appends what was done at a closure, all of it or nothing. A test above the closure's limit is refused,
 * and so is a signature under what has changed meanwhile or is not ready.
 */
export async function appendAt(
  db: Db,
  closureId: string,
  entries: readonly ClosingEntry[],
): Promise<void> {
  entries.forEach((entry, index) => {
    if (entry.closureId === closureId) return;
    const detail = 'The entry belongs to another closure.';
    throw new Problem(422, detail, [{ place: `/entries/${index}/closureId`, detail }]);
  });
  refuseFuture(entries);
  await db.transaction(async (tx) => {
    const on = tx as unknown as Db;
    // Two people at one closure sign one after the other.
    await rowsOf(on, sql`select from closures where id = ${closureId} for update`);
    for (const [index, entry] of entries.entries()) {
      if (await entryNamed(on, entry.id)) {
        await appendClosing(on, [typed(entry)]);
        continue;
      }
      await checkMoment(on, entry, index);
      if (entry.kind === 'round') await checkRound(on, entry, index);
      if ('roundId' in entry) await checkOfRound(on, entry, index);
      if (entry.kind === 'circuit') await checkCircuit(on, entry, index);
      if (entry.kind === 'sign') await sign(on, entry, index);
      await appendClosing(on, [typed(entry)]);
    }
  });
}

/** No gauge is connected: what a client sends of one was typed, unless it says that it was simulated. */
const typed = (entry: ClosingEntry): ClosingEntry =>
  entry.kind === 'gauge' && entry.origin === 'instrument' ? { ...entry, origin: 'typed' } : entry;

/** Entries that a signed closure still takes: names put to it, and who comes and goes. */
const AFTER_SIGNING: readonly ClosingEntry['kind'][] = ['sign', 'leave', 'visit'];

/**
 * Refuses what cannot have happened then: before the visit it belongs to, or under what somebody has put
 * their name to.
 */
async function checkMoment(db: Db, entry: ClosingEntry, index: number): Promise<void> {
  const all = await closingOf(db, entry.closureId);
  const start = all.findLastIndex(({ kind }) => kind === 'visit');
  const visit = all[start];
  if (visit && Date.parse(entry.at) < Date.parse(visit.at) - CLOCK_ERROR_MS)
    refuse(
      422,
      index,
      'at',
      `It is from ${utcOf(entry.at)}, before this visit began, ${utcOf(visit.at)}. Check the clock of the device, and record it anew.`,
    );
  const signed = all.slice(start + 1).find(({ kind }) => kind === 'sign');
  if (signed && !AFTER_SIGNING.includes(entry.kind))
    refuse(
      409,
      index,
      'kind',
      `${signed.by} signed this visit, ${utcOf(signed.at)}: what is signed stays as it is. Open a new visit to go on.`,
    );
}

function refuse(status: 409 | 422, index: number, field: string, detail: string): never {
  throw new Problem(status, detail, [{ place: `/entries/${index}/${field}`, detail }]);
}

async function checkRound(db: Db, entry: EntryOf<'round'>, index: number): Promise<void> {
  const { record } = await recordNow(db, entry.closureId);
  const { hardware } = record;
  if (!hardware)
    refuse(
      422,
      index,
      'limitPa',
      'Choose the closure’s hardware first: its sheet gives the limit.',
    );
  const limit = Math.round(hardware.testKpa * 1000);
  if (entry.limitPa > limit)
    refuse(
      422,
      index,
      'limitPa',
      `${hardware.name} is tested with ${formatGauge(limit, entry.unit, 'down')} at most: ${formatGauge(entry.limitPa, entry.unit, 'up')} is above it. Let air out, and begin again.`,
    );
}

async function checkOfRound(
  db: Db,
  entry: ClosingEntry & { roundId: string },
  index: number,
): Promise<void> {
  const round = await entryNamed(db, entry.roundId);
  if (round?.kind !== 'round' || round.closureId !== entry.closureId)
    refuse(422, index, 'roundId', 'There is no such round of a pressure test at this closure.');
  if (entry.at < round.at)
    refuse(
      422,
      index,
      'at',
      `It is from ${utcOf(entry.at)}, before the air was let in, ${utcOf(round.at)}. Check the clock of the device.`,
    );
  if (entry.kind === 'mend') return;
  const release = (await closingOf(db, entry.closureId)).find(
    (one) => one.kind === 'release' && one.roundId === round.id,
  );
  if (release && entry.at > release.at)
    refuse(
      409,
      index,
      'roundId',
      `The pressure was released, ${utcOf(release.at)}: nothing is read of it after that. Begin another test.`,
    );
}

async function checkCircuit(db: Db, entry: EntryOf<'circuit'>, index: number): Promise<void> {
  const cutOver = await entryNamed(db, entry.cutOverId);
  if (cutOver?.kind !== 'cut-over' || cutOver.closureId !== entry.closureId)
    refuse(422, index, 'cutOverId', 'There is no such cut-over at this closure.');
  if (!cutOver.circuits.some(({ name }) => name === entry.circuit))
    refuse(422, index, 'circuit', `${entry.circuit} is no circuit of this cut-over.`);
}

async function entryNamed(db: Db, id: string): Promise<ClosingEntry | null> {
  const [row] = await db
    .select({ entry: closingEntries.entry })
    .from(closingEntries)
    .where(eq(closingEntries.id, id));
  return row?.entry ?? null;
}

/** Keeps what a signature stands under. */
async function sign(db: Db, entry: EntryOf<'sign'>, index: number): Promise<void> {
  const { record, state } = await recordNow(db, entry.closureId);
  if (state.blocks.length > 0)
    refuse(
      409,
      index,
      'digest',
      `It cannot be signed yet. ${state.blocks.map((block) => signingBlockText(block)).join(' ')}`,
    );
  const { content, digest } = sealRecord(record);
  if (digest !== entry.digest)
    refuse(
      409,
      index,
      'digest',
      `The closure changed meanwhile: check it again, then sign. ${await meanwhile(db, record, entry)}`.trim(),
    );
  await keepSigned(db, [{ closureId: entry.closureId, digest, content }]);
}

/** What changed since the record that the signature names, where that is kept. */
async function meanwhile(db: Db, record: ClosureRecord, entry: EntryOf<'sign'>): Promise<string> {
  const signed = await signedOf(db, entry.closureId);
  const before = signed.find(({ digest }) => digest === entry.digest);
  if (!before) return '';
  const changes = changesSince(JSON.parse(before.content) as ClosureRecord, record);
  return changes.map((change) => recordChangeText(change)).join(' ');
}
