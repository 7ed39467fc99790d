import { useLocalSearchParams, useRouter } from 'expo-router';
import { useEffect, useMemo, useState } from 'react';
import { View } from 'react-native';
import { type DistanceUnit, fiberCount, formatPlace } from '@cordel/core';
import { fiberProofWords as proofWords } from '@cordel/text/fiberProof';
import { findingEvidence, findingTitle, whereText } from '@cordel/text/otdr';
import { tracesShared as shared } from '@cordel/text/pages/traces/shared';
import { circuitPage as t } from '@cordel/text/pages/traces/CircuitPage';
import { CableSelect } from '@/projects/CableSelect';
import { useProjectView } from '@/projects/context';
import { Choice } from '@/ui/Field';
import { Empty, Notice, Waiting } from '@/ui/Notice';
import { Page } from '@/ui/Page';
import { Button } from '@/ui/Button';
import { Text } from '@/ui/Text';
import { useWide } from '@/ui/useWide';
import { ProofTabs } from '../ProofTabs';
import { type CircuitAnswer, useCircuit, useProof } from '../queries';
import { ClosureTable } from './ClosureTable';
import { OverTime } from './OverTime';
import { OwnTables } from './OwnTables';
import { TraceCanvas } from './TraceCanvas';
import type { Peg, StringLook } from './draw';
import { shotNames } from '../shotName';
import { shownOf } from './shownOf';
import { type TraceView, useTraceView } from './useTraceView';
import type { OddOne, ShownTrace } from './view.worker';

type Mode = 'both' | 'AB' | 'BA';

/** A circuit's traces on the cord: both directions, or all fibers of its tube from one end. */
export function CircuitPage() {
  const { project, cable } = useProjectView();
  const router = useRouter();
  const params = useLocalSearchParams<{ cable?: string; fiber?: string }>();
  const proof = useProof(project.id);
  const [firstCable, firstFiber] = (proof.data?.circuits[0]?.key ?? ' ').split(' ');
  const cableId = params.cable ?? firstCable ?? '';
  const fiber = Number(params.fiber ?? firstFiber ?? 0);
  const circuit = useCircuit(project.id, cableId, fiber);
  const go = (to: string, number: number) => router.setParams({ cable: to, fiber: String(number) });
  const most = cable(cableId) ? fiberCount(cable(cableId)!.makeUp) : 0;
  const toImport = (
    <Button
      label={shared('importTraces')}
      look="next"
      onPress={() => router.push(`/p/${project.id}/ledger/traces` as never)}
    />
  );
  return (
    <Page
      title={shared('traceView')}
      above={project.name}
      back={`/p/${project.id}/ledger/findings`}
    >
      <ProofTabs />
      <View style={{ flexDirection: 'row', gap: 8, alignItems: 'center', flexWrap: 'wrap' }}>
        <CableSelect value={cableId} onChange={(id) => go(id, 1)} />
        <Button
          label={t('fiberBefore')}
          icon="chevron-left"
          disabled={fiber <= 1}
          onPress={() => go(cableId, fiber - 1)}
        >
          <></>
        </Button>
        <Text kind="strong">{t('fiberOfMost', { fiber: fiber || '', most })}</Text>
        <Button
          label={t('nextFiber')}
          icon="chevron-right"
          disabled={fiber >= most}
          onPress={() => go(cableId, fiber + 1)}
        >
          <></>
        </Button>
      </View>
      {circuit.data ? (
        circuit.data.traces.length > 0 ? (
          <CircuitTraces circuit={circuit.data} cableId={cableId} fiber={fiber} />
        ) : (
          <Empty title={t('noTracesOfYet', { label: circuit.data.label })} action={toImport}>
            {t('shootItFromBothEndsOr')}
          </Empty>
        )
      ) : proof.data && cableId === '' ? (
        <Empty title={t('noTraces')} action={toImport}>
          {t('shootItFromBothEndsOr')}
        </Empty>
      ) : (
        <Waiting
          error={circuit.error ?? proof.error}
          again={() => void (cableId === '' ? proof : circuit).refetch()}
        />
      )}
    </Page>
  );
}

