import { useState } from 'react';
import { View } from 'react-native';
import Svg, { Circle, Line, Path, Rect, Text as SvgText } from 'react-native-svg';
import { type HealthSeries, formatLoss } from '@cordel/core';
import { seriesText } from '@cordel/text/bench';
import { benchShared as t } from '@cordel/text/pages/bench/shared';
import { Text } from '@/ui/Text';
import { FONTS, useColors } from '@/ui/theme';

const HEIGHT = 150;
const SHOWN = 60;

/** How a series is said in a word. */
export function wordOf({
  chart,
}: HealthSeries): 'steady' | 'rising' | 'falling' | 'jumped' | 'too few yet' {
  const last = chart?.points.at(-1);
  if (!last) return 'too few yet';
  // One figure far out takes the running mean with it: only the next ones make it a rise.
  if (last.single === 'above' && chart?.points.at(-2)?.running !== 'above') return 'jumped';
  return last.running === 'above' ? 'rising' : last.running === 'below' ? 'falling' : 'steady';
}

const figure = (series: HealthSeries, value: number): string =>
  series.unit === 'dB' ? `${formatLoss(Math.round(value))} dB` : `${value.toFixed(1)}°`;

/**
 * A series as a picture that needs no training: dots are single figures, the heavy line is their running
 * mean, the paper band is where it wanders while all is well. What leaves the band is marked.
 */
export function ControlChart({ series }: { series: HealthSeries }) {
  const colors = useColors();
  const [width, setWidth] = useState(320);
  const { chart, values } = series;
  const word = wordOf(series);
  const start = Math.max(0, values.length - SHOWN);
  const points = chart?.points.slice(start) ?? [];
  const lows = chart ? [chart.singles[0], chart.running[0]] : [0];
  const highs = chart ? [chart.singles[1], chart.running[1]] : [1];
  const least = Math.min(...lows, ...points.map(({ value }) => value));
  const most = Math.max(...highs, ...points.map(({ value }) => value));
  // Beside the band two figures are enough.
  const step = series.unit === 'dB' ? 10 : 0.1;
  const left = 58;
  const x = (index: number) =>
    left + ((width - left - 12) * (index + 0.5)) / Math.max(1, points.length);
  const y = (value: number) => 10 + (HEIGHT - 20) * (1 - (value - least) / (most - least || 1));
  const label = `${seriesText(series.name)}: ${word}${values.length > 0 ? t('lastFigure', { figure: figure(series, values.at(-1)!.value) }) : ''}`;
  return (
    <View
      style={{ gap: 4 }}
      onLayout={({ nativeEvent }) => setWidth(Math.max(260, nativeEvent.layout.width))}
    >
      <View style={{ flexDirection: 'row', justifyContent: 'space-between' }}>
        <Text kind="strong">{seriesText(series.name)}</Text>
        <Text kind="strong" color={word === 'rising' ? 'accent' : 'ink'}>
          {word}
        </Text>
      </View>
      {chart ? (
        <Svg width={width} height={HEIGHT} role="img" aria-label={label}>
          <Rect
            x={left}
            y={0}
            width={width - left}
            height={HEIGHT}
            fill={colors.leaf}
            stroke={colors.ink}
            strokeWidth={2}
          />
          <Rect
            x={left}
            y={y(chart.running[1])}
            width={width - left}
            height={y(chart.running[0]) - y(chart.running[1])}
            fill={colors.rule}
            opacity={0.45}
          />
          <Line
            x1={left}
            x2={width}
            y1={y(chart.singles[1])}
            y2={y(chart.singles[1])}
            stroke={colors.accent}
            strokeWidth={2}
            strokeDasharray="7 5"
          />
          <Line
            x1={left}
            x2={width}
            y1={y(chart.baseline.center)}
            y2={y(chart.baseline.center)}
            stroke={colors.ink2}
            strokeWidth={1}
          />
          {points.map((point, index) =>
            point.single === 'above' ? (
              <Path
                key={index}
                d={`M${x(index)} ${y(point.value) - 6}l6 11h-12z`}
                fill={colors.accent}
              />
            ) : (
              <Circle key={index} cx={x(index)} cy={y(point.value)} r={2.6} fill={colors.ink2} />
            ),
          )}
          <Path
            d={points
              .map(({ ewma }, index) => `${index === 0 ? 'M' : 'L'}${x(index)} ${y(ewma)}`)
              .join('')}
            stroke={colors.ink}
            strokeWidth={3}
            fill="none"
          />
          {points.map((point, index) =>
            point.running === 'above' ? (
              <Rect
                key={`r${index}`}
                x={x(index) - 4}
                y={y(point.ewma) - 4}
                width={8}
                height={8}
                fill={colors.accent}
                stroke={colors.ink}
              />
            ) : null,
          )}
          {[chart.singles[1], chart.baseline.center].map((value) => (
            <SvgText
              key={value}
              x={left - 4}
              y={y(value) + 5}
              fontSize={14}
              fontFamily={FONTS.semi}
              fill={colors.ink}
              textAnchor="end"
            >
              {figure(series, Math.round(series.back(value) / step) * step)}
            </SvgText>
          ))}
        </Svg>
      ) : (
        <Text color="ink2">{t('of20FiguresTheBandIs', { values: values.length })}</Text>
      )}
    </View>
  );
}
