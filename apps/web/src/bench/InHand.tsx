import { useState } from 'react';
import { View } from 'react-native';
import { type RedoAdvice, formatLoss, isFused, isFusedWay } from '@cordel/core';
import { type BenchSplice } from '@cordel/core/session';
import { inHand as t } from '@cordel/text/pages/bench/InHand';
import { benchShared as shared } from '@cordel/text/pages/bench/shared';
import { useProjectView } from '@/projects/context';
import { Notice } from '@/ui/Notice';
import { Button } from '@/ui/Button';
import { Text } from '@/ui/Text';
import { useColors } from '@/ui/theme';
import { useWide } from '@/ui/useWide';
import { EndPart } from './EndPart';
import { Hands } from './Hands';
import { Keypad } from './Keypad';
import { AdviceLine, AskedNotice, HeardLine, RecordLine, StopNotice } from './RecordPart';
import { RibbonCells } from './RibbonCells';
import { StandinPart } from './StandinPart';
import { StepsPart } from './StepsPart';
import { nextTryWords } from './feedback';
import type { Bench } from './useBench';
import type { Records } from './useRecords';
import type { Setup } from './useSetup';
import type { Timers } from './useTimers';

interface InHandProps {
  bench: Bench;
  setup: Setup;
  timers: Timers;
  records: Records;
  advice: RedoAdvice | null;
  onSkip(): void;
}

/** The sleeve in hand: which fibers, what to do, and what the joint reads; side by side where there is room. */
export function InHand({ bench, setup, timers, records, advice, onSkip }: InHandProps) {
  const colors = useColors();
  const wide = useWide();
  const { project } = useProjectView();
  const { feedback, sleeve } = bench;
  const { last } = bench;
  const measuring = bench.mode === 'measure';
  const end = bench.fiber?.end ?? null;
  const isUnfused = !measuring && !isFused(end);
  const listening = !measuring && setup.splicer !== null && isFusedWay(setup.setup.way);
  const [typing, setTyping] = useState(false);
  const { fiberName } = useProjectView();
  const fiberWords = (splice: BenchSplice) => fiberName(splice.cableA, splice.fiberA, splice.legA);
  const worst = worstOf(bench, fiberWords);
  const name = bench.words(bench.fibers.length > 0 ? bench.fibers : sleeve!.splices);
  const [asked] = records.asked;
  const fibers = (
    <>
      <Hands bench={bench} />
      {measuring ? null : <StepsPart bench={bench} setup={setup} timers={timers} label={name} />}
      {sleeve?.method === 'mass' ? <RibbonCells bench={bench} /> : null}
    </>
  );
  const figure = (
    <>
      {end !== null && !measuring ? <EndPart bench={bench} /> : null}
      <View
        style={{
          flexDirection: 'row',
          alignItems: 'center',
          justifyContent: 'space-between',
          borderWidth: 2,
          borderColor: colors.ink,
          backgroundColor: colors.leaf,
          paddingHorizontal: 14,
          height: 62,
        }}
      >
        <Text kind="figure" aria-live="polite" role="status" aria-label={t('lossTyped')}>
          {worst ? formatLoss(worst.loss) : face(bench)}
        </Text>
        <View style={{ alignItems: 'flex-end' }}>
          <Text>
            {isUnfused
              ? t('dbByAMeter', { nm: bench.nm })
              : measuring
                ? t('dbAtNm', { nm: bench.nm })
                : t('dbEstimate')}
          </Text>
          {bench.fibers.length > 1 ? (
            <Text kind="strong">
              {worst
                ? t('worstName', { name: worst.name })
                : bench.fiber
                  ? fiberWords(bench.fiber)
                  : ''}
            </Text>
          ) : null}
        </View>
      </View>
      {records.stopped ? (
        <StopNotice record={records.stopped} onDone={() => bench.dispatch({ type: 'stopRead' })} />
      ) : null}
      {feedback ? (
        <Notice
          word={feedback.word}
          color={feedback.tone === 'good' ? 'green' : feedback.tone === 'bad' ? 'accent' : 'ink'}
          live
        >
          {listening && feedback.word === '' ? sayListening(bench) : feedback.detail}
        </Notice>
      ) : null}
      {advice ? <AdviceLine advice={advice} /> : null}
      {bench.record ? (
        <RecordLine record={records.own.find(({ id }) => id === bench.record!.id)!} />
      ) : null}
      {!measuring && advice && !bench.state.sleeveOn ? (
        <Notice word={t('sleeveOn')} color="accent">
          {t('tickItAboveFoundAfterThe')}
        </Notice>
      ) : null}
      {asked ? (
        <AskedNotice
          asked={asked}
          count={records.asked.length}
          bench={bench}
          projectId={project.id}
          name={name}
        />
      ) : null}
      {listening ? <HeardLine records={records.own} /> : null}
      {listening && setup.kept.standin && project.practiceOnly ? (
        <StandinPart projectId={project.id} bench={bench} setup={setup} />
      ) : null}
      {listening && !typing ? (
        <Button label={t('typeTheEstimate')} onPress={() => setTyping(true)} />
      ) : (
        <Keypad onKey={(key) => bench.dispatch({ type: 'key', key })} signed={measuring} />
      )}
    </>
  );
  return (
    <>
      <View style={{ flexDirection: wide ? 'row' : 'column', gap: wide ? 24 : 10 }}>
        <View style={{ flex: wide ? 1 : undefined, gap: 10 }}>{fibers}</View>
        <View style={{ flex: wide ? 1 : undefined, gap: 10 }}>{figure}</View>
      </View>
      <View style={{ flexDirection: 'row', gap: 8, alignItems: 'center' }}>
        <Button label={t('skip')} look="bare" icon="debug-step-over" onPress={onSkip} />
        {last ? (
          <Button
            label={shared('undo', { what: last.words })}
            look="bare"
            icon="undo"
            onPress={() => {
              bench.dispatch({ type: 'undo' });
              // The key now undoes the step before: Enter keeps the next figure, and must not press it.
              (document.activeElement as HTMLElement | null)?.blur();
            }}
          />
        ) : null}
      </View>
      <Text kind="small" color="ink2">
        {t('shardsIntoTheClosedContainerEyes')}
      </Text>
    </>
  );
}

/** What is waited for where the record comes by itself. */
function sayListening({ fiber, limits }: Bench): string {
  const tries = fiber?.spliceState.tries.length ?? 0;
  const again = tries > 0 ? `${nextTryWords(tries, limits.maxTries)} ` : '';
  return t('sleeveOnFirstSpliceTheRecord', { again });
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
