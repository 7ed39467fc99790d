import { type BenchMode } from '@cordel/core/session';
import { useLocalSearchParams, useRouter } from 'expo-router';
import { useCallback, useEffect, useState } from 'react';
import { ScrollView, View } from 'react-native';
import { usePerson } from '@/data/session';
import { useWork } from '@/data/queries';
import type { ClosureWork } from '@cordel/client';
import { common } from '@cordel/text/pages/common';
import { benchPage as t } from '@cordel/text/pages/bench/BenchPage';
import { benchShared as shared } from '@cordel/text/pages/bench/shared';
import { useProjectView } from '@/projects/context';
import { Waiting } from '@/ui/Notice';
import { Button } from '@/ui/Button';
import { Text } from '@/ui/Text';
import { useKeys } from '@/ui/keys';
import { useColors } from '@/ui/theme';
import { useWide } from '@/ui/useWide';
import { TraceAlerts } from '@/traces/TraceAlerts';
import { Finished } from './Finished';
import { InHand } from './InHand';
import { MeasureKind } from './MeasureKind';
import { NamePanel } from './NamePanel';
import { PickSheet } from './PickSheet';
import { SkipSheet } from './SkipSheet';
import { StationStrip } from './StationStrip';
import { TimerBar } from './TimerBar';
import { adviceFor } from './advice';
import { useArc } from './useArc';
import { type Bench, useBench } from './useBench';
import { useHealth } from './useHealth';
import { useRecords } from './useRecords';
import { useSetup } from './useSetup';
import { useShiftLeft } from './useShiftLeft';
import { useStation } from './useStation';
import { useTimers } from './useTimers';

/** The Bench is no wider than the eye takes in from the splicer, px. */
const PHONE_WIDTH = 560;
const WIDE_WIDTH = 1120;

const MODES: Record<BenchMode, string> = {
  splice: common('splice'),
  redo: t('redo'),
  measure: t('measure'),
};

/** The one thing to do now at one closure. */
export function BenchPage() {
  const { closureId, mode } = useLocalSearchParams<{ closureId: string; mode?: string }>();
  const work = useWork(closureId);
  const [person] = usePerson();
  const known: BenchMode = mode === 'redo' || mode === 'measure' ? mode : 'splice';
  if (!work.data) {
    return (
      <View role="main" style={{ padding: 16 }}>
        <Waiting error={work.error} again={() => void work.refetch()} />
      </View>
    );
  }
  if (person.trim() === '') return <NamePanel />;
  return <AtTheBench key={`${closureId} ${known}`} work={work.data} mode={known} />;
}

function AtTheBench({ work, mode }: { work: ClosureWork; mode: BenchMode }) {
  const colors = useColors();
  const wide = useWide();
  const view = useProjectView();
  const { project } = view;
  const station = useStation(project.id);
  const bench = useBench(work, mode, station.records);
  const live = bench.fibers;
  const setup = useSetup(work.closure.id, live, station);
  const records = useRecords(bench, work.closure.name, station, setup);
  const timers = useTimers(project.id, work.closure);
  const { splicerId, cleaverId } = setup.kept;
  const arc = useArc(station, splicerId);
  const { series, trouble } = useHealth(station, splicerId, cleaverId, bench.splices);
  const secondsLeft = useShiftLeft(project.id);
  const [heated, setHeated] = useState<string | null>(null);
  const [skipping, setSkipping] = useState(false);
  const [picking, setPicking] = useState(false);
  const { splice } = useLocalSearchParams<{ splice?: string }>();
  const router = useRouter();
  // A link to one splice takes its sleeve in hand, once.
  useEffect(() => {
    const wanted = bench.splices.find((entry) => entry.id === splice);
    if (!wanted) return;
    bench.dispatch({
      type: 'select',
      sleeve: `${wanted.tray}.${wanted.slot}`,
      spliceId: wanted.id,
    });
    router.setParams({ splice: undefined });
    // eslint-disable-next-line react-hooks/exhaustive-deps -- the link counts when it changes, not when the bench does
  }, [splice]);
  useKeys(
    useCallback(
      (key: string) => {
        if (skipping || picking || bench.isFinished) return false;
        if (/^[0-9.]$/.test(key)) bench.dispatch({ type: 'key', key });
        else if (key === 'Backspace') bench.dispatch({ type: 'key', key: 'back' });
        else if (key === '-') bench.dispatch({ type: 'key', key: 'sign' });
        else if (key === 'Enter') bench.dispatch({ type: 'save', isRedo: false });
        else if (key === 'r' && mode !== 'measure') bench.dispatch({ type: 'save', isRedo: true });
        else if (key === 's') setSkipping(true);
        else if (key === 'u') bench.dispatch({ type: 'undo' });
        else return false;
        return true;
      },
      [bench, skipping, picking, mode],
    ),
  );
  const read = live.map((splice) => ({ splice, loss: bench.read(splice) }));
  const estimates = read.flatMap(({ splice, loss }) =>
    loss.ok ? [{ splice, estimate: loss.value }] : [],
  );
  const advice =
    mode !== 'measure' && estimates.length > 0 && estimates.length === live.length
      ? adviceFor({
          fibers: estimates,
          sleeve: bench.sleeve?.splices ?? [],
          recordId: bench.state.recordId,
          splicerId,
          all: bench.splices,
          station,
          view,
          secondsLeft,
        })
      : null;
  // The project's line says what it says; what to press is the advice's, where there is one.
  const redoNext =
    bench.record?.tension === 'failed' ||
    (advice
      ? advice.code === 'redo' || advice.code === 'last-attempt'
      : (bench.feedback?.redo ?? false));
  const { last } = bench;
  const heat =
    last?.kept && mode !== 'measure' && setup.splicer && heated !== last.entries[0]?.id
      ? {
          label: last.words,
          start: () => {
            const program = setup.splicer!.heaterPrograms.find(
              ({ name }) => name === setup.setup.heaterProgram,
            );
            timers.start('heater', last.words, program?.seconds ?? 35, setup.splicer!.coolSeconds);
            setHeated(last.entries[0]!.id);
          },
        }
      : null;
  const scroll = (
    <ScrollView
      role="main"
      tabIndex={0}
      style={{ flex: 1, backgroundColor: colors.paper }}
      contentContainerStyle={{
        padding: 14,
        gap: 10,
        width: '100%',
        maxWidth: wide ? WIDE_WIDTH : PHONE_WIDTH,
        alignSelf: 'center',
      }}
    >
      <BenchHead bench={bench} work={work} onPick={() => setPicking(true)} />
      <TraceAlerts closureId={work.closure.id} />
      {mode === 'measure' ? (
        <MeasureKind bench={bench} />
      ) : (
        <StationStrip
          base={`/p/${project.id}/bench/${work.closure.id}`}
          setup={setup}
          station={station}
          arc={arc}
          trouble={trouble.length}
          charted={series.some(({ chart }) => chart)}
        />
      )}
      {bench.isFinished ? (
        <Finished bench={bench} work={work} />
      ) : (
        <InHand
          bench={bench}
          setup={setup}
          timers={timers}
          records={records}
          advice={advice}
          onSkip={() => setSkipping(true)}
        />
      )}
      <PickSheet bench={bench} visible={picking} onClose={() => setPicking(false)} />
      <SkipSheet bench={bench} visible={skipping} onClose={() => setSkipping(false)} />
    </ScrollView>
  );
  return (
    <View style={{ flex: 1 }}>
      {scroll}
      {bench.isFinished ? null : <Actions bench={bench} redoNext={redoNext} />}
      {mode === 'measure' ? null : <TimerBar timers={timers} heat={heat} />}
    </View>
  );
}

