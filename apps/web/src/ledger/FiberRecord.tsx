import { useRouter } from 'expo-router';
import { View } from 'react-native';
import {
  GRADES,
  type SpliceRow,
  formatHalf,
  formatMean,
  spliceLimit,
  spliceStage,
} from '@cordel/core';
import { spliceStateText } from '@cordel/text/loss/states';
import { addressParts } from '@cordel/text/fiber';
import { fiberRecord as t } from '@cordel/text/pages/ledger/FiberRecord';
import { useFiber } from '@/data/queries';
import { useProjectView } from '@/projects/context';
import { LossBars } from '@/ui/LossBars';
import { Waiting } from '@/ui/Notice';
import { Button } from '@/ui/Button';
import { Text } from '@/ui/Text';
import { STAGE_COLORS, gradeWord, originWords } from '@/ui/words';
import { useRecordLevel } from './useRecordLevel';

/** A fiber along the route: its splices from the head on, as heights and as rows. */
export function FiberRecord({ cableId, fiber }: { cableId: string; fiber: number }) {
  const view = useProjectView();
  const level = useRecordLevel();
  const router = useRouter();
  const detail = useFiber(view.project.id, cableId, fiber);
  if (!detail.data) return <Waiting error={detail.error} />;
  const { rows } = detail.data;
  const figures = rows.filter((row) => row.lossHalfMdb !== null);
  const sum = figures.reduce((total, row) => total + (row.lossHalfMdb ?? 0), 0);
  return (
    <View style={{ gap: 12 }}>
      <View>
        <Text color="ink2">{t('fiberAlongTheRoute')}</Text>
        <Text kind="name" heading={level.title}>
          {`${view.fiberName(cableId, fiber)} ${addressParts(view.address(cableId, fiber)).at(-1) ?? ''}`}
        </Text>
        <Text>
          {figures.length === 0
            ? t('noLossYet')
            : t('meanDbOverOfSplices', {
                sum: formatMean(sum, figures.length),
                figures: figures.length,
                rows: rows.length,
              })}
        </Text>
      </View>
      <View style={{ flexDirection: 'row', height: 64 }}>
        <LossBars
          bars={rows.map((row) => barOf(row, view))}
          places={Math.max(6, rows.length)}
          label={t('lossesOfByClosure', { fiberName: view.fiberName(cableId, fiber) })}
        />
      </View>
      <Button
        label={t('followItsCircuit')}
        onPress={() =>
          router.push(
            `/p/${view.project.id}/route/circuits?cable=${cableId}&fiber=${fiber}` as never,
          )
        }
      />
      {rows.map((row) => (
        <View key={row.id} style={{ gap: 2 }}>
          <View style={{ flexDirection: 'row', justifyContent: 'space-between', gap: 8 }}>
            <Text kind="strong">{row.closure}</Text>
            <Text kind="strong" color={STAGE_COLORS[spliceStage(row)]}>
              {`${row.lossHalfMdb === null ? '' : `${formatHalf(row.lossHalfMdb)} dB ${gradeWord(row.grade)} · `}${spliceStateText(spliceStage(row))}${originWords(row.origin)}`}
            </Text>
          </View>
          <Text color="ink2">
            {t('endToEnd', {
              near: endWords(view, row.cableA, row.fiberA),
              far: endWords(view, row.cableB, row.fiberB),
            })}
          </Text>
          <Text color="ink2">{t('traySlot', { tray: row.tray, slot: row.slot })}</Text>
          <Button
            label={t('itsRecordAt', { closure: row.closure })}
            onPress={() =>
              router.push(
                `/p/${view.project.id}/ledger?view=splices&closure=${row.closureId}&open=splice.${row.id}` as never,
              )
            }
          />
        </View>
      ))}
    </View>
  );
}

function endWords(view: ReturnType<typeof useProjectView>, cable: string, fiber: number): string {
  return [view.fiberName(cable, fiber), ...addressParts(view.address(cable, fiber))].join(' ');
}

function barOf(row: SpliceRow, view: ReturnType<typeof useProjectView>) {
  const grade = row.grade === null ? view.project.limits.grade : GRADES[row.grade]!;
  return {
    key: row.id,
    lossHalfMdb: row.lossHalfMdb,
    limit: spliceLimit(view.project.limits, grade, row),
    over: row.redo,
    estimated: grade === 'estimate',
    crossed: row.verdict === 'accepted' || row.verdict === 'dead',
    label: row.closure,
  };
}
