import { View } from 'react-native';
import Svg, { Line, Path } from 'react-native-svg';
import { type Splitter, formatLoss, inputOf, splitterLossMdb } from '@cordel/core';
import { devicesPart as t } from '@cordel/text/pages/plan/DevicesPart';
import { Text } from '@/ui/Text';
import { useColors } from '@/ui/theme';
import type { OnDevice } from './onDevices';

/** Height of an output's row, px. */
const ROW = 28;
const WIDTH = 76;

/** One fiber that becomes many: what feeds the splitter, and where each output goes. */
export function SplitterPicture({
  splitter,
  name,
  on,
}: {
  splitter: Splitter;
  name: string;
  on: readonly OnDevice[];
}) {
  const colors = useColors();
  const { outputs } = splitter;
  const at = (fiber: number) => {
    const own = on.find((one) => one.fiber === fiber);
    return own?.label ?? null;
  };
  const feed = at(inputOf(splitter));
  const height = outputs * ROW;
  const losses = splitter.tapPercent === undefined ? [1] : [1, 2];
  return (
    <View role="group" aria-label={name} style={{ gap: 4 }}>
      <Text kind="strong" color={feed ? 'ink' : 'accent'}>
        {feed ? t('fedBy', { fiber: feed }) : t('nothingFeeds')}
      </Text>
      <Text color="ink2">
        {losses
          .map((output) =>
            t('splitterLoss', { loss: formatLoss(splitterLossMdb(splitter, output)), output }),
          )
          .join(', ')}
      </Text>
      <View style={{ flexDirection: 'row' }}>
        <Svg width={WIDTH} height={height} aria-hidden>
          <Line
            x1={0}
            x2={20}
            y1={height / 2}
            y2={height / 2}
            stroke={colors.ink}
            strokeWidth={4}
          />
          <Path
            d={`M20 ${height / 2} L34 4 L34 ${height - 4} Z`}
            fill={colors.wood}
            stroke={colors.ink}
            strokeWidth={2}
          />
          {Array.from({ length: outputs }, (_, index) => (
            <Line
              key={index}
              x1={34}
              x2={WIDTH}
              y1={index * ROW + ROW / 2}
              y2={index * ROW + ROW / 2}
              stroke={colors.ink}
              strokeWidth={2}
              strokeDasharray={at(index + 1) ? undefined : '3 4'}
            />
          ))}
        </Svg>
        <View>
          {Array.from({ length: outputs }, (_, index) => (
            <Text
              key={index}
              color={at(index + 1) ? 'ink' : 'ink2'}
              style={{ height: ROW, lineHeight: ROW, paddingLeft: 6 }}
            >
              {t('output', { output: index + 1, fiber: at(index + 1) ?? t('notUsed') })}
            </Text>
          ))}
        </View>
      </View>
    </View>
  );
}
