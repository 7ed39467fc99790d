import { eq, sql } from 'drizzle-orm';
import { CLOCK_ERROR_MS } from '@cordel/core';
import {
  type ClosingEntry,
  type ClosureRecord,
  type EntryOf,
  MOST_TYPED_TEST_PA,
  changesSince,
  formatGauge,
  sealRecord,
  testLimitPa,
} from '@cordel/core/close';
import { recordChangeText, signingBlockText } from '@cordel/text/close';
import { closingProblems as say } from '@cordel/text/server/closing';
import type { Sentence } from '@cordel/text/problems';
import { type Db, rowsOf } from '../db/client.ts';
import { closingEntries, closures, projects } from '../db/schema.ts';
import { utcOf } from '../http/moments.ts';
import { problemAt } from '../http/problem.ts';
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
    throw problemAt(422, `/entries/${index}/closureId`, say('otherClosure'));
  });
  await db.transaction(async (tx) => {
    const on = tx as unknown as Db;
    // Two people at one closure sign one after the other.
    await rowsOf(on, sql`select from closures where id = ${closureId} for update`);
    for (const [index, entry] of entries.entries()) {
      if (await entryNamed(on, entry.id)) {
        await appendClosing(on, [typed(entry)], index);
        continue;
      }
      await checkMoment(on, entry, index);
      if (entry.kind === 'round') await checkRound(on, entry, index);
      if ('roundId' in entry) await checkOfRound(on, entry, index);
      if (entry.kind === 'circuit') await checkCircuit(on, entry, index);
      if (entry.kind === 'sign') await sign(on, entry, index);
      await appendClosing(on, [typed(entry)], index);
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
    refuse(422, index, 'at', say('beforeVisit', { at: utcOf(entry.at), begunAt: utcOf(visit.at) }));
  const signed = all.slice(start + 1).find(({ kind }) => kind === 'sign');
  if (signed && !AFTER_SIGNING.includes(entry.kind))
    refuse(409, index, 'kind', say('visitSigned', { by: signed.by, signedAt: utcOf(signed.at) }));
}

function refuse(status: 409 | 422, index: number, field: string, detail: Sentence): never {
  throw problemAt(status, `/entries/${index}/${field}`, detail);
}

async function checkRound(db: Db, entry: EntryOf<'round'>, index: number): Promise<void> {
  const { record } = await recordNow(db, entry.closureId);
  const { hardware } = record;
  if (!hardware) refuse(422, index, 'limitPa', say('hardwareMissing'));
  const limit = testLimitPa(hardware) ?? MOST_TYPED_TEST_PA;
  if (entry.limitPa > limit)
    refuse(
      422,
      index,
      'limitPa',
      say('pressureOverLimit', {
        name: hardware.name,
        limit: formatGauge(limit, entry.unit, 'down'),
        asked: formatGauge(entry.limitPa, entry.unit, 'up'),
      }),
    );
}

async function checkOfRound(
  db: Db,
  entry: ClosingEntry & { roundId: string },
  index: number,
): Promise<void> {
  const round = await entryNamed(db, entry.roundId);
  if (round?.kind !== 'round' || round.closureId !== entry.closureId)
    refuse(422, index, 'roundId', say('roundUnknown'));
  if (entry.at < round.at)
    refuse(
      422,
      index,
      'at',
      say('beforePressurized', { at: utcOf(entry.at), pressurizedAt: utcOf(round.at) }),
    );
  if (entry.kind === 'mend') return;
  const release = (await closingOf(db, entry.closureId)).find(
    (one) => one.kind === 'release' && one.roundId === round.id,
  );
  if (release && entry.at > release.at)
    refuse(409, index, 'roundId', say('pressureReleased', { releasedAt: utcOf(release.at) }));
}

async function checkCircuit(db: Db, entry: EntryOf<'circuit'>, index: number): Promise<void> {
  const cutOver = await entryNamed(db, entry.cutOverId);
  if (cutOver?.kind !== 'cut-over' || cutOver.closureId !== entry.closureId)
    refuse(422, index, 'cutOverId', say('cutOverUnknown'));
  if (!cutOver.circuits.some(({ name }) => name === entry.circuit))
    refuse(422, index, 'circuit', say('circuitUnknown', { circuit: entry.circuit }));
}

async function entryNamed(db: Db, id: string): Promise<ClosingEntry | null> {
  const [row] = await db
    .select({ entry: closingEntries.entry })
    .from(closingEntries)
    .where(eq(closingEntries.id, id));
  return row?.entry ?? null;
}

/** Refuses one person's second signature where the project asks for two people's. */
async function checkSigners(db: Db, entry: EntryOf<'sign'>, index: number): Promise<void> {
  const [row] = await db
    .select({ practice: projects.practice })
    .from(projects)
    .innerJoin(closures, eq(closures.projectId, projects.id))
    .where(eq(closures.id, entry.closureId));
  if (row?.practice.signers !== 'two people') return;
  const all = await closingOf(db, entry.closureId);
  const visit = all.slice(all.findLastIndex(({ kind }) => kind === 'visit'));
  const other = visit.find(
    (one) =>
      one.kind === 'sign' &&
      one.role !== entry.role &&
      one.by.trim().toLowerCase() === entry.by.trim().toLowerCase(),
  );
  if (other) refuse(409, index, 'by', say('twoPeople', { by: entry.by }));
}

/** Keeps what a signature stands under. */
async function sign(db: Db, entry: EntryOf<'sign'>, index: number): Promise<void> {
  await checkSigners(db, entry, index);
  const { record, state } = await recordNow(db, entry.closureId);
  if (state.blocks.length > 0)
    refuse(
      409,
      index,
      'digest',
      say('notReadyToSign', {
        blocks: state.blocks.map((block) => signingBlockText(block)).join(' '),
      }),
    );
  const { content, digest } = sealRecord(record);
  if (digest !== entry.digest)
    refuse(
      409,
      index,
      'digest',
      say('closureChanged', { changes: await meanwhile(db, record, entry) }),
    );
  await keepSigned(db, [{ closureId: entry.closureId, digest, content }]);
}

/** What changed since the record that the signature names, where that is kept. */
async function meanwhile(db: Db, record: ClosureRecord, entry: EntryOf<'sign'>): Promise<string> {
  const signed = await signedOf(db, entry.closureId);
  const before = signed.find(({ digest }) => digest === entry.digest);
  if (!before) return '';
  const changes = changesSince(JSON.parse(before.content) as ClosureRecord, record);
  return changes.map((change) => ` ${recordChangeText(change)}`).join('');
}
