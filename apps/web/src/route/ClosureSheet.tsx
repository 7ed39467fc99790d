import { useRouter } from 'expo-router';
import { View } from 'react-native';
import { type ClosureRow, formatDistance, formatHalf } from '@cordel/core';
import { addressParts } from '@cordel/text/fiber';
import { spliceReasonText } from '@cordel/text/loss';
import { spliceStateText } from '@cordel/text/loss/states';
import { closureSheet as t } from '@cordel/text/pages/route/ClosureSheet';
import { common } from '@cordel/text/pages/common';
import { useLedger, useSummary } from '@/data/queries';
import { useOpening } from '@/prep/useOpening';
import { useProjectView } from '@/projects/context';
import { ClosurePicture } from '@/ledger/ClosurePicture';
import { Card } from '@/ui/Card';
import { Empty, Notice, Waiting } from '@/ui/Notice';
import { Button } from '@/ui/Button';
import { ClosureStages } from './ClosureStages';
import { type NextStep, nextStepOf } from '@/ui/stagesOf';
import { Text } from '@/ui/Text';
import { useWide } from '@/ui/useWide';
import { groupWords, lossWords } from '@/ui/words';

/** A closure's sheet: where the work stands, the next step, its trays, what to redo. */
export function ClosureSheet({ closureId, titled }: { closureId: string; titled?: boolean }) {
  const { project } = useProjectView();
  const wide = useWide();
  const summary = useSummary(project.id);
  const row = summary.data?.closures.find((entry) => entry.closureId === closureId);
  if (!summary.data) return <Waiting error={summary.error} />;
  if (!row) return <Empty title={t('notHere')}>{t('thereIsNoSuchClosureIn')}</Empty>;
  const status = groupWords(row);
  return (
    <View style={{ gap: 18 }}>
      <View style={{ gap: 6 }}>
        {titled ? null : (
          <Text kind="name" heading={2}>
            {row.name}
          </Text>
        )}
        <View style={{ flexDirection: 'row', flexWrap: 'wrap', columnGap: 14 }}>
          <Text kind="strong" color={status.color}>
            {status.words}
          </Text>
          <Text>{countWords(row)}</Text>
          <Text color="ink2">{lossWords(row)}</Text>
          <Text color="ink2">
            {row.distance === null
              ? t('distanceNotSet')
              : t('atDistance', { distance: formatDistance(row.distance, project.units.distance) })}
          </Text>
        </View>
        <ClosureStages row={row} words />
      </View>
      {row.traysOver.length > 0 ? (
        <Notice
          word={t('meanOfTrayOverItsLimit', { traysOver: row.traysOver.join(', ') })}
          color="accent"
        >
          {t('noSpliceOfItFailsAlone')}
        </Notice>
      ) : null}
      <Steps row={row} />
      <View style={{ flexDirection: wide ? 'row' : 'column', gap: 24 }}>
        <View style={{ flex: wide ? 3 : undefined }}>
          <ClosurePicture closureId={closureId} />
        </View>
        {row.redo > 0 ? (
          <View style={{ flex: wide ? 2 : undefined }}>
            <RedoList closureId={closureId} />
          </View>
        ) : null}
      </View>
    </View>
  );
}

/** How many are spliced, and what else stands there, in the words of their states. */
const countWords = (row: ClosureRow): string =>
  [
    t('doneOfDueSpliced', { done: row.done, due: row.due }),
    ...(['skipped', 'dead', 'accepted'] as const).flatMap((state) =>
      row[state] > 0 ? [`${row[state]} ${spliceStateText(state)}`] : [],
    ),
  ].join(' · ');

