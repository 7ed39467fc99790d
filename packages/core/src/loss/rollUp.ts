import { GRADES, type Grade, type GroupKind, type Limits } from '../record/limits.ts';
import { type GroupVerdict, SPLICE_STAGES, type SpliceStage } from './spliceStage.ts';
import type { Verdict } from './verdict.ts';

/**
 * Counts and sums over the splices of a fiber, a tray or a closure, as a database can add them up. The
 * counts of the states make up the total.
 */
export interface Tally extends Record<SpliceStage, number> {
  total: number;
  /** Of those to redo: measured over the limit. */
  failed: number;
  /** Of those with a figure: simulated ones. */
  simulated: number;
  /** Splices with a figure, the sum of these and the largest, in half-thousandths of a dB. */
  figures: number;
  sumHalfMdb: number;
  maxHalfMdb: number | null;
  /** Rank of the weakest grade among the figures. */
  weakest: number | null;
}

export interface RollUp extends Tally {
  /** Splices that are to be made in all, and those that lie there and stay. */
  due: number;
  done: number;
  verdict: GroupVerdict;
  /** The grade all figures have at least. */
  grade: Grade | null;
  /** Whether the mean so far is over the group's limit. */
  meanOver: boolean;
}

/**
 * Judges a group of splices: what fails decides first, then what is still to be made, then what is still
 * to be measured. The mean is compared exactly, as sum <= limit x count, and fails the group once all
 * is measured.
 * @param partsOver how many parts of the group fail by their own mean, such as trays of a closure
 */
export function rollUp(tally: Tally, kind: GroupKind, limits: Limits, partsOver = 0): RollUp {
  const limit = limits.mean[kind];
  const meanOver =
    limit !== null && tally.figures > 0 && tally.sumHalfMdb > 2 * limit * tally.figures;
  return {
    ...tally,
    due: tally.total - tally.dead,
    done: tally.spliced + tally.measured + tally.accepted,
    verdict: groupVerdict(tally, meanOver, partsOver),
    grade: tally.weakest === null ? null : (GRADES[tally.weakest] ?? null),
    meanOver,
  };
}

function groupVerdict(tally: Tally, meanOver: boolean, partsOver: number): GroupVerdict {
  if (tally.failed > 0 || partsOver > 0) return 'fail';
  if (tally.total === 0 || tally.open + tally.skipped + tally.redo > 0) return 'open';
  if (tally.spliced > 0) return 'provisional';
  if (meanOver) return 'fail';
  if (tally.measured > 0) return 'pass';
  return tally.accepted > 0 ? 'accepted' : 'dead';
}

/** The order of verdicts in which a person is needed. */
export const URGENCY: Record<Verdict, number> = {
  fail: 0,
  open: 1,
  skipped: 2,
  provisional: 3,
  accepted: 4,
  dead: 5,
  pass: 6,
};

/** The tally of nothing. */
export const EMPTY_TALLY: Tally = {
  total: 0,
  open: 0,
  skipped: 0,
  dead: 0,
  redo: 0,
  spliced: 0,
  measured: 0,
  accepted: 0,
  failed: 0,
  simulated: 0,
  figures: 0,
  sumHalfMdb: 0,
  maxHalfMdb: null,
  weakest: null,
};

/** The tally of two groups together. */
export function addTally(one: Tally, other: Tally): Tally {
  const sum = { ...one };
  for (const key of [
    ...SPLICE_STAGES,
    'total',
    'failed',
    'simulated',
    'figures',
    'sumHalfMdb',
  ] as const)
    sum[key] += other[key];
  return {
    ...sum,
    maxHalfMdb: known(Math.max, one.maxHalfMdb, other.maxHalfMdb),
    weakest: known(Math.min, one.weakest, other.weakest),
  };
}

const known = (
  pick: (a: number, b: number) => number,
  a: number | null,
  b: number | null,
): number | null => (a === null ? b : b === null ? a : pick(a, b));
