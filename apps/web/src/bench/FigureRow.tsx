import { useState } from 'react';
import { View } from 'react-native';
import { type RedoAdvice, formatLoss, isFused } from '@cordel/core';
import type { BenchSplice } from '@cordel/core/session';
import { redoFigureText, redoReasonText } from '@cordel/text/bench';
import { figureRow as t } from '@cordel/text/pages/bench/FigureRow';
import { useProjectView } from '@/projects/context';
import { Button } from '@/ui/Button';
import { Sheet } from '@/ui/Sheet';
import { Text } from '@/ui/Text';
import { type Colors, useColors } from '@/ui/theme';
import { HeardLine, RecordLine } from './RecordPart';
import { nextTryWords } from './feedback';
import type { Bench } from './useBench';
import type { Records } from './useRecords';

/** What to do, in a word, and why. */
interface Recommendation {
  word: string;
  reason: string;
  color: keyof Colors;
}

const ADVICE: Record<RedoAdvice['code'], { word: string; color: keyof Colors }> = {
  keep: { word: t('keep'), color: 'green' },
  redo: { word: t('redo'), color: 'accent' },
  'last-attempt': { word: t('lastAttempt'), color: 'accent' },
  lead: { word: t('lead'), color: 'accent' },
};

/** One recommendation: the advice where there is one, else what the figure means. */
function recommended(
  bench: Bench,
  advice: RedoAdvice | null,
  asked: string,
  isListening: boolean,
): Recommendation {
  const { feedback } = bench;
  if (asked !== '') return { word: t('missing'), reason: asked, color: 'accent' };
  if (bench.record?.tension === 'failed')
    return { word: t('redo'), reason: t('tensionFailed'), color: 'accent' };
  // What is broken anyway needs no sleeve.
  if (advice?.code === 'keep' && !bench.state.sleeveOn)
    return { word: t('sleeveOn'), reason: t('checkSleeve'), color: 'accent' };
  if (advice) return { ...ADVICE[advice.code], reason: redoReasonText(advice.reason) };
  if (!feedback) return { word: '', reason: '', color: 'ink' };
  const { word, tone, detail } = feedback;
  return {
    word,
    reason: isListening && word === '' ? listeningText(bench) : detail,
    color: tone === 'good' ? 'green' : tone === 'bad' ? 'accent' : 'ink',
  };
}

/** What is waited for where the record comes from the splicer, and which attempt it is. */
function listeningText({ fiber, limits }: Bench): string {
  const tries = fiber?.spliceState.tries.length ?? 0;
  const again = tries > 0 ? `${nextTryWords(tries, limits.maxTries)} ` : '';
  return t('recordComes', { again });
}

/** The loss as it is typed, and beside it what to do; a tap says why. */
export function FigureRow({
  bench,
  advice,
  records,
  asked,
  isListening,
}: {
  bench: Bench;
  advice: RedoAdvice | null;
  records: Records;
  /** What is missing to save; empty for nothing. */
  asked: string;
  isListening: boolean;
}) {
  const colors = useColors();
  const { fiberName, project } = useProjectView();
  const [open, setOpen] = useState(false);
  const fiberWords = (splice: BenchSplice) => fiberName(splice.cableA, splice.fiberA, splice.legA);
  const worst = worstOf(bench, fiberWords);
  const { word, reason, color } = recommended(bench, advice, asked, isListening);
  const record = records.own.find(({ id }) => id === bench.record?.id);
  const isUnfused = bench.mode !== 'measure' && !isFused(bench.fiber?.end ?? null);
  const unit = isUnfused
    ? t('dbByMeter', { nm: bench.nm })
    : bench.mode === 'measure'
      ? t('dbAtNm', { nm: bench.nm })
      : t('dbEstimate');
  return (
    <View style={{ flexDirection: 'row', gap: 6, minHeight: 50 }}>
      <View
        style={{
          borderWidth: 2,
          borderColor: colors.ink,
          backgroundColor: colors.leaf,
          paddingHorizontal: 8,
          minWidth: 116,
          justifyContent: 'center',
        }}
      >
        <Text
          kind="name"
          style={{ fontSize: 28, lineHeight: 30 }}
          aria-live="polite"
          role="status"
          aria-label={t('lossTyped')}
        >
          {worst ? formatLoss(worst.loss) : face(bench)}
        </Text>
        <Text kind="small" numberOfLines={1}>
          {worst ? t('worst', { name: worst.name }) : unit}
        </Text>
      </View>
      <Button
        testID="recommendation"
        aria-haspopup="dialog"
        onPress={() => setOpen(true)}
        style={{
          flex: 1,
          justifyContent: 'flex-start',
          paddingHorizontal: 8,
          borderWidth: 0,
          borderLeftWidth: 6,
          borderColor: colors[color],
        }}
      >
        <Text numberOfLines={2} style={{ flex: 1 }} role="status" aria-live="polite">
          {word ? <Text kind="strong" color={color}>{`${word} `}</Text> : null}
          {reason}
        </Text>
      </Button>
      <Sheet title={t('why')} visible={open} onClose={() => setOpen(false)}>
        <Text>
          {word ? <Text kind="strong" color={color}>{`${word} `}</Text> : null}
          {reason}
        </Text>
        {advice?.figures.map((figure) => (
          <Text key={figure.code}>{redoFigureText(figure, project.units)}</Text>
        ))}
        {record ? <RecordLine record={record} /> : null}
        {isListening ? <HeardLine records={records.own} /> : null}
      </Sheet>
    </View>
  );
}

/** The worst fiber of a ribbon whose fibers all have their figure: the one that decides for its sleeve. */
function worstOf(
  bench: Bench,
  words: (splice: BenchSplice) => string,
): { name: string; loss: number } | null {
  if (bench.fibers.length < 2 || !bench.allTyped) return null;
  return bench.fibers
    .flatMap((splice) => {
      const loss = bench.read(splice);
      return loss.ok ? [{ name: words(splice), loss: loss.value }] : [];
    })
    .reduce((worst, one) => (one.loss > worst.loss ? one : worst));
}

/** The figure as it will be kept, or what is typed where it is no figure yet. */
function face(bench: Bench): string {
  if (bench.keys === '') return '–.––';
  const loss = bench.fiber ? bench.read(bench.fiber) : null;
  return loss?.ok && !bench.keys.includes('.')
    ? formatLoss(loss.value)
    : bench.keys.replace('-', '\u2212');
}
