import type { Method } from '../record/splice.ts';
import type { SplicerRecord } from '../record/splicerRecord.ts';

/** A sleeve in hand, as a record is held against it. */
export interface InHand {
  closure: string;
  splicerId: string | null;
  method: Method;
  /** Fibers that are spliced in it, dead ones left out. */
  fibers: number;
  /** Of the same sleeve: the record that is in hand and not kept yet. */
  held: string | null;
  /** Highest running number of this splicer that was matched so far; null where none was. */
  lastNumber: number | null;
}

/** Why a record passes by a bench. */
export type PassReason = 'counted' | 'otherSplicer';

/** Why a person has to say where a record belongs. */
export type AskReason =
  | { code: 'nothingInHand' | 'secondRecord' }
  | { code: 'otherLabel'; label: string; closure: string }
  | { code: 'cameLate'; number: number; last: number }
  | { code: 'otherCount'; fibers: number; inHand: number };

/** What becomes of a record that came in. */
export type Match =
  | { kind: 'fits' }
  /** Nothing to do with this bench, or known already. */
  | { kind: 'passes'; why: PassReason }
  /** A person has to say. */
  | { kind: 'asks'; why: AskReason };

/**
 * Holds a record against what is in hand. It fits where splicer, closure, count and order agree; where
 * it fits none, or a second time, it is asked about.
 * @param taken ids of records that count for a splice already, or were set aside
 */
export function matchRecord(
  record: SplicerRecord,
  hand: InHand | null,
  taken: ReadonlySet<string>,
): Match {
  if (taken.has(record.id)) return { kind: 'passes', why: 'counted' };
  if (!hand) return { kind: 'asks', why: { code: 'nothingInHand' } };
  if (record.splicerId !== hand.splicerId) return { kind: 'passes', why: 'otherSplicer' };
  if (record.label !== null && !isSameName(record.label, hand.closure))
    return {
      kind: 'asks',
      why: { code: 'otherLabel', label: record.label, closure: hand.closure },
    };
  if (hand.lastNumber !== null && record.number <= hand.lastNumber)
    return {
      kind: 'asks',
      why: { code: 'cameLate', number: record.number, last: hand.lastNumber },
    };
  if (record.fibers.length !== hand.fibers)
    return {
      kind: 'asks',
      why: { code: 'otherCount', fibers: record.fibers.length, inHand: hand.fibers },
    };
  if (record.fused && hand.held !== null && hand.held !== record.id)
    return { kind: 'asks', why: { code: 'secondRecord' } };
  return { kind: 'fits' };
}

/** Whether a label that was typed on a splicer names a closure. */
export const isSameName = (a: string, b: string): boolean =>
  a.trim().toLowerCase() === b.trim().toLowerCase();
