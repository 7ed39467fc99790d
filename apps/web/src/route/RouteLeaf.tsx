import { useRouter } from 'expo-router';
import { Pressable, View } from 'react-native';
import Svg, { Line, Path } from 'react-native-svg';
import { type ClosureRow, formatDistance } from '@cordel/core';
import { common } from '@cordel/text/pages/common';
import { routeShared as t } from '@cordel/text/pages/route/shared';
import { useProjectView } from '@/projects/context';
import { Card } from '@/ui/Card';
import { ClosureStages } from './ClosureStages';
import { Text } from '@/ui/Text';
import { useColors } from '@/ui/theme';
import { groupWords, lossWords } from '@/ui/words';

interface RouteLeafProps {
  row: ClosureRow;
  /** The closure it branches off from. */
  parent?: string;
  first: boolean;
  last: boolean;
}

/** A closure's leaf on the phone's cord, with its part of the cord and its peg. */
export function RouteLeaf({ row, parent, first, last }: RouteLeafProps) {
  const router = useRouter();
  const { project } = useProjectView();
  const summary = groupWords(row);
  const branch = row.branchOf !== null;
  return (
    <View style={{ flexDirection: 'row', paddingRight: 18 }}>
      <CordStretch branch={branch} first={first} last={last} />
      <Pressable
        role="button"
        style={{ flex: 1, paddingBottom: 14, marginLeft: branch ? 22 : 0 }}
        onPress={() => router.push(`/p/${project.id}/route/${row.closureId}` as never)}
      >
        <Card hung style={{ gap: 4 }}>
          <Row
            left={<Text kind="name">{row.name}</Text>}
            right={
              <Text color="ink2">
                {row.distance === null
                  ? common('noDistance')
                  : formatDistance(row.distance, project.units.distance)}
              </Text>
            }
          />
          {parent ? (
            <Text kind="small" color="ink2">
              {t('branchFromParent', { parent })}
            </Text>
          ) : null}
          <Row
            left={
              <Text kind="strong" color={summary.color}>
                {summary.words}
              </Text>
            }
            right={<Text kind="strong">{t('doneOfDue', { done: row.done, due: row.due })}</Text>}
          />
          <View style={{ gap: 4, paddingTop: 2 }}>
            <ClosureStages row={row} />
            <Text kind="small" color="ink2">
              {lossWords(row)}
            </Text>
          </View>
        </Card>
      </Pressable>
    </View>
  );
}

const Row = ({ left, right }: { left: React.ReactNode; right: React.ReactNode }) => (
  <View
    style={{ flexDirection: 'row', justifyContent: 'space-between', alignItems: 'center', gap: 8 }}
  >
    {left}
    {right}
  </View>
);

function CordStretch({ branch, first, last }: { branch: boolean; first: boolean; last: boolean }) {
  const colors = useColors();
  const top = first ? '34' : '0';
  return (
    <View style={{ width: 58 }} aria-hidden>
      <Svg width={80} height="100%" style={{ position: 'absolute', overflow: 'visible' }}>
        <Line
          x1={34}
          x2={34}
          y1={top}
          y2={last ? '34' : '100%'}
          stroke={colors.ink}
          strokeWidth={5}
        />
        <Line
          x1={34}
          x2={34}
          y1={top}
          y2={last ? '34' : '100%'}
          stroke={colors.wood}
          strokeWidth={2}
          strokeDasharray="7 5"
        />
        {branch ? (
          <Path d="M 34 20 Q 40 34 62 34 H 80" stroke={colors.ink} strokeWidth={3} fill="none" />
        ) : null}
        <Path
          d={branch ? 'M 62 27 h 16 v 14 h -16 z' : 'M 24 26 L 40 30 H 52 V 38 H 40 L 24 42 Z'}
          fill={colors.wood}
          stroke={colors.ink}
          strokeWidth={2}
        />
      </Svg>
    </View>
  );
}
