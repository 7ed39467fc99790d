import { v7 as uuid } from 'uuid';
import type { Attempt, Evidence, Origin, Reading, Ruling } from '@cordel/core';
import { commands } from '@cordel/client';
import { benchShared as t } from '@cordel/text/pages/bench/shared';
import { outbox } from '@/data/client';
import { personNow } from '@/data/storage';

const entry = (spliceId: string) => ({
  id: uuid(),
  spliceId,
  by: personNow(),
  at: new Date().toISOString(),
});

/**
 * A new try on a joint, with the splicer's estimate in thousandths of a dB where it was read.
 * @param from the record it came from by itself, where it was not typed
 */
export function newAttempt(
  spliceId: string,
  estimateMdb: number | null,
  from: { recordId: string; position: number; origin: Origin } | null = null,
): Attempt {
  const base = entry(spliceId);
  return {
    type: 'attempt',
    ...base,
    tryId: base.id,
    estimateMdb,
    recordId: from?.recordId ?? null,
    recordPosition: from?.position ?? null,
    origin: from?.origin ?? 'typed',
    supersedes: null,
    void: false,
    why: null,
  };
}

export function newReading(
  spliceId: string,
  tryId: string | null,
  figure: Pick<Reading, 'grade' | 'direction' | 'wavelengthNm' | 'lossMdb'>,
): Reading {
  return {
    type: 'reading',
    ...entry(spliceId),
    tryId,
    ...figure,
    traceId: null,
    origin: 'typed',
    supersedes: null,
    void: false,
    why: null,
  };
}

export function newRuling(
  spliceId: string,
  tryId: string | null,
  kind: Ruling['kind'],
  why: string,
): Ruling {
  return { type: 'ruling', ...entry(spliceId), tryId, kind, why };
}

/** The word that the joint of a try just made is to be made again. */
export const sentToRedo = (entry: Evidence): Ruling[] =>
  entry.type === 'attempt'
    ? [newRuling(entry.spliceId, entry.tryId, 'redo', t('sentToRedoAtTheBench'))]
    : [];

/** The entry that takes another back. */
export function takeBack(before: Evidence, why: string): Evidence {
  if (before.type === 'ruling') return newRuling(before.spliceId, before.tryId, 'reopen', why);
  return { ...before, ...entry(before.spliceId), supersedes: before.id, void: true, why };
}

/** Records evidence through the outbox. */
export function recordEvidence(entries: readonly Evidence[], label: string): void {
  void outbox.add(commands.recordEvidence, { entries: [...entries] }, label);
}
