import { isFused, isFusedWay } from '@cordel/core';
import { type BenchMode } from '@cordel/core/session';
import { useLocalSearchParams, useRouter } from 'expo-router';
import { useCallback, useEffect, useState } from 'react';
import { ScrollView, View } from 'react-native';
import { usePerson } from '@/data/session';
import { useWork } from '@/data/queries';
import type { ClosureWork } from '@cordel/client';
import { benchPage as t } from '@cordel/text/pages/bench/BenchPage';
import { benchShared as shared } from '@cordel/text/pages/bench/shared';
import { useProjectView } from '@/projects/context';
import { Waiting } from '@/ui/Notice';
import { Button } from '@/ui/Button';
import { useKeys } from '@/ui/keys';
import { useColors } from '@/ui/theme';
import { useWide } from '@/ui/useWide';
import { alertTitle, useOpenAlerts } from '@/traces/TraceAlerts';
import { useLatest } from '@/ui/useLatest';
import { type BenchAlerts, AlertSheet, alertCount } from './AlertSheet';
import { BenchHead } from './BenchHead';
import { Finished } from './Finished';
import { InHand } from './InHand';
import { MoreSheet, useOneKey } from './MoreSheet';
import { NamePanel } from './NamePanel';
import { PickSheet } from './PickSheet';
import { SkipSheet } from './SkipSheet';
import { StandinPart } from './StandinPart';
import { TimerBar } from './TimerBar';
import { adviceFor } from './advice';
import { useArc } from './useArc';
import { useContact } from './useContact';
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
  const { trouble } = useHealth(station, splicerId, cleaverId, bench.splices);
  const secondsLeft = useShiftLeft(project.id);
  const [heated, setHeated] = useState<string | null>(null);
  const [over, setOver] = useState<'more' | 'alerts' | 'pick' | 'skip' | null>(null);
  const [asked, setAsked] = useState('');
  const [oneKey] = useOneKey();
  const isMeasuring = mode === 'measure';
  const isListening = !isMeasuring && setup.splicer !== null && isFusedWay(setup.setup.way);
  const contact = useContact(station, splicerId);
  const openAlerts = useOpenAlerts(work.closure.id);
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
  const press = (key: string) => {
    setAsked('');
    bench.dispatch({ type: 'key', key, isOneKey: oneKey === 'on' });
  };
  const save = (isRedo: boolean) => {
    const missing = isRedo ? '' : missingLoss(bench);
    setAsked(missing);
    if (missing === '') bench.dispatch({ type: 'save', isRedo });
  };
  // As it is at this moment: two keys may come before the page is drawn again.
  const keys = useLatest((key: string) => {
    if (over !== null || bench.isFinished) return false;
    if (/^[0-9.]$/.test(key)) press(key);
    else if (key === 'Backspace') press('back');
    else if (key === '-') press('sign');
    else if (key === 'Enter') save(false);
    else if (key === 'r' && !isMeasuring) save(true);
    else if (key === 's') setOver('skip');
    else if (key === 'u') bench.dispatch({ type: 'undo' });
    else return false;
    return true;
  });
  useKeys(useCallback((key: string) => keys.current(key), [keys]));
  const read = live.map((splice) => ({ splice, loss: bench.read(splice) }));
  const estimates = read.flatMap(({ splice, loss }) =>
    loss.ok ? [{ splice, estimate: loss.value }] : [],
  );
  const advice =
    // Nobody estimates an end that is not fused: its own limit judges what is read of it.
    mode !== 'measure' &&
    isFused(bench.fiber?.end ?? null) &&
    estimates.length > 0 &&
    estimates.length === live.length
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
  const base = `/p/${project.id}/bench/${work.closure.id}`;
  const alerts: BenchAlerts = {
    traces: openAlerts.length,
    arc: isMeasuring ? null : arc,
    trouble: isMeasuring || !setup.splicer ? 0 : trouble.length,
    warnings: isMeasuring || !setup.splicer ? 0 : setup.warnings.length,
  };
  return (
    <View style={{ flex: 1 }}>
      <ScrollView
        role="main"
        tabIndex={0}
        style={{ flex: 1, backgroundColor: colors.paper }}
        contentContainerStyle={{
          paddingHorizontal: 8,
          paddingTop: 4,
          paddingBottom: 4,
          gap: 5,
          flexGrow: 1,
          width: '100%',
          maxWidth: wide ? WIDE_WIDTH : PHONE_WIDTH,
          alignSelf: 'center',
        }}
      >
        <BenchHead
          bench={bench}
          work={work}
          alerts={alertCount(alerts)}
          alertTitle={openAlerts[0] ? alertTitle(openAlerts[0], project.units) : null}
          onAlerts={() => setOver('alerts')}
          onMore={() => setOver('more')}
        />
        {bench.isFinished ? (
          <Finished bench={bench} work={work} />
        ) : (
          <InHand
            bench={bench}
            setup={setup}
            timers={timers}
            records={records}
            advice={advice}
            isListening={isListening}
            asked={asked}
            onKey={press}
          />
        )}
      </ScrollView>
      {bench.isFinished ? null : <Actions bench={bench} redoNext={redoNext} onSave={save} />}
      {isMeasuring ? null : (
        <TimerBar timers={timers} heat={heat}>
          {isListening && setup.kept.standin && project.practiceOnly && !bench.isFinished ? (
            <StandinPart projectId={project.id} bench={bench} setup={setup} />
          ) : null}
        </TimerBar>
      )}
      <MoreSheet
        projectId={project.id}
        base={base}
        setup={setup}
        contact={contact}
        visible={over === 'more'}
        isMeasuring={isMeasuring}
        isFinished={bench.isFinished}
        onPick={() => setOver('pick')}
        onSkip={() => setOver('skip')}
        onClose={() => setOver(null)}
      />
      <AlertSheet
        alerts={alerts}
        base={base}
        closureId={work.closure.id}
        visible={over === 'alerts'}
        onClose={() => setOver(null)}
      />
      <PickSheet bench={bench} visible={over === 'pick'} onClose={() => setOver(null)} />
      <SkipSheet bench={bench} visible={over === 'skip'} onClose={() => setOver(null)} />
    </View>
  );
}