function CircuitTraces({
  circuit,
  cableId,
  fiber,
}: {
  circuit: CircuitAnswer;
  cableId: string;
  fiber: number;
}) {
  const wide = useWide();
  const { project } = useProjectView();
  const { timeZone } = project.units;
  const [width, setWidth] = useState(340);
  const wavelengths = useMemo(
    () =>
      [...new Set(circuit.traces.map(({ wavelengthNm }) => wavelengthNm))].sort((a, b) => a - b),
    [circuit],
  );
  const [wanted, setWanted] = useState<number | null>(null);
  const nm = wanted !== null && wavelengths.includes(wanted) ? wanted : wavelengths.at(-1)!;
  const [mode, setMode] = useState<Mode>('both');
  const traces = useMemo(() => {
    if (mode === 'both')
      return circuit.traces
        .filter(({ wavelengthNm }) => wavelengthNm === nm)
        .map((trace) => shownOf(trace, circuit.lengthM));
    return circuit.peers
      .filter(({ wavelengthNm, direction }) => wavelengthNm === nm && direction === mode)
      .map((trace) => shownOf(trace, trace.lengthM));
  }, [circuit, nm, mode]);
  const [glass, setGlass] = useState<'level' | 'falls'>('level');
  const view = useTraceView(traces, circuit.lengthM, width - 46, glass === 'level');
  const odd = useOddOne(view, traces, mode, circuit.lengthM);
  const looks = useMemo((): StringLook[] => {
    if (mode === 'both') {
      const named = traces.map(({ id, back }) => ({
        id,
        name: shared('fromPlace', {
          name: (back ? circuit.points.at(-1)! : circuit.points[0]!).name,
        }),
        measuredAt: circuit.traces.find((trace) => trace.id === id)?.measuredAt ?? null,
      }));
      const nameOf = shotNames(named, timeZone);
      return traces.map(({ id, back }, index) => ({
        id,
        label: nameOf(named[index]!),
        hollow: back,
        strong: true,
        drop: 0,
      }));
    }
    const own = circuit.peers.filter(({ id }) => traces.some((trace) => trace.id === id));
    return own.map(({ id, fiber: number }, index) => ({
      id,
      label: String(number),
      hollow: false,
      strong: id === odd?.id || (!odd && number === fiber),
      // Strings side by side, so that each can be told.
      drop: 0.3 * index,
    }));
  }, [circuit, traces, mode, odd, fiber, timeZone]);
  const router = useRouter();
  const unit = project.units.distance;
  const pegs = useMemo(() => pegsOf(circuit, nm), [circuit, nm]);
  const oddFiber = circuit.peers.find(({ id }) => id === odd?.id)?.fiber;
  const choices = (
    <View style={{ flexDirection: 'row', gap: 16, flexWrap: 'wrap' }}>
      <Choice
        label={shared('wavelengthNm')}
        value={String(nm)}
        options={wavelengths.map((value) => ({ value: String(value), label: String(value) }))}
        onChange={(value) => setWanted(Number(value))}
      />
      <Choice
        label={t('shown')}
        value={mode}
        options={[
          { value: 'both', label: t('bothWays') },
          { value: 'AB', label: t('tubeFromA') },
          { value: 'BA', label: t('tubeFromB') },
        ]}
        onChange={(value) => setMode(value as Mode)}
      />
      <Choice
        label={t('slopeOfTheFiber')}
        value={glass}
        options={[
          { value: 'level', label: t('slopeRemoved') },
          { value: 'falls', label: t('asMeasured') },
        ]}
        onChange={(value) => setGlass(value as 'level' | 'falls')}
      />
    </View>
  );
  return (
    <View style={{ gap: 12 }} onLayout={({ nativeEvent }) => setWidth(nativeEvent.layout.width)}>
      {wide ? choices : null}
      {view.error ? (
        <Notice word={t('notShown')} color="accent" live>
          {view.error}
        </Notice>
      ) : null}
      {view.columns.length === 0 && !view.error ? (
        <Text color="ink2" aria-live="polite">
          {t('readingOfTraces', { ready: view.ready, traces: traces.length })}
        </Text>
      ) : null}
      <TraceCanvas
        view={view}
        looks={looks}
        pegs={pegs}
        width={width}
        height={wide ? 400 : 430}
        label={t('labelAtNmMode', {
          label: circuit.label,
          nm,
          mode: mode === 'both' ? t('bothDirections') : t('allFibersOfItsTube'),
        })}
      />
      <View style={{ flexDirection: 'row', gap: 8, flexWrap: 'wrap' }}>
        <Button label={t('zoomIn')} icon="plus" onPress={() => view.zoom(2)} />
        <Button label={t('zoomOut')} icon="minus" onPress={() => view.zoom(0.5)} />
        <Button label={t('left')} icon="chevron-left" onPress={() => view.pan(-0.3)} />
        <Button label={t('right')} icon="chevron-right" onPress={() => view.pan(0.3)} />
        <Button label={t('all')} onPress={view.whole} />
      </View>
      {wide ? null : choices}
      <Text>{routeText(circuit, unit)}</Text>
      <Button
        label={proofWords('seeTheProof')}
        icon="file-certificate-outline"
        style={{ alignSelf: 'flex-start' }}
        onPress={() =>
          router.push(
            `/p/${project.id}/ledger/fiber-proof?cable=${cableId}&fiber=${fiber}` as never,
          )
        }
      />
      {mode !== 'both' && odd && oddFiber !== undefined ? (
        <Notice word={t('fiberDiffersFromItsTube', { oddFiber })}>
          {odd.offDb === null
            ? t('itEndsAtTheOthersOf', { at: formatPlace(odd.at, unit) })
            : t('byDbFromTheMedianOf', {
                offDb: odd.offDb.toFixed(2),
                at: formatPlace(odd.at, unit),
              })}
        </Notice>
      ) : null}
      <ClosureTable
        circuit={circuit}
        nm={nm}
        look={(at) => view.move(() => ({ from: at - 300, to: at + 300 }))}
      />
      {circuit.findings.map((finding) => (
        <Notice
          key={`${finding.cause} ${findingTitle(finding.message, project.units)}`}
          word={`${findingTitle(finding.message, project.units)}.`}
          color={finding.weight === 'bad' ? 'accent' : 'ink'}
        >
          {`${whereText(finding.where, project.units)} ${findingEvidence(finding.message, project.units)}`}
        </Notice>
      ))}
      {mode === 'both' ? <OwnTables view={view} circuit={circuit} traces={traces} /> : null}
      <OverTime circuit={circuit} cableId={cableId} fiber={fiber} />
    </View>
  );
}

