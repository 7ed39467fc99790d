import { View } from 'react-native';
import Svg, { Path, Rect, Text as SvgText } from 'react-native-svg';
import { GROUP_SIZE } from '@cordel/core';
import { devicesPart as t } from '@cordel/text/pages/plan/DevicesPart';
import { Text } from '@/ui/Text';
import { FONTS, useColors } from '@/ui/theme';
import type { OnDevice } from './onDevices';

const WIDTH = 320;
const HEIGHT = 200;
/** Ribbons that a holder takes; common practice, no source. */
const HOLDER = 3;

/**
 * A splice module from above: the cable's ribbons come in and loop clockwise, the pigtails loop the other way round;
 * sleeves lie in two holders in ribbon order, strength rods upright.
 */
export function ModulePicture({ on }: { on: readonly OnDevice[] }) {
  const colors = useColors();
  const ribbons = [
    ...new Set(on.map(({ cable, other }) => `${cable} ${Math.ceil(other / GROUP_SIZE)}`)),
  ];
  const holders = [ribbons.slice(0, HOLDER), ribbons.slice(HOLDER, 2 * HOLDER)];
  return (
    <View style={{ gap: 4 }}>
      <Svg
        width="100%"
        viewBox={`0 0 ${WIDTH} ${HEIGHT}`}
        style={{ maxWidth: 420, aspectRatio: WIDTH / HEIGHT }}
        role="img"
        aria-label={t('moduleHolders')}
      >
        <Rect
          x={2}
          y={2}
          width={WIDTH - 4}
          height={HEIGHT - 4}
          fill={colors.leaf}
          stroke={colors.ink}
          strokeWidth={3}
        />
        <Loop d="M2 172 L56 172 A38 38 0 1 1 94 134" />
        <Loop d="M318 172 L264 172 A38 38 0 1 0 226 134" dashed />
        <Word x={10} y={192} words={t('trunkLoop')} />
        <Word x={WIDTH - 10} y={192} words={t('pigtailLoop')} end />
        {holders.map((own, index) => (
          <Holder
            key={index}
            y={20 + index * 42}
            words={index === 0 ? t('firstHolder') : t('secondHolder')}
            ribbons={own}
          />
        ))}
      </Svg>
      <Text color="ink2">{t('moduleHolders')}</Text>
    </View>
  );
}

/** A ribbon's loop; it is dashed for pigtails. The head of its arrow shows the direction. */
function Loop({ d, dashed = false }: { d: string; dashed?: boolean }) {
  const colors = useColors();
  const head = dashed ? 'M234 124 L226 137 L218 124' : 'M86 124 L94 137 L102 124';
  return (
    <>
      <Path
        d={d}
        fill="none"
        stroke={colors.ink}
        strokeWidth={4}
        strokeDasharray={dashed ? '8 4' : undefined}
      />
      <Path d={head} fill="none" stroke={colors.ink} strokeWidth={3} />
    </>
  );
}

function Word({
  x,
  y,
  words,
  end = false,
}: {
  x: number;
  y: number;
  words: string;
  end?: boolean;
}) {
  const colors = useColors();
  return (
    <SvgText
      x={x}
      y={y}
      fontSize={12}
      fontFamily={FONTS.semi}
      fill={colors.ink}
      textAnchor={end ? 'end' : 'start'}
    >
      {words}
    </SvgText>
  );
}

/** A holder with its sleeves on edge: the strength rod is the dark stroke at the top. */
function Holder({ y, words, ribbons }: { y: number; words: string; ribbons: readonly string[] }) {
  const colors = useColors();
  return (
    <>
      <Word x={100} y={y} words={words} />
      {Array.from({ length: HOLDER }, (_, index) => (
        <SleeveOnEdge
          key={index}
          x={100 + index * 40}
          y={y + 5}
          ribbon={ribbons[index] ?? null}
          colors={colors}
        />
      ))}
    </>
  );
}

function SleeveOnEdge({
  x,
  y,
  ribbon,
  colors,
}: {
  x: number;
  y: number;
  ribbon: string | null;
  colors: ReturnType<typeof useColors>;
}) {
  return (
    <>
      <Rect
        x={x}
        y={y}
        width={34}
        height={20}
        fill={ribbon ? colors.wood : colors.leaf}
        stroke={colors.ink}
        strokeWidth={2}
      />
      {ribbon ? <Rect x={x} y={y} width={34} height={5} fill={colors.ink} /> : null}
      <SvgText
        x={x + 17}
        y={y + 17}
        fontSize={11}
        fontFamily={FONTS.semi}
        fill="#1C1914"
        textAnchor="middle"
      >
        {ribbon ?? ''}
      </SvgText>
    </>
  );
}
