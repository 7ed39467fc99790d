import { useState } from 'react';
import { View } from 'react-native';
import Svg, { Defs, G, Line, Pattern, Rect, Text as SvgText } from 'react-native-svg';
import type { Timeline } from '@cordel/core/shift';
import { timelinePicture as t } from '@cordel/text/pages/bench/TimelinePicture';
import { useClock } from '@/projects/useClock';
import { Text } from '@/ui/Text';
import { FONTS, useColors } from '@/ui/theme';

const ROW = 26;
const LEFT = 96;

interface Props {
  timeline: Timeline;
  /** Ms since 1970 of its start, and seconds from it to the window's end. */
  start: number;
  window: number;
}

/** One run of the shift that ends about where most do: each tube by the hour, and the first minutes close up. */
export function TimelinePicture({ timeline, start, window }: Props) {
  const [width, setWidth] = useState(340);
  return (
    <View
      style={{ gap: 12 }}
      onLayout={({ nativeEvent }) => setWidth(Math.max(300, nativeEvent.layout.width))}
    >
      <Text kind="strong">{t('tubeByTube')}</Text>
      <Units timeline={timeline} start={start} window={window} width={width} />
      <Text kind="strong">{t('theFirstHalfHourCloseUp')}</Text>
      <CloseUp timeline={timeline} width={width} />
      <Text kind="small" color="ink2">
        {t('solidHandsAtASpliceHatched')}
      </Text>
    </View>
  );
}

function Units({ timeline, start, window, width }: Props & { width: number }) {
  const colors = useColors();
  const { clock } = useClock();
  const end = Math.max(window, timeline.finish) * 1.02;
  const x = (seconds: number) => LEFT + ((width - LEFT - 8) * seconds) / end;
  const height = timeline.units.length * ROW + 40;
  const hours = Math.ceil(end / 3600);
  const every = Math.max(1, Math.ceil(hours / 6));
  return (
    <Svg
      width={width}
      height={height}
      role="img"
      aria-label={t('tubesAndRibbonsDoneAtWindow', {
        units: timeline.units.length,
        done: clock(start + timeline.finish * 1000),
        window: clock(start + window * 1000),
      })}
    >
      {Array.from({ length: Math.floor(hours / every) + 1 }, (_, index) => index * every).map(
        (hour) => (
          <G key={hour}>
            <Line
              x1={x(hour * 3600)}
              x2={x(hour * 3600)}
              y1={18}
              y2={height - 18}
              stroke={colors.rule}
              strokeWidth={1}
            />
            <SvgText
              x={x(hour * 3600)}
              y={13}
              fontSize={14}
              fontFamily={FONTS.semi}
              fill={colors.ink}
              textAnchor={x(hour * 3600) > width - 24 ? 'end' : 'middle'}
            >
              {clock(start + hour * 3_600_000)}
            </SvgText>
          </G>
        ),
      )}
      {timeline.units.map(({ label, from, to }, index) => (
        <G key={`${label} ${index}`}>
          <SvgText
            x={LEFT - 6}
            y={24 + index * ROW + 14}
            fontSize={14}
            fontFamily={FONTS.regular}
            fill={colors.ink}
            textAnchor="end"
          >
            {label}
          </SvgText>
          <Rect
            x={x(from)}
            y={24 + index * ROW}
            width={Math.max(2, x(to) - x(from))}
            height={ROW - 8}
            fill={to <= window ? colors.ink : colors.leaf}
            stroke={colors.ink}
            strokeWidth={2}
          />
        </G>
      ))}
      <Line
        x1={x(window)}
        x2={x(window)}
        y1={18}
        y2={height - 18}
        stroke={colors.accent}
        strokeWidth={3}
        strokeDasharray="7 5"
      />
      <SvgText
        x={Math.min(x(window), width - 4)}
        y={height - 3}
        fontSize={14}
        fontFamily={FONTS.bold}
        fill={colors.accent}
        textAnchor={x(window) > width - 90 ? 'end' : 'middle'}
      >
        {t('windowEndsClock', { clock: clock(start + window * 1000) })}
      </SvgText>
    </Svg>
  );
}

const CLOSE = 1800;
const OUTLINED = ['openTube', 'arcCheck', 'break', 'ribbonize'];

function CloseUp({ timeline, width }: { timeline: Timeline; width: number }) {
  const colors = useColors();
  const from = 0;
  const x = (seconds: number) => LEFT + ((width - LEFT - 8) * (seconds - from)) / CLOSE;
  const height = timeline.lanes.length * (ROW + 4) + 24;
  return (
    <Svg width={width} height={height} role="img" aria-label={t('whatHandsSplicersAndHeatersDo')}>
      <Defs>
        <Pattern
          id="shift-hatch"
          patternUnits="userSpaceOnUse"
          width={6}
          height={6}
          patternTransform="rotate(45)"
        >
          <Rect width={2.5} height={6} fill={colors.ink} />
        </Pattern>
      </Defs>
      {timeline.lanes.map(({ of, number, segments }, index) => (
        <G key={`${of} ${number}`}>
          <SvgText
            x={LEFT - 6}
            y={index * (ROW + 4) + 18}
            fontSize={14}
            fontFamily={FONTS.regular}
            fill={colors.ink}
            textAnchor="end"
          >
            {timeline.lanes.filter((lane) => lane.of === of).length === 1
              ? t(of)
              : t('numbered', { name: t(of), number })}
          </SvgText>
          {segments
            .filter((segment) => segment.from < CLOSE)
            .map((segment) => (
              <Rect
                key={segment.from}
                x={x(segment.from)}
                y={index * (ROW + 4) + 2}
                width={Math.max(1, x(Math.min(CLOSE, segment.to)) - x(segment.from) - 0.5)}
                height={ROW - 4}
                fill={
                  OUTLINED.includes(segment.what)
                    ? colors.leaf
                    : of === 'hands'
                      ? colors.ink
                      : 'url(#shift-hatch)'
                }
                stroke={colors.ink}
                strokeWidth={1}
              />
            ))}
        </G>
      ))}
      {[0, 10, 20, 30].map((minute) => (
        <SvgText
          key={minute}
          x={x(minute * 60)}
          y={height - 4}
          fontSize={14}
          fontFamily={FONTS.semi}
          fill={colors.ink}
          textAnchor={minute === 30 ? 'end' : minute === 0 ? 'start' : 'middle'}
        >
          {t('minuteMin', { minute })}
        </SvgText>
      ))}
    </Svg>
  );
}