function routeText({ label, points, lengthM, totals }: CircuitAnswer, unit: DistanceUnit): string {
  const total = totals
    .flatMap(({ wavelengthNm, mean }) =>
      mean ? [t('dbAtNm', { loss: mean.lossDb.toFixed(2), wavelengthNm })] : [],
    )
    .join(', ');
  return t('toOfFiber', {
    label,
    from: points[0]!.name,
    to: points.at(-1)!.name,
    length: formatPlace(lengthM, unit),
    total: total === '' ? '' : t('fiberAndSplicesBothWays', { total }),
  });
}

function pegsOf({ points, splices, findings }: CircuitAnswer, nm: number): Peg[] {
  const bad = new Set(
    findings.filter(({ weight }) => weight === 'bad').flatMap(({ spliceIds }) => spliceIds),
  );
  return points.flatMap(({ positionM, name, spliceId }, index) => {
    if (positionM === null) return [];
    const splice = splices.find((own) => own.point === index && own.wavelengthNm === nm);
    const words = !spliceId
      ? index === 0
        ? shared('endA')
        : shared('endB')
      : splice?.mean
        ? `${splice.mean.lossDb.toFixed(3)} dB`
        : splice
          ? t('lossOneWay', { loss: (splice.forward ?? splice.backward)!.lossDb.toFixed(3) })
          : t('notSeen');
    return [
      {
        at: positionM,
        name,
        words,
        bad: spliceId !== null && bad.has(spliceId),
        end: spliceId === null,
      },
    ];
  });
}

/** The fiber of the tube that strays most; null where none does. */
function useOddOne(view: TraceView, traces: readonly ShownTrace[], mode: Mode, length: number) {
  const { viewer } = view;
  const [odd, setOdd] = useState<{
    of: readonly ShownTrace[];
    found: OddOne | null;
  } | null>(null);
  useEffect(() => {
    if (mode === 'both') return;
    let current = true;
    void viewer.oddOne([...traces], 0, length).then(
      (found) => current && setOdd({ of: traces, found }),
      () => undefined,
    );
    return () => {
      current = false;
    };
  }, [viewer, traces, mode, length]);
  return mode !== 'both' && odd?.of === traces ? odd.found : null;
}