function Steps({ row }: { row: ClosureRow }) {
  const { project } = useProjectView();
  const router = useRouter();
  const bench = (mode: string) =>
    router.push(`/p/${project.id}/bench/${row.closureId}${mode}` as never);
  const next = nextStepOf(row, useOpening(row.closureId));
  const lookOf = (step: NextStep) => (step === next ? 'next' : 'plain');
  const plan = () => router.push(`/p/${project.id}/route/${row.closureId}/plan` as never);
  if (row.total === 0)
    return (
      <View style={{ flexDirection: 'row', flexWrap: 'wrap', gap: 10 }}>
        <Button label={t('writeTheSplicePlan')} look="next" onPress={plan} />
        <Button
          label={common('importASpliceList')}
          onPress={() => router.push(`/p/${project.id}/kit/import` as never)}
        />
      </View>
    );
  // What is to redo waits at its own key.
  const spliced = row.open + row.skipped === 0;
  return (
    <View style={{ flexDirection: 'row', flexWrap: 'wrap', gap: 10 }}>
      {row.done === 0 ? <OpenKey row={row} look={lookOf('open')} /> : null}
      {row.redo > 0 ? (
        <Button
          look={lookOf('redo')}
          label={t('openTheBenchForToRedo', { redo: row.redo })}
          onPress={() => bench('?mode=redo')}
        />
      ) : null}
      {spliced ? null : (
        <Button
          look={lookOf('splice')}
          label={row.done === 0 ? t('startSplicing') : t('goOnSplicing')}
          onPress={() => bench('')}
        />
      )}
      {row.spliced > 0 ? (
        <Button
          look={lookOf('measure')}
          label={t('addMeasuredFigures')}
          onPress={() => bench('?mode=measure')}
        />
      ) : null}
      {row.done > 0 ? (
        <Button
          label={common('traces')}
          onPress={() => router.push(`/p/${project.id}/ledger/findings` as never)}
        />
      ) : null}
      {row.done > 0 ? (
        <Button
          look={lookOf('close')}
          label={row.closing === 'done' ? t('closedAndSigned') : t('closeIt')}
          onPress={() => router.push(`/p/${project.id}/route/${row.closureId}/close` as never)}
        />
      ) : null}
      <Button label={t('splicePlanAndTrays')} onPress={plan} />
      {row.done > 0 ? <OpenKey row={row} look="plain" /> : null}
      <Button
        label={t('allSplices')}
        onPress={() =>
          router.push(`/p/${project.id}/ledger?view=splices&closure=${row.closureId}` as never)
        }
      />
    </View>
  );
}

function RedoList({ closureId }: { closureId: string }) {
  const { project, fiberName, address } = useProjectView();
  const router = useRouter();
  const redo = useLedger(project.id, 'redo', { closureId });
  const rows = redo.data?.pages.flatMap((page) => page.rows) ?? [];
  return (
    <View style={{ gap: 10 }}>
      <Text kind="name" heading={2}>
        {t('redoInThisOrder')}
      </Text>
      {rows.map((row) => {
        const place = address(row.cableA, row.fiberA);
        return (
          <Card key={row.id} style={{ gap: 4 }}>
            <View style={{ flexDirection: 'row', justifyContent: 'space-between', gap: 8 }}>
              <Text kind="strong">
                {t('fiberNameTraySlot', {
                  fiberName: fiberName(row.cableA, row.fiberA, row.legA),
                  tray: row.tray,
                  slot: row.slot,
                })}
              </Text>
              <Text kind="strong" color="accent">
                {row.lossHalfMdb === null ? t('noSplice') : `${formatHalf(row.lossHalfMdb)} dB`}
              </Text>
            </View>
            <Text color="ink2">{addressParts(place).join(' · ')}</Text>
            {row.reasons.map((reason) => (
              <Text key={reason.code}>{spliceReasonText(reason)}</Text>
            ))}
            <Button
              label={t('itsRecord')}
              onPress={() =>
                router.push(`/p/${project.id}/ledger?view=redo&open=splice.${row.id}` as never)
              }
            />
          </Card>
        );
      })}
    </View>
  );
}

function OpenKey({ row, look }: { row: ClosureRow; look: 'next' | 'plain' }) {
  const { project } = useProjectView();
  const router = useRouter();
  return (
    <Button
      label={t('openTheCables')}
      look={look}
      onPress={() => router.push(`/p/${project.id}/route/${row.closureId}/open` as never)}
    />
  );
}
