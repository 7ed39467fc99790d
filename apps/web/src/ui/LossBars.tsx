import { useState } from 'react';
import { View } from 'react-native';
import Svg, { Defs, G, Line, Path, Pattern, Rect, Text as SvgText } from 'react-native-svg';
import { formatHalf } from '@cordel/core';
import { FONTS, useColors } from './theme';

/** One splice of a row of bars. */
export interface Bar {
  key: string;
  /** Loss in half-thousandths of a dB, or null where there is none. */
  lossHalfMdb: number | null;
  /** Its limit in thousandths of a dB, or null. */
  limit: number | null;
  over: boolean;
  /** Known by an estimate only: drawn hollow. */
  estimated: boolean;
  /** Dead, or accepted by the lead: crossed. */
  crossed: boolean;
  label: string;
}

const HEIGHT = 62;
const BASE = 56;
/** How far up the limit's line is drawn, so that a loss of twice the limit still shows its height. */
const LIMIT_AT = 30;

/**
 * Losses as heights, the limit a dashed line through them. Over it: hatched, with the figure. Hollow:
 * an estimate. Flat: nothing measured yet. Crossed: dead or accepted. It reads without colour.
 */
export function LossBars({
  bars,
  label,
  places = 12,
  onPick,
}: {
  bars: readonly Bar[];
  label: string;
  places?: number;
  onPick?: (key: string) => void;
}) {
  const colors = useColors();
  const [width, setWidth] = useState(0);
  const step = width / Math.max(places, bars.length, 1);
  const hatch = `hatch-${colors.accent.slice(1)}`;
  const limit = bars.find((bar) => bar.limit !== null)?.limit ?? null;
  return (
    <View
      role="img"
      aria-label={label}
      style={{ height: HEIGHT, flex: 1, minWidth: 120 }}
      onLayout={(event) => setWidth(event.nativeEvent.layout.width)}
    >
      {width > 0 ? (
        <Svg width={width} height={HEIGHT}>
          <Defs>
            <Pattern
              id={hatch}
              patternUnits="userSpaceOnUse"
              width={6}
              height={6}
              patternTransform="rotate(45)"
            >
              <Rect width={6} height={6} fill={colors.leaf} />
              <Rect width={3} height={6} fill={colors.accent} />
            </Pattern>
          </Defs>
          {bars.map((bar, index) => (
            <G key={bar.key} onPress={onPick ? () => onPick(bar.key) : undefined}>
              <Rect x={index * step} y={0} width={step} height={HEIGHT} fill="transparent" />
              <BarShape
                bar={bar}
                x={index * step + step * 0.14}
                width={step * 0.72}
                hatch={hatch}
                edge={width}
              />
            </G>
          ))}
          {limit === null ? null : (
            <Line
              x1={0}
              x2={width}
              y1={BASE - LIMIT_AT}
              y2={BASE - LIMIT_AT}
              stroke={colors.accent}
              strokeWidth={1.5}
              strokeDasharray="4 3"
            />
          )}
          <Line x1={0} x2={width} y1={BASE} y2={BASE} stroke={colors.ink} strokeWidth={2} />
        </Svg>
      ) : null}
    </View>
  );
}

function BarShape({
  bar,
  x,
  width,
  hatch,
  edge,
}: {
  bar: Bar;
  x: number;
  width: number;
  hatch: string;
  edge: number;
}) {
  const colors = useColors();
  if (bar.crossed) {
    return (
      <Path
        d={`M ${x} ${BASE - 14} L ${x + width} ${BASE - 2} M ${x} ${BASE - 2} L ${x + width} ${BASE - 14}`}
        stroke={colors.ink}
        strokeWidth={2}
      />
    );
  }
  if (bar.lossHalfMdb === null)
    return (
      <Rect
        x={x}
        y={BASE - 5}
        width={width}
        height={4}
        fill="none"
        stroke={colors.ink2}
        strokeWidth={1}
      />
    );
  const share = bar.limit ? bar.lossHalfMdb / (2 * bar.limit) : 0.5;
  const height = Math.max(3, Math.min(BASE - 13, share * LIMIT_AT));
  const y = BASE - height;
  if (bar.over) {
    const middle = Math.min(Math.max(x + width / 2, 16), edge - 16);
    return (
      <>
        <Rect
          x={x}
          y={y}
          width={width}
          height={height}
          fill={`url(#${hatch})`}
          stroke={colors.accent}
          strokeWidth={1.5}
        />
        <SvgText
          x={middle}
          y={Math.max(10, y - 3)}
          fontSize={12.5}
          fontFamily={FONTS.bold}
          fill={colors.accent}
          textAnchor="middle"
        >
          {formatHalf(bar.lossHalfMdb)}
        </SvgText>
      </>
    );
  }
  if (bar.estimated)
    return (
      <Rect
        x={x + 0.75}
        y={y}
        width={width - 1.5}
        height={height}
        fill="none"
        stroke={colors.ink}
        strokeWidth={1.5}
      />
    );
  return <Rect x={x} y={y} width={width} height={height} fill={colors.ink} />;
}
