import { View } from 'react-native';
import Svg, { Circle, Line, Path, Rect } from 'react-native-svg';
import type { Cause } from '@cordel/core/otdr';
import { tracesShared as t } from '@cordel/text/pages/traces/shared';
import { Text } from '@/ui/Text';
import { useColors } from '@/ui/theme';

const WORDS: Record<Cause, string> = {
  break: 'break',
  connector: 'connector',
  tray: 'tray',
  'ribbon edge': 'edge',
  bend: 'bend',
  'mode field': 'field',
  splice: 'splice',
  unplanned: 'joint',
  ghost: 'echo',
};

/** A cause as a small drawing and a word. */
export function CauseMark({ cause }: { cause: Cause }) {
  const colors = useColors();
  const line = { stroke: colors.ink, strokeWidth: 3, fill: 'none' as const };
  const bad = { stroke: colors.accent, strokeWidth: 3, fill: 'none' as const };
  return (
    <View style={{ width: 62, alignItems: 'center' }} role="img" aria-label={t('cause', { cause })}>
      <Svg width={56} height={44}>
        {cause === 'break' ? (
          <>
            <Path d="M2 22 H22 L18 14 M34 30 L30 22 H54" {...line} />
            <Path d="M22 6 L34 38" {...bad} />
          </>
        ) : null}
        {cause === 'connector' ? (
          <>
            <Line x1={2} y1={22} x2={16} y2={22} {...line} />
            <Line x1={40} y1={22} x2={54} y2={22} {...line} />
            <Rect x={16} y={13} width={11} height={18} {...bad} />
            <Rect x={29} y={13} width={11} height={18} {...bad} />
          </>
        ) : null}
        {cause === 'tray' ? (
          <>
            <Rect x={4} y={8} width={48} height={28} {...bad} />
            <Path d="M10 16 H46 M10 22 H46 M10 28 H46" {...line} strokeWidth={2} />
          </>
        ) : null}
        {cause === 'ribbon edge' ? (
          <>
            <Path d="M4 17 H52 M4 22 H52 M4 27 H52" {...line} strokeWidth={2} />
            <Path d="M4 11 H52 M4 33 H52" {...bad} />
          </>
        ) : null}
        {cause === 'bend' ? (
          <>
            <Path d="M4 34 H24 Q40 34 40 20 V6" {...line} />
            <Path d="M44 30 L52 38 M46 24 L55 28" {...bad} />
          </>
        ) : null}
        {cause === 'mode field' ? (
          <>
            <Circle cx={17} cy={22} r={9} {...line} />
            <Circle cx={39} cy={22} r={14} {...line} />
          </>
        ) : null}
        {cause === 'splice' ? (
          <>
            <Path d="M2 19 H26 M30 25 H54" {...line} strokeWidth={5} />
            <Path d="M28 8 V36" {...bad} />
          </>
        ) : null}
        {cause === 'unplanned' ? (
          <>
            <Line x1={2} y1={22} x2={54} y2={22} {...line} />
            <Circle cx={28} cy={22} r={9} {...bad} strokeDasharray="4 4" />
          </>
        ) : null}
        {cause === 'ghost' ? (
          <>
            <Path d="M2 34 H14 V8 H18 V34 H38 V22 H42 V34 H54" {...line} strokeDasharray="4 3" />
          </>
        ) : null}
      </Svg>
      <Text kind="small">{WORDS[cause]}</Text>
    </View>
  );
}
