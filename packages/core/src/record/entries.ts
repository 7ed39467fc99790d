import type { Attempt, Evidence, Inspection, Reading, Ruling } from './evidence.ts';
import type { Origin } from './origin.ts';

/** What an entry is signed with: an id of its own, who makes it, and when (UTC). */
export interface Stamp {
  id: string;
  by: string;
  at: string;
}

/** Gives each entry a stamp of its own. */
export type Stamper = () => Stamp;

/**
 * A new try on a splice, with the splicer's estimate in thousandths of a dB where it was read.
 * @param from the record it came from by itself, where it was not typed
 */
export function newAttempt(
  stamp: Stamp,
  spliceId: string,
  estimateMdb: number | null,
  from: { recordId: string; position: number; origin: Origin } | null = null,
): Attempt {
  return {
    type: 'attempt',
    ...stamp,
    spliceId,
    tryId: stamp.id,
    estimateMdb,
    recordId: from?.recordId ?? null,
    recordPosition: from?.position ?? null,
    origin: from?.origin ?? 'typed',
    supersedes: null,
    void: false,
    why: null,
  };
}

/** A figure that was measured of a try and typed. */
export function newReading(
  stamp: Stamp,
  spliceId: string,
  tryId: string | null,
  figure: Pick<Reading, 'grade' | 'direction' | 'wavelengthNm' | 'lossMdb'>,
): Reading {
  return {
    type: 'reading',
    ...stamp,
    spliceId,
    tryId,
    ...figure,
    traceId: null,
    origin: 'typed',
    supersedes: null,
    void: false,
    why: null,
  };
}

/** What was seen of an end, by eye and with a microscope. */
export function newInspection(
  stamp: Stamp,
  spliceId: string,
  tryId: string | null,
  seen: Pick<Inspection, 'face' | 'light'> &
    Partial<Pick<Inspection, 'marks' | 'cleanings' | 'photoId'>>,
): Inspection {
  return {
    type: 'inspection',
    ...stamp,
    spliceId,
    tryId,
    marks: null,
    cleanings: null,
    photoId: null,
    ...seen,
    origin: 'typed',
    supersedes: null,
    void: false,
    why: null,
  };
}

/** A person's word on a splice, with the reason. */
export function newRuling(
  stamp: Stamp,
  spliceId: string,
  tryId: string | null,
  kind: Ruling['kind'],
  why: string,
): Ruling {
  return { type: 'ruling', ...stamp, spliceId, tryId, kind, why };
}

/** The entry that takes another back, so that it never was. */
export function takeBack(stamp: Stamp, before: Evidence, why: string): Evidence {
  if (before.type === 'ruling')
    return newRuling(stamp, before.spliceId, before.tryId, 'reopen', why);
  return { ...before, ...stamp, supersedes: before.id, void: true, why };
}
