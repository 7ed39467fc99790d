import { useMemo } from 'react';
import { View } from 'react-native';
import Svg, { Circle, G, Path, Rect, Text as SvgText } from 'react-native-svg';
import type { Hardware } from '@cordel/core';
import { faceOf } from '@cordel/core/close';
import { closingShared as t } from '@cordel/text/pages/closing/shared';
import { FONTS, useColors } from '@/ui/theme';

interface FaceDrawingProps {
  hardware: Hardware;
  /** Ports and seams that bubble. */
  bubbling?: readonly string[];
  /** Ports that are sealed with a cable; the others are plugged. */
  sealed?: readonly string[];
  /** Bolts that are tightened, and the next one. */
  tight?: ReadonlySet<number>;
  nextBolt?: number | null;
  onPress?(place: string): void;
}

/** Bubbles beside a place: three rings of paper. */
function Bubbles({ x, y, r }: { x: number; y: number; r: number }) {
  const colors = useColors();
  return (
    <G>
      {[
        [-0.9, -1.1, 2.6],
        [0.2, -1.5, 3.4],
        [1.1, -0.9, 2.2],
      ].map(([dx, dy, radius]) => (
        <Circle
          key={dx}
          cx={x + dx! * r}
          cy={y + dy! * r}
          r={radius!}
          fill={colors.leaf}
          stroke={colors.accent}
          strokeWidth={1.3}
        />
      ))}
    </G>
  );
}

/** A closure's own ports, seams and bolts as they are looked at. */
export function FaceDrawing({
  hardware,
  bubbling = [],
  sealed = [],
  tight,
  nextBolt,
  onPress,
}: FaceDrawingProps) {
  const colors = useColors();
  const face = useMemo(() => faceOf(hardware), [hardware]);
  const round = 'round' in face.body ? face.body.round : null;
  const box = 'box' in face.body ? face.body.box : null;
  const bolted = tight !== undefined;
  const words = [
    `${hardware.name}: ${face.ports.map(({ name }) => name).join(', ')}`,
    bubbling.length > 0 ? t('bubblesAtBubbling', { bubbling: bubbling.join(', ') }) : '',
    bolted ? t('ofBoltsTight', { size: tight.size, bolts: face.bolts.length }) : '',
  ];
  return (
    <View
      role="img"
      aria-label={words.filter(Boolean).join('; ')}
      style={{ width: '100%', maxWidth: 420, alignSelf: 'center' }}
    >
      <Svg
        width="100%"
        viewBox={`0 0 ${face.width} ${face.height}`}
        style={{ aspectRatio: face.width / face.height }}
      >
        {round ? (
          <Circle
            cx={round.x}
            cy={round.y}
            r={round.r}
            fill={colors.leaf}
            stroke={colors.ink}
            strokeWidth={2}
          />
        ) : null}
        {box ? <Rect {...box} fill={colors.leaf} stroke={colors.ink} strokeWidth={2} /> : null}
        {face.seams.map((seam) => (
          <Path
            key={seam.name}
            d={seam.path}
            fill="none"
            stroke={bubbling.includes(seam.name) ? colors.accent : colors.ink}
            strokeWidth={bubbling.includes(seam.name) ? 4 : 2.4}
            strokeDasharray={bubbling.includes(seam.name) ? '3 3' : undefined}
          />
        ))}
        {face.ports.map((port) => {
          const used = sealed.includes(port.name);
          return (
            <G key={port.name} onPress={onPress ? () => onPress(port.name) : undefined}>
              <Circle
                cx={port.x}
                cy={port.y}
                r={port.r}
                fill={used ? colors.wood : colors.paper}
                stroke={colors.ink}
                strokeWidth={1.6}
              />
              {port.holes.map((hole, index) => (
                <Circle
                  key={index}
                  cx={hole.x}
                  cy={hole.y}
                  r={hole.r}
                  fill={used ? colors.ink : 'none'}
                  stroke={colors.ink}
                  strokeWidth={1}
                />
              ))}
              {bubbling.includes(port.name) ? <Bubbles {...port} /> : null}
            </G>
          );
        })}
        {face.bolts.map((bolt) => {
          const done = tight?.has(bolt.number) ?? false;
          const next = nextBolt === bolt.number;
          return (
            <G key={bolt.number}>
              <Circle
                cx={bolt.x}
                cy={bolt.y}
                r={bolt.r}
                fill={done ? colors.ink : next ? colors.accent : colors.leaf}
                stroke={next ? colors.accent : colors.ink}
                strokeWidth={1.4}
              />
              <SvgText
                x={bolt.x}
                y={bolt.y + 2}
                fontSize={5.5}
                fontFamily={FONTS.bold}
                textAnchor="middle"
                fill={done ? colors.leaf : next ? colors.onAccent : colors.ink}
              >
                {String(bolt.number)}
              </SvgText>
            </G>
          );
        })}
      </Svg>
    </View>
  );
}
