import { View } from 'react-native';
import Svg, { Defs, Pattern, Rect } from 'react-native-svg';
import { Text } from './Text';
import type { Stage, StageState } from './stagesOf';
import { useColors } from './theme';

/** Marks of the stages: solid done, hatched under way, outline to come; with words where there is room. */
export function Stages({ stages, words }: { stages: readonly Stage[]; words?: boolean }) {
  return (
    <View
      role="img"
      aria-label={stages.map((stage) => `${stage.name}: ${stage.state}`).join(', ')}
      style={{ flexDirection: 'row', gap: words ? 16 : 3, flexWrap: 'wrap' }}
    >
      {stages.map((stage) => (
        <View key={stage.name} style={{ flexDirection: 'row', alignItems: 'center', gap: 6 }}>
          <Mark state={stage.state} />
          {words ? <Text>{`${stage.name}: ${stage.state}`}</Text> : null}
        </View>
      ))}
    </View>
  );
}

function Mark({ state }: { state: StageState }) {
  const colors = useColors();
  const hatch = `stage-${colors.ink.slice(1)}`;
  const fill = state === 'done' ? colors.ink : state === 'under way' ? `url(#${hatch})` : 'none';
  return (
    <Svg width={24} height={15}>
      <Defs>
        <Pattern
          id={hatch}
          patternUnits="userSpaceOnUse"
          width={5}
          height={5}
          patternTransform="rotate(45)"
        >
          <Rect width={2.5} height={5} fill={colors.ink} />
        </Pattern>
      </Defs>
      <Rect x={1} y={1} width={22} height={13} fill={fill} stroke={colors.ink} strokeWidth={1.5} />
    </Svg>
  );
}
