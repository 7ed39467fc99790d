import { useState } from 'react';
import { View } from 'react-native';
import Svg, { Circle, Line, Path, Rect, Text as SvgText } from 'react-native-svg';
import type { GaugeUnit } from '@cordel/core';
import { type PressureRound, formatGauge, gaugeAt, readingsOf } from '@cordel/core/close';
import { closingShared as t } from '@cordel/text/pages/closing/shared';
import { FONTS, useColors } from '@/ui/theme';

const HEIGHT = 190;
const LEFT = 74;
const BELOW = 26;

/** Readings of a round over its minutes, and what cooling alone would make of the first one. */
export function GaugeChart({ pressed, unit }: { pressed: PressureRound; unit: GaugeUnit }) {
  const colors = useColors();
  const [width, setWidth] = useState(340);
  const { round } = pressed;
  const readings = readingsOf(round, pressed.readings);
  if (readings.length < 2) return null;
  const first = readings[0]!;
  const alone = readings.flatMap(({ minutes, temperature }) =>
    temperature === null || first.temperature === null
      ? []
      : [{ minutes, gaugePa: gaugeAt(first.gaugePa, round.airPa, first.temperature, temperature) }],
  );
  const all = [...readings, ...alone].map(({ gaugePa }) => gaugePa);
  const [low, high] = [Math.min(...all), Math.max(...all)];
  const room = Math.max(high - low, 4 * round.stepPa) * 0.12;
  const last = readings.at(-1)!.minutes;
  const x = (minutes: number) => LEFT + ((width - LEFT - 14) * minutes) / last;
  const y = (pa: number) =>
    8 + (HEIGHT - BELOW - 16) * (1 - (pa - low + room) / (high - low + 2 * room));
  const marks = [high, low];
  return (
    <View
      onLayout={({ nativeEvent }) => setWidth(Math.max(260, nativeEvent.layout.width))}
      role="img"
      aria-label={t('gaugeFromToInMinutes', {
        first: formatGauge(first.gaugePa, unit),
        last: formatGauge(readings.at(-1)!.gaugePa, unit),
        minutes: last.toFixed(1),
        alone:
          alone.length > 0
            ? t('byTemperatureAlone', {
                gauge: formatGauge(Math.round(alone.at(-1)!.gaugePa), unit),
              })
            : '',
      })}
    >
      <Svg width={width} height={HEIGHT}>
        <Rect
          x={LEFT}
          y={2}
          width={width - LEFT - 2}
          height={HEIGHT - BELOW}
          fill={colors.leaf}
          stroke={colors.ink}
          strokeWidth={2}
        />
        {marks.map((pa) => (
          <SvgText
            key={pa}
            x={LEFT - 6}
            y={y(pa) + 5}
            fontSize={14}
            fontFamily={FONTS.regular}
            fill={colors.ink}
            textAnchor="end"
          >
            {formatGauge(Math.round(pa), unit)}
          </SvgText>
        ))}
        {alone.length > 1 ? (
          <Path
            d={alone
              .map(
                ({ minutes, gaugePa }, at) => `${at === 0 ? 'M' : 'L'} ${x(minutes)} ${y(gaugePa)}`,
              )
              .join(' ')}
            stroke={colors.ink2}
            strokeWidth={2.5}
            strokeDasharray="7 5"
            fill="none"
          />
        ) : null}
        {readings.map(({ minutes, gaugePa }) => (
          <Circle key={minutes} cx={x(minutes)} cy={y(gaugePa)} r={4} fill={colors.ink} />
        ))}
        <Line x1={LEFT} x2={LEFT} y1={HEIGHT - BELOW} y2={HEIGHT - BELOW + 6} stroke={colors.ink} />
        {[0, last / 2, last].map((minutes) => (
          <SvgText
            key={minutes}
            x={x(minutes)}
            y={HEIGHT - 6}
            fontSize={14}
            fontFamily={FONTS.regular}
            fill={colors.ink}
            textAnchor={minutes === last ? 'end' : minutes === 0 ? 'start' : 'middle'}
          >
            {t('minutesMin', { minutes: minutes.toFixed(minutes === 0 ? 0 : 1) })}
          </SvgText>
        ))}
      </Svg>
    </View>
  );
}