/** Redo or keep, under the thumb whatever is read above. */
function Actions({
  bench,
  redoNext,
  onSave,
}: {
  bench: Bench;
  redoNext: boolean;
  onSave(isRedo: boolean): void;
}) {
  const colors = useColors();
  const wide = useWide();
  return (
    <View
      style={{
        flexDirection: 'row',
        gap: 6,
        paddingHorizontal: 8,
        paddingVertical: 4,
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
          onPress={() => onSave(true)}
          style={{ flex: redoNext ? 3 : 2, paddingHorizontal: 4 }}
          textSize={19}
        />
      )}
      <Button
        label={keepLabel(bench)}
        look={redoNext ? 'plain' : 'next'}
        onPress={() => onSave(false)}
        style={{ flex: redoNext ? 2 : 3, paddingHorizontal: 4 }}
        textSize={redoNext ? 18 : 20}
      />
    </View>
  );
}

/** What Save still needs: the loss of the fiber in hand, and of the last of a ribbon all others’. Empty for nothing. */
function missingLoss(bench: Bench): string {
  const { fiber, fibers, cursor } = bench;
  if (!fiber || bench.isRecordable(fiber)) {
    const open = cursor === fibers.length - 1 && fibers.find((one) => !bench.isRecordable(one));
    return open ? shared('enterLossOf', { fiber: bench.words([open]) }) : '';
  }
  return shared(isFused(fiber.end) ? 'enterLoss' : 'enterLightOrLoss');
}

const keepLabel = (bench: Bench): string =>
  bench.sleeve?.method === 'mass' && !bench.allTyped ? t('nextFiber') : t('saveNext');
