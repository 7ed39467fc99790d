import { type ClosureRow, GRADES, type RollUp, type Verdict, formatMean } from '@cordel/core';
import type { Inks } from './theme';

/** How a verdict is said of one splice. */
export const VERDICT_WORDS: Record<Verdict, string> = {
  open: 'open',
  provisional: 'provisional',
  pass: 'pass',
  fail: 'fail',
  waived: 'waived',
};

export const VERDICT_INKS: Record<Verdict, keyof Inks> = {
  open: 'ink',
  provisional: 'ink',
  pass: 'green',
  fail: 'accent',
  waived: 'ink2',
};

/** How a group of splices is said, with what needs doing first. */
export function groupWords(row: RollUp & Partial<Pick<ClosureRow, 'traysOver'>>): {
  words: string;
  ink: keyof Inks;
} {
  if (row.total === 0) return { words: 'no plan yet', ink: 'ink2' };
  if (row.redo > 0) return { words: `${row.redo} to redo`, ink: 'accent' };
  const trays = row.traysOver ?? [];
  if (row.verdict === 'fail' && trays.length > 0)
    return { words: `mean of tray ${trays.join(', ')} over`, ink: 'accent' };
  if (row.verdict === 'fail')
    return { words: row.meanOver ? 'mean over limit' : 'fail', ink: 'accent' };
  if (row.verdict === 'open') return { words: row.done === 0 ? 'planned' : 'splicing', ink: 'ink' };
  if (row.verdict === 'provisional') return { words: 'to be measured', ink: 'ink' };
  return { words: VERDICT_WORDS[row.verdict], ink: VERDICT_INKS[row.verdict] };
}

/** Worst, mean and how they are known, such as `worst 0.08 · mean 0.04 dB · two-way`. */
export function lossWords(row: RollUp): string {
  if (row.maxHalf === null || row.figures === 0) return 'no loss yet';
  const grade = row.grade === 'estimate' ? 'estimates' : row.grade;
  return `worst ${formatMean(row.maxHalf, 1)} · mean ${formatMean(row.sumHalf, row.figures)} dB · ${grade}`;
}

export const gradeWord = (rank: number | null): string =>
  rank === null ? '' : (GRADES[rank] ?? '');
