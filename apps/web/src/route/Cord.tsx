import { Pressable, View } from 'react-native';
import Svg, { Path, Rect } from 'react-native-svg';
import { type ClosureRow, formatDistance } from '@cordel/core';
import { common } from '@cordel/text/pages/common';
import { routeShared as t } from '@cordel/text/pages/route/shared';
import { useProjectView } from '@/projects/context';
import { ClosureStages } from './ClosureStages';
import { Text } from '@/ui/Text';
import { useColors } from '@/ui/theme';
import { groupWords } from '@/ui/words';

/** From one leaf to the next on the wide cord, px. */
export const LEAF_STEP = 172;
const SAG = 44;
const TOP = 14;

/** Height of the sagging cord at a distance from its left end, px: a parabola, near enough a catenary. */
export function sagAt(x: number, width: number): number {
  const from = (2 * x) / width - 1;
  return TOP + SAG * (1 - from * from);
}

/** The cord across a wide screen. */
export function SaggingCord({ width }: { width: number }) {
  const colors = useColors();
  const path = `M 0 ${TOP} Q ${width / 2} ${TOP + 2 * SAG} ${width} ${TOP}`;
  return (
    <Svg
      width={width}
      height={TOP + SAG + 12}
      style={{ position: 'absolute', left: 0, top: 0 }}
      aria-hidden
    >
      <Path d={path} stroke={colors.ink} strokeWidth={5} fill="none" />
      <Path d={path} stroke={colors.wood} strokeWidth={2} strokeDasharray="7 5" fill="none" />
    </Svg>
  );
}

interface HangingLeafProps {
  row: ClosureRow;
  left: number;
  top: number;
  chosen: boolean;
  onPress(): void;
}

/** A closure's leaf on the wide cord. */
export function HangingLeaf({ row, left, top, chosen, onPress }: HangingLeafProps) {
  const colors = useColors();
  const { project } = useProjectView();
  const summary = groupWords(row);
  const ink = chosen ? colors.leaf : colors.ink;
  return (
    <View style={{ position: 'absolute', left, top: top - 12, width: LEAF_STEP - 16 }}>
      <View style={{ alignItems: 'center' }}>
        <Svg width={14} height={26} aria-hidden>
          <Path
            d="M 1 1 H 13 L 11 25 H 3 Z"
            fill={colors.wood}
            stroke={colors.ink}
            strokeWidth={2}
          />
          <Rect x={2} y={10} width={10} height={2.5} fill={colors.ink} />
        </Svg>
      </View>
      <Pressable
        role="button"
        aria-pressed={chosen}
        onPress={onPress}
        style={{
          marginTop: -6,
          minHeight: 158,
          padding: 10,
          gap: 3,
          backgroundColor: chosen ? colors.ink : colors.leaf,
          borderWidth: 2,
          borderColor: colors.ink,
          boxShadow: `4px 4px 0 ${colors.rule}`,
        }}
      >
        <Text kind="name" style={{ fontSize: 17, lineHeight: 21, color: ink }}>
          {row.name}
        </Text>
        <Text kind="small" style={{ color: ink }}>
          {`${row.distance === null ? common('noDistance') : formatDistance(row.distance, project.units.distance)}${row.branchOf ? ' · branch' : ''}`}
        </Text>
        <Text kind="strong" style={{ color: chosen ? colors.leaf : colors[summary.color] }}>
          {summary.words}
        </Text>
        <Text style={{ color: ink }}>{t('doneOfDue', { done: row.done, due: row.due })}</Text>
        <View
          style={{
            backgroundColor: colors.leaf,
            alignSelf: 'flex-start',
            // The light ground goes past the marks, so that all five stay in a row.
            ...(chosen ? { padding: 3, marginHorizontal: -3 } : {}),
          }}
        >
          <ClosureStages row={row} />
        </View>
      </Pressable>
    </View>
  );
}
