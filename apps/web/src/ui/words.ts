import {
  type ClosureRow,
  GRADES,
  type Origin,
  type RollUp,
  type SpliceStage,
  formatMean,
} from '@cordel/core';
import { groupVerdictText } from '@cordel/text/loss/states';
import { words as t } from '@cordel/text/pages/ui/words';
import type { Colors } from './theme';

export const STAGE_COLORS: Record<SpliceStage, keyof Colors> = {
  open: 'ink',
  skipped: 'ink',
  dead: 'ink2',
  redo: 'accent',
  spliced: 'ink',
  measured: 'green',
  accepted: 'ink2',
};

/** A figure that was simulated says so; the others need no word in a list. */
export const originWords = (origin: Origin | null): string =>
  origin === 'simulated' ? ', simulated' : '';

/** How a group of splices is said, with what needs doing first. */
export function groupWords(row: RollUp & Partial<Pick<ClosureRow, 'traysOver'>>): {
  words: string;
  color: keyof Colors;
} {
  if (row.total === 0) return { words: t('noPlanYet'), color: 'ink2' };
  if (row.redo > 0) return { words: t('redoToRedo', { redo: row.redo }), color: 'accent' };
  const trays = row.traysOver ?? [];
  if (row.verdict === 'fail' && trays.length > 0)
    return { words: t('meanOfTrayOver', { trays: trays.join(', ') }), color: 'accent' };
  if (row.verdict === 'fail')
    return { words: row.meanOver ? t('meanOverLimit') : 'fail', color: 'accent' };
  if (row.verdict === 'open' && row.open === 0)
    return { words: t('skipped', { skipped: row.skipped }), color: 'ink' };
  if (row.verdict === 'open')
    return { words: row.done === 0 ? 'planned' : 'splicing', color: 'ink' };
  if (row.verdict === 'provisional') return { words: t('toBeMeasured'), color: 'ink' };
  return { words: groupVerdictText(row.verdict), color: row.verdict === 'pass' ? 'green' : 'ink2' };
}

/** Worst, mean and how they are known, such as `worst 0.08 · mean 0.04 dB · two-way`. */
export function lossWords(row: RollUp): string {
  if (row.maxHalfMdb === null || row.figures === 0) return t('noLossYet');
  const grade = row.grade === 'estimate' ? 'estimates' : row.grade;
  const made = row.simulated > 0 ? ' · simulated' : '';
  return t('worstMeanDb', {
    worst: formatMean(row.maxHalfMdb, 1),
    mean: formatMean(row.sumHalfMdb, row.figures),
    grade: grade ?? '',
    made,
  });
}

export const gradeWord = (rank: number | null): string =>
  rank === null ? '' : (GRADES[rank] ?? '');
