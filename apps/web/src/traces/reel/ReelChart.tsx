import { useState } from 'react';
import { View } from 'react-native';
import Svg, { Circle, Line, Path, Text as SvgText } from 'react-native-svg';
import type { paths } from '@cordel/client/paths';
import { reelPage as t } from '@cordel/text/pages/traces/ReelPage';
import { Text } from '@/ui/Text';
import { FONTS, useColors } from '@/ui/theme';

export type ReelShot =
  paths['/api/projects/{projectId}/cables/{cableId}/reel']['get']['responses'][200]['content']['application/json']['shots'][number];

const HEIGHT = 150;
const LEFT = 46;
const BELOW = 22;

/** Attenuation of every fiber at one wavelength against what it may be: a dot is accepted, a cross is not. */
export function ReelChart({
  nm,
  fibers,
  shots,
}: {
  nm: number;
  fibers: number;
  shots: readonly ReelShot[];
}) {
  const colors = useColors();
  const [width, setWidth] = useState(340);
  const most = shots[0]?.mostDbPerKm ?? null;
  const known = shots.flatMap((shot) => (shot.attenuation ? [shot.attenuation.lossDb] : []));
  const top = 1.15 * Math.max(most ?? 0, ...known, 0.1);
  const x = (fiber: number) => LEFT + ((fiber - 0.5) / fibers) * (width - LEFT - 8);
  const y = (loss: number) => HEIGHT - BELOW - (loss / top) * (HEIGHT - BELOW - 8);
  const step = Math.max(1, Math.ceil(fibers / 12));
  const label = { fontFamily: FONTS.regular, fontSize: 13, fill: colors.ink } as const;
  return (
    <View onLayout={({ nativeEvent }) => setWidth(Math.max(240, nativeEvent.layout.width))}>
      <Text kind="strong">{t('chart', { wavelengthNm: nm })}</Text>
      <Svg
        width={width}
        height={HEIGHT}
        role="img"
        aria-label={shots
          .map(({ fiber, attenuation, verdict }) =>
            t('fiberIs', {
              fiber,
              loss: attenuation?.lossDb.toFixed(3) ?? '–',
              verdict: t('verdict', { verdict }),
            }),
          )
          .join('; ')}
      >
        <Line x1={LEFT} x2={LEFT} y1={4} y2={HEIGHT - BELOW} stroke={colors.ink} strokeWidth={2} />
        <Line
          x1={LEFT}
          x2={width - 4}
          y1={HEIGHT - BELOW}
          y2={HEIGHT - BELOW}
          stroke={colors.ink}
          strokeWidth={2}
        />
        <SvgText {...label} x={LEFT - 6} y={HEIGHT - BELOW} textAnchor="end">
          0
        </SvgText>
        {most === null ? null : (
          <>
            <Line
              x1={LEFT}
              x2={width - 4}
              y1={y(most)}
              y2={y(most)}
              stroke={colors.accent}
              strokeWidth={2}
              strokeDasharray="6 4"
            />
            <SvgText {...label} x={LEFT - 6} y={y(most) + 4} textAnchor="end">
              {most.toFixed(2)}
            </SvgText>
          </>
        )}
        {Array.from({ length: fibers }, (_, index) => index + 1)
          .filter((fiber) => fiber === 1 || fiber % step === 0)
          .map((fiber) => (
            <SvgText key={fiber} {...label} x={x(fiber)} y={HEIGHT - 5} textAnchor="middle">
              {String(fiber)}
            </SvgText>
          ))}
        {shots.map(({ traceId, fiber, attenuation, verdict }) =>
          attenuation === null ? null : verdict === 'accepted' ? (
            <Circle
              key={traceId}
              cx={x(fiber)}
              cy={y(attenuation.lossDb)}
              r={5}
              fill={colors.green}
              stroke={colors.ink}
              strokeWidth={1}
            />
          ) : (
            <Path
              key={traceId}
              d={`M${x(fiber) - 6} ${y(attenuation.lossDb) - 6}l12 12m0 -12l-12 12`}
              stroke={verdict === 'rejected' ? colors.accent : colors.ink}
              strokeWidth={3}
            />
          ),
        )}
      </Svg>
    </View>
  );
}
