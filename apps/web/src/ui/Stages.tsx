import { View } from 'react-native';
import Svg, { Defs, Pattern, Rect } from 'react-native-svg';
import { uiShared as t } from '@cordel/text/pages/ui/shared';
import { Text } from './Text';
import type { Stage, StageState } from './stagesOf';
import { useColors } from './theme';

/** Marks of the stages: solid done, hatched under way, outline to come, dashed not recorded; with words where there is room. */
export function Stages({ stages, words }: { stages: readonly Stage[]; words?: boolean }) {
  return (
    <View
      role="img"
      aria-label={stages.map(stageText).join(', ')}
      style={{ flexDirection: 'row', gap: words ? 16 : 3, flexWrap: 'wrap' }}
    >
      {stages.map((stage) => (
        <View key={stage.name} style={{ flexDirection: 'row', alignItems: 'center', gap: 6 }}>
          <Mark state={stage.state} />
          {words ? <Text>{stageText(stage)}</Text> : null}
        </View>
      ))}
    </View>
  );
}

const STATES: Record<StageState, string> = {
  done: t('stageDone'),
  'under way': t('stageUnderWay'),
  'to come': t('stageToCome'),
  'not recorded': t('stageNotRecorded'),
  'partly recorded': t('stagePartlyRecorded'),
};

const stageText = ({ name, state }: Stage): string => t('stageIs', { name, state: STATES[state] });

const isUnrecorded = (state: StageState): boolean =>
  state === 'not recorded' || state === 'partly recorded';

function Mark({ state }: { state: StageState }) {
  const colors = useColors();
  const hatch = `stage-${colors.ink.slice(1)}`;
  const isHatched = state === 'under way' || state === 'partly recorded';
  const fill = state === 'done' ? colors.ink : isHatched ? `url(#${hatch})` : 'none';
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
      <Rect
        x={1}
        y={1}
        width={22}
        height={13}
        fill={fill}
        stroke={colors.ink}
        strokeWidth={1.5}
        strokeDasharray={isUnrecorded(state) ? '3 2' : undefined}
      />
    </Svg>
  );
}
