import { View } from 'react-native';
import Svg, { Circle, Path, Rect } from 'react-native-svg';
import { type ColourPlace, type FiberAddress, markColour } from '@cordel/core';
import { addressParts, ribbonPlaceText } from '@cordel/text/fiber';
import { useColors } from './theme';

/** A fiber as a cross-section: ring in the tube's color, disc in the fiber's, a tracer as a notch. */
export function FiberEye({ address, size = 84 }: { address: FiberAddress; size?: number }) {
  const colors = useColors();
  const { fiber, tube } = address;
  return (
    <View role="img" aria-label={addressParts(address).join(' ')}>
      <Svg width={size} height={size} viewBox="0 0 84 84">
        <Circle
          cx={42}
          cy={42}
          r={38}
          fill={tube?.colour.hex ?? colors.leaf}
          stroke={colors.ink}
          strokeWidth={2.5}
        />
        {tube ? <Marks place={tube} inner={26} outer={38} /> : null}
        <Circle cx={42} cy={42} r={25} fill={colors.leaf} stroke={colors.ink} strokeWidth={2} />
        <Circle
          cx={42}
          cy={42}
          r={16}
          fill={fiber.colour.hex}
          stroke={colors.ink}
          strokeWidth={2.5}
        />
        <Marks place={fiber} inner={0} outer={16} />
      </Svg>
    </View>
  );
}

/** A tracer or ring mark: a wedge of its color, one for each time the order has repeated. */
function Marks({ place, inner, outer }: { place: ColourPlace; inner: number; outer: number }) {
  const fill = markColour(place.colour) === 'yellow' ? '#F2C91D' : '#1B1B1B';
  return Array.from({ length: place.marks }, (_, index) => {
    const middle = -Math.PI / 2 + (index * Math.PI) / 2;
    const at = (radius: number, angle: number) =>
      `${42 + radius * Math.cos(angle)} ${42 + radius * Math.sin(angle)}`;
    const wedge = `M ${at(inner, middle - 0.35)} L ${at(outer, middle - 0.35)} L ${at(outer, middle + 0.35)} L ${at(inner, middle + 0.35)} Z`;
    return <Path key={index} d={wedge} fill={fill} stroke="#FFFCF4" strokeWidth={1} />;
  });
}

/** A ribbon as a bar of twelve with a place marked by a notch above it. */
export function RibbonBar({
  colours,
  marked,
  width = 132,
}: {
  colours: readonly ColourPlace[];
  marked: number;
  width?: number;
}) {
  const colors = useColors();
  const cell = 10;
  return (
    <View role="img" aria-label={ribbonPlaceText({ fibers: colours.length, place: marked })}>
      <Svg
        width={width}
        height={(width / 124) * 34}
        viewBox={`0 0 ${colours.length * cell + 4} 34`}
      >
        {colours.map((place, index) => (
          <Rect
            key={index}
            x={2 + index * cell}
            y={12}
            width={cell}
            height={18}
            fill={place.colour.hex}
            stroke={colors.ink}
            strokeWidth={1.5}
          />
        ))}
        <Path d={`M ${2 + (marked - 1) * cell} 1 h ${cell} l ${-cell / 2} 9 Z`} fill={colors.ink} />
      </Svg>
    </View>
  );
}
