import type { Judgement } from './verdict.ts';

/**
 * What is said of one splice, everywhere in the same words. A splice is in one state at a time.
 * - `open`: nothing is spliced yet.
 * - `skipped`: put off by a person, still to be spliced.
 * - `dead`: its fiber is not used; nothing is to be spliced.
 * - `redo`: sent back by hand, over the redo line, or measured over its limit.
 * - `spliced`: made, and not measured to the grade needed.
 * - `measured`: measured to the grade needed, within its limit.
 * - `accepted`: over its limit or not measured, and accepted by the lead.
 */
export const SPLICE_STAGES = [
  'open',
  'skipped',
  'dead',
  'redo',
  'spliced',
  'measured',
  'accepted',
] as const;
export type SpliceStage = (typeof SPLICE_STAGES)[number];

/** What is said of a group; `dead` where none of its fibers is used. */
export const GROUP_VERDICTS = ['open', 'provisional', 'pass', 'fail', 'accepted', 'dead'] as const;
export type GroupVerdict = (typeof GROUP_VERDICTS)[number];

/** States in which a joint lies in the tray and stays. */
export const MADE_STAGES: readonly SpliceStage[] = ['spliced', 'measured', 'accepted'];

/** The state of a splice that is judged so. */
export function spliceStage({ verdict, redo }: Pick<Judgement, 'verdict' | 'redo'>): SpliceStage {
  if (redo) return 'redo';
  switch (verdict) {
    case 'provisional':
      return 'spliced';
    case 'pass':
      return 'measured';
    case 'fail':
      return 'redo';
    default:
      return verdict;
  }
}

/** Whether a joint lies there and stays. */
export const isMade = (judgement: Pick<Judgement, 'verdict' | 'redo'>): boolean =>
  MADE_STAGES.includes(spliceStage(judgement));

/** Tries of a joint against those the project allows. */
export interface TryCount {
  used: number;
  most: number;
  /** Whether none is left: a further one is the lead's to decide. */
  usedUp: boolean;
}

export const tryCount = (used: number, most: number): TryCount => ({
  used,
  most,
  usedUp: used >= most,
});
