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

/** What becomes of a record that came in. */
export type Match =
  | { kind: 'fits' }
  /** Nothing to do with this bench, or known already. */
  | { kind: 'passes'; why: string }
  /** A person has to say. */
  | { kind: 'asks'; why: string };

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
  if (taken.has(record.id)) return { kind: 'passes', why: 'It counts already.' };
  if (!hand) return { kind: 'asks', why: 'Nothing is in hand: choose the splice it belongs to.' };
  if (record.splicerId !== hand.splicerId)
    return { kind: 'passes', why: 'It comes from another splicer than this bench’s.' };
  if (record.label !== null && !sameName(record.label, hand.closure))
    return {
      kind: 'asks',
      why: `It is labelled “${record.label}”, and this is ${hand.closure}.`,
    };
  if (hand.lastNumber !== null && record.number <= hand.lastNumber)
    return {
      kind: 'asks',
      why: `It is number ${record.number}, older than number ${hand.lastNumber}, which counts already: it came late.`,
    };
  if (record.fibers.length !== hand.fibers)
    return {
      kind: 'asks',
      why: `It has ${record.fibers.length === 1 ? 'one fiber' : `${record.fibers.length} fibers`}, and ${hand.fibers === 1 ? 'one is' : `${hand.fibers} are`} in hand.`,
    };
  if (record.fused && hand.held !== null && hand.held !== record.id)
    return {
      kind: 'asks',
      why: 'It is a second record for the splice in hand: was the joint made again?',
    };
  return { kind: 'fits' };
}

const sameName = (a: string, b: string): boolean =>
  a.trim().toLowerCase() === b.trim().toLowerCase();
