import { type ReactNode } from 'react';
import { useRouter } from 'expo-router';
import { Pressable, View } from 'react-native';
import {
  type CableRow,
  type ClosureRow,
  type FiberRow,
  type PlanLineRow,
  type RedoRow,
  type RollUp,
  type SpliceRow,
  type TrayRow,
  formatDistance,
  formatHalf,
  spliceStage,
} from '@cordel/core';
import { addressParts, makeUpText } from '@cordel/text/fiber';
import { spliceStateText } from '@cordel/text/loss/states';
import { spliceReasonText } from '@cordel/text/loss';
import { common } from '@cordel/text/pages/common';
import { ledgerShared as shared } from '@cordel/text/pages/ledger/shared';
import { ledgerLines as t } from '@cordel/text/pages/ledger/LedgerLines';
import { useProjectView } from '@/projects/context';
import { Text } from '@/ui/Text';
import { useColors } from '@/ui/theme';
import { STAGE_COLORS, gradeWord, groupWords, lossWords, originWords } from '@/ui/words';
import { useLedgerParams } from './useLedgerParams';

interface LineProps {
  open: string;
  title: string;
  under: string;
  right: string;
  rightUnder: ReactNode;
  children?: ReactNode;
}

function Line({ open, title, under, right, rightUnder, children }: LineProps) {
  const colors = useColors();
  const { params, go } = useLedgerParams();
  const here = params.open === open;
  return (
    <Pressable
      role="button"
      aria-pressed={here}
      onPress={() => go({ open })}
      style={{
        paddingHorizontal: 16,
        paddingVertical: 9,
        borderBottomWidth: 1,
        borderColor: colors.rule,
        borderLeftWidth: 6,
        borderLeftColor: here ? colors.accent : 'transparent',
        backgroundColor: here ? colors.leaf : 'transparent',
        minHeight: 62,
      }}
    >
      <View style={{ flexDirection: 'row', justifyContent: 'space-between', gap: 10 }}>
        <View style={{ flex: 1, minWidth: 0 }}>
          <Text kind="strong">{title}</Text>
          <Text kind="small" color="ink2">
            {under}
          </Text>
        </View>
        <View style={{ alignItems: 'flex-end', flexShrink: 0, maxWidth: '46%' }}>
          <Text kind="strong">{right}</Text>
          {rightUnder}
        </View>
      </View>
      {children}
    </Pressable>
  );
}

const GroupLine = ({ row }: { row: RollUp }) => {
  const summary = groupWords(row);
  return (
    <Text kind="strong" color={summary.color} style={{ fontSize: 15 }}>
      {summary.words}
    </Text>
  );
};

export function ClosureLine({ row }: { row: ClosureRow }) {
  const { project } = useProjectView();
  const distance =
    row.distance === null
      ? common('noDistance')
      : formatDistance(row.distance, project.units.distance);
  return (
    <Line
      open={`closure.${row.closureId}`}
      title={row.name}
      under={`${distance} · ${lossWords(row)}`}
      right={shared('doneOfDue', { done: row.done, due: row.due })}
      rightUnder={<GroupLine row={row} />}
    />
  );
}

export function TrayLine({ row }: { row: TrayRow }) {
  return (
    <Line
      open={`tray.${row.closureId}.${row.tray}`}
      title={t('closureTray', { closure: row.closure, tray: row.tray })}
      under={lossWords(row)}
      right={shared('doneOfDue', { done: row.done, due: row.due })}
      rightUnder={<GroupLine row={row} />}
    />
  );
}

export function FiberLine({ row }: { row: FiberRow }) {
  const view = useProjectView();
  const address = view.address(row.headCable, row.headFiber);
  const colours = addressParts(address).join(' · ');
  return (
    <Line
      open={`fiber.${row.headCable}.${row.headFiber}`}
      title={`${view.fiberName(row.headCable, row.headFiber)}${address ? ` ${address.fiber.colour.name}` : ''}`}
      under={`${colours} · ${lossWords(row)}`}
      right={shared('doneOfDue', { done: row.done, due: row.due })}
      rightUnder={<GroupLine row={row} />}
    />
  );
}

export function SpliceLine({ row }: { row: SpliceRow | RedoRow }) {
  const view = useProjectView();
  const a = view.address(row.cableA, row.fiberA);
  const loss = row.lossHalfMdb === null ? '' : `${formatHalf(row.lossHalfMdb)} dB`;
  const known =
    row.lossHalfMdb === null
      ? ''
      : `${gradeWord(row.grade)}${row.wavelengthNm ? ` ${row.wavelengthNm} nm` : ''} · `;
  return (
    <Line
      open={`splice.${row.id}`}
      title={shared('fiberToFiber', {
        fiberA: view.fiberName(row.cableA, row.fiberA, row.legA),
        fiberB: view.fiberName(row.cableB, row.fiberB, row.legB),
      })}
      under={t('closureTraySlotAddress', {
        closure: row.closure,
        tray: row.tray,
        slot: row.slot,
        addressParts: addressParts(a).join(' · '),
      })}
      right={loss}
      rightUnder={
        <Text kind="small" color={STAGE_COLORS[spliceStage(row)]}>
          {`${known}${spliceStateText(spliceStage(row))}${originWords(row.origin)}`}
        </Text>
      }
    >
      {'reasons' in row
        ? row.reasons.map((reason) => <Text key={reason.code}>{spliceReasonText(reason)}</Text>)
        : null}
    </Line>
  );
}

export function CableLine({ row }: { row: CableRow }) {
  const cable = useProjectView().cable(row.cableId);
  return (
    <Line
      open={`cable.${row.cableId}`}
      title={row.name}
      under={cable ? makeUpText(cable.makeUp) : ''}
      right={t('plannedOfFibers', { planned: row.planned, fibers: row.fibers })}
      rightUnder={
        <Text kind="small" color="ink2">
          {t('fibersPlanned')}
        </Text>
      }
    />
  );
}

/** A line of a plan, which opens the plan. */
export function PlanLine({ row }: { row: PlanLineRow }) {
  const { project } = useProjectView();
  const colors = useColors();
  const router = useRouter();
  return (
    <Pressable
      role="link"
      onPress={() => router.push(`/p/${project.id}/route/${row.closureId}/plan` as never)}
      style={{
        paddingHorizontal: 16,
        paddingVertical: 9,
        borderBottomWidth: 1,
        borderColor: colors.rule,
        minHeight: 62,
      }}
    >
      <Text kind="strong">{row.text}</Text>
      <Text kind="small" color="ink2">
        {t('planLineOf', { line: row.line + 1, closure: row.closure })}
      </Text>
    </Pressable>
  );
}
