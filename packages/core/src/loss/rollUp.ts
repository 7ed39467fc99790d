import { GRADES, type Grade, type GroupKind, type Limits } from '../record/limits.ts';
import type { Verdict } from './verdict.ts';

/** Counts and sums over the splices of a fiber, a tray or a closure, as a database can add them up. */
export interface Tally {
  total: number;
  open: number;
  provisional: number;
  pass: number;
  fail: number;
  waived: number;
  /** Splices to be made again. */
  redo: number;
  /** Splices with a figure, the sum of these and the largest, in half-thousandths of a dB. */
  figures: number;
  sumHalf: number;
  maxHalf: number | null;
  /** Rank of the weakest grade among the figures. */
  weakest: number | null;
}

export interface RollUp extends Tally {
  done: number;
  verdict: Verdict;
  /** The grade all figures have at least. */
  grade: Grade | null;
  /** Whether the mean so far is over the group's limit. */
  meanOver: boolean;
}

/**
 * Judges a group of splices: what fails decides first, then what is open, then what is provisional.
 * The mean is compared exactly, as sum <= limit x count, and fails the group once all is measured.
 * @param partsOver how many parts of the group fail by their own mean, such as trays of a closure
 */
export function rollUp(tally: Tally, kind: GroupKind, limits: Limits, partsOver = 0): RollUp {
  const limit = limits.mean[kind];
  const meanOver = limit !== null && tally.figures > 0 && tally.sumHalf > 2 * limit * tally.figures;
  return {
    ...tally,
    done: tally.total - tally.open,
    verdict: groupVerdict(tally, meanOver, partsOver),
    grade: tally.weakest === null ? null : (GRADES[tally.weakest] ?? null),
    meanOver,
  };
}

function groupVerdict(tally: Tally, meanOver: boolean, partsOver: number): Verdict {
  if (tally.fail > 0 || partsOver > 0) return 'fail';
  if (tally.total === 0 || tally.open > 0) return 'open';
  if (tally.provisional > 0) return 'provisional';
  if (meanOver) return 'fail';
  return tally.pass === 0 ? 'waived' : 'pass';
}

/** The order of verdicts in which a person is needed. */
export const URGENCY: Record<Verdict, number> = {
  fail: 0,
  open: 1,
  provisional: 2,
  waived: 3,
  pass: 4,
};

/** The tally of nothing. */
export const EMPTY_TALLY: Tally = {
  total: 0,
  open: 0,
  provisional: 0,
  pass: 0,
  fail: 0,
  waived: 0,
  redo: 0,
  figures: 0,
  sumHalf: 0,
  maxHalf: null,
  weakest: null,
};

/** The tally of two groups together. */
export function addTally(one: Tally, other: Tally): Tally {
  return {
    total: one.total + other.total,
    open: one.open + other.open,
    provisional: one.provisional + other.provisional,
    pass: one.pass + other.pass,
    fail: one.fail + other.fail,
    waived: one.waived + other.waived,
    redo: one.redo + other.redo,
    figures: one.figures + other.figures,
    sumHalf: one.sumHalf + other.sumHalf,
    maxHalf: known(Math.max, one.maxHalf, other.maxHalf),
    weakest: known(Math.min, one.weakest, other.weakest),
  };
}

const known = (
  pick: (a: number, b: number) => number,
  a: number | null,
  b: number | null,
): number | null => (a === null ? b : b === null ? a : pick(a, b));
