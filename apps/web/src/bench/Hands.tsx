import { Pressable, View } from 'react-native';
import Svg, { Line, Rect } from 'react-native-svg';
import { type FiberAddress, type MakeUp, isDevice, isFused } from '@cordel/core';
import { type BenchSplice } from '@cordel/core/session';
import { colourText, makeUpText, unitText } from '@cordel/text/fiber';
import { benchShared as t } from '@cordel/text/pages/bench/shared';
import { useProjectView } from '@/projects/context';
import { FiberEye, RibbonBar } from '@/ui/FiberEye';
import { Text } from '@/ui/Text';
import { useColors } from '@/ui/theme';
import type { Bench } from './useBench';

/** The fiber pair in the hands: both ends by cable, tube or ribbon, group, place and colour. */
export function Hands({ bench }: { bench: Bench }) {
  const { fiber, sleeve } = bench;
  if (!fiber || !sleeve) return null;
  const mass = sleeve.method === 'mass';
  return (
    <View style={{ gap: 4 }}>
      <View
        style={{ flexDirection: 'row', alignItems: 'flex-start', justifyContent: 'space-between' }}
      >
        <End splice={fiber} side="A" mass={mass} sleeve={sleeve.splices} />
        {mass || bench.mode === 'measure' ? null : <SleeveMark bench={bench} />}
        <End splice={fiber} side="B" mass={mass} sleeve={sleeve.splices} />
      </View>
      {mass && bench.mode !== 'measure' ? (
        <View style={{ alignItems: 'center' }}>
          <SleeveMark bench={bench} />
        </View>
      ) : null}
    </View>
  );
}

function End({
  splice,
  side,
  mass,
  sleeve,
}: {
  splice: BenchSplice;
  side: 'A' | 'B';
  mass: boolean;
  sleeve: readonly BenchSplice[];
}) {
  const view = useProjectView();
  const cable = splice[`cable${side}`];
  const number = splice[`fiber${side}`];
  const name = view.fiberName(cable, number, splice[`leg${side}`]);
  const address = view.address(cable, number);
  if (!address) return <Text>{name}</Text>;
  const device = deviceOf(view.cable(cable)?.makeUp);
  const colours = sleeve.flatMap(
    (other) => view.address(other[`cable${side}`], other[`fiber${side}`])?.fiber ?? [],
  );
  return (
    <View style={{ flex: 1, alignItems: 'center', paddingHorizontal: 2 }}>
      {mass ? (
        <RibbonBar
          colours={colours}
          marked={sleeve.findIndex((other) => other.id === splice.id) + 1}
          width={150}
        />
      ) : (
        <FiberEye address={address} size={76} />
      )}
      <Text kind="strong" style={{ textAlign: 'center', fontSize: 18 }}>
        {device ? name : `${name} ${colourText(address.fiber)}`}
      </Text>
      {device ? (
        <Text style={{ textAlign: 'center' }}>{makeUpText(device)}</Text>
      ) : (
        <>
          {address.place.unit ? (
            <Text style={{ textAlign: 'center' }}>{unitText(address)}</Text>
          ) : null}
          <Text style={{ textAlign: 'center' }}>{placeWords(address)}</Text>
        </>
      )}
    </View>
  );
}

/** The splitter or ports that a fiber is of; null for a cable's. */
const deviceOf = (makeUp: MakeUp | undefined): MakeUp | null =>
  makeUp && isDevice(makeUp) ? makeUp : null;

/** Such as `5th · SL`. */
const placeWords = ({ place, fiber }: FiberAddress): string =>
  `${place.position}${ordinal(place.position)} · ${fiber.letters}`;

function ordinal(count: number): string {
  if (count % 100 >= 11 && count % 100 <= 13) return 'th';
  return { 1: 'st', 2: 'nd', 3: 'rd' }[count % 10] ?? 'th';
}

/** The sleeve that goes on first: a tap says that it is on. */
function SleeveMark({ bench }: { bench: Bench }) {
  const colors = useColors();
  const on = bench.state.sleeveOn;
  return (
    <Pressable
      role="checkbox"
      aria-checked={on}
      aria-label={isFused(bench.fiber?.end ?? null) ? t('sleeveOn') : t('bootOn')}
      onPress={() => bench.dispatch({ type: 'sleeve', isOn: !on })}
      style={{ alignItems: 'center', width: 84, minHeight: 56, paddingTop: 8 }}
    >
      <Text kind={on ? 'strong' : 'small'} style={{ fontSize: 15 }}>
        {isFused(bench.fiber?.end ?? null)
          ? on
            ? t('sleeveOn2')
            : t('sleeveOn3')
          : on
            ? t('bootOn')
            : t('isTheBootOn')}
      </Text>
      <Svg width={76} height={24} aria-hidden>
        <Line x1={0} x2={76} y1={12} y2={12} stroke={colors.ink} strokeWidth={3} />
        <Rect
          x={14}
          y={4}
          width={48}
          height={16}
          fill={on ? colors.ink : colors.leaf}
          stroke={colors.ink}
          strokeWidth={2}
        />
        {on
          ? null
          : [20, 28, 36, 44, 52].map((x) => (
              <Line key={x} x1={x} x2={x + 6} y1={19} y2={5} stroke={colors.ink} strokeWidth={2} />
            ))}
      </Svg>
    </Pressable>
  );
}