function BenchHead({ bench, work, onPick }: { bench: Bench; work: ClosureWork; onPick(): void }) {
  const colors = useColors();
  const total = bench.due;
  const { sleeve, fiber } = bench;
  return (
    <View style={{ gap: 6 }}>
      <View
        style={{
          flexDirection: 'row',
          justifyContent: 'space-between',
          alignItems: 'baseline',
          gap: 8,
        }}
      >
        <Text kind="name" heading={1} style={{ flexShrink: 1 }}>
          {work.closure.name}
        </Text>
        <Button
          look="bare"
          icon="format-list-bulleted"
          label={shared('chooseAFiber')}
          textSize={15}
          onPress={onPick}
        />
      </View>
      <View>
        <Text kind="strong">
          {`${bench.mode === 'splice' ? t('doneOfTotalSpliced', { done: bench.done, total }) : t('modesWaitingLeft', { modes: MODES[bench.mode], waiting: bench.waiting })}${sleeve ? t('traySlot', { tray: sleeve.tray, slot: sleeve.slot }) : ''}`}
        </Text>
      </View>
      <View
        style={{ height: 8, borderWidth: 1, borderColor: colors.ink, backgroundColor: colors.leaf }}
        role="progressbar"
        aria-label={t('spliced')}
        aria-valuenow={bench.done}
        aria-valuemin={0}
        aria-valuemax={total}
      >
        <View
          style={{
            height: '100%',
            width: `${total === 0 ? 0 : (100 * bench.done) / total}%`,
            backgroundColor: colors.ink,
          }}
        />
      </View>
      {fiber && sleeve?.method === 'mass' ? (
        <Text>{t('ribbonOfOneRibbonSleeve', { splices: sleeve.splices.length })}</Text>
      ) : null}
    </View>
  );
}

/** Redo or keep, under the thumb whatever is read above. */
function Actions({ bench, redoNext }: { bench: Bench; redoNext: boolean }) {
  const colors = useColors();
  const wide = useWide();
  return (
    <View
      style={{
        flexDirection: 'row',
        gap: 8,
        padding: 10,
        borderTopWidth: 2,
        borderColor: colors.ink,
        backgroundColor: colors.paper,
        width: '100%',
        maxWidth: wide ? WIDE_WIDTH : PHONE_WIDTH,
        alignSelf: 'center',
      }}
    >
      {bench.mode === 'measure' ? null : (
        <Button
          label={t('redo')}
          look={redoNext ? 'next' : 'plain'}
          onPress={() => bench.dispatch({ type: 'save', isRedo: true })}
          style={{ flex: redoNext ? 2 : 1, height: 58 }}
          textSize={19}
        />
      )}
      <Button
        label={keepLabel(bench)}
        look={redoNext ? 'plain' : 'next'}
        onPress={() => bench.dispatch({ type: 'save', isRedo: false })}
        style={{ flex: redoNext ? 1 : 2, height: 58 }}
        textSize={20}
      />
    </View>
  );
}

const keepLabel = (bench: Bench): string =>
  bench.sleeve?.method === 'mass' && !bench.allTyped ? t('nextFiber') : t('saveNext');
