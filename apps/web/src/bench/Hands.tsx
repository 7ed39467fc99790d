import { View } from 'react-native';
import { type FiberAddress, type MakeUp, isDevice } from '@cordel/core';
import { type BenchSplice } from '@cordel/core/session';
import { colourText, makeUpText, unitText } from '@cordel/text/fiber';
import { benchShared as t } from '@cordel/text/pages/bench/shared';
import { useProjectView } from '@/projects/context';
import { FiberEye } from '@/ui/FiberEye';
import { Text } from '@/ui/Text';
import type { Bench } from './useBench';

/** The fiber pair in the hands: both ends by cable, tube or ribbon, group, place and color. */
export function Hands({ bench }: { bench: Bench }) {
  const { fiber, sleeve } = bench;
  if (!fiber || !sleeve) return null;
  const isRibbon = sleeve.method === 'mass';
  return (
    <View role="group" aria-label={t('fiberPair')} style={{ flexDirection: 'row', gap: 8 }}>
      <End splice={fiber} side="A" isRibbon={isRibbon} />
      <End splice={fiber} side="B" isRibbon={isRibbon} />
    </View>
  );
}

function End({
  splice,
  side,
  isRibbon,
}: {
  splice: BenchSplice;
  side: 'A' | 'B';
  /** A ribbon’s colors are drawn in the cells of its fibers. */
  isRibbon: boolean;
}) {
  const view = useProjectView();
  const cable = splice[`cable${side}`];
  const number = splice[`fiber${side}`];
  const name = view.fiberName(cable, number, splice[`leg${side}`]);
  const address = view.address(cable, number);
  if (!address) return <Text style={{ flex: 1 }}>{name}</Text>;
  const device = deviceOf(view.cable(cable)?.makeUp);
  const title = device ? name : `${name} ${colourText(address.fiber)}`;
  const place = device
    ? makeUpText(device)
    : [address.place.unit ? unitText(address) : null, placeWords(address)]
        .filter(Boolean)
        .join(' · ');
  return (
    <View
      style={{
        flex: 1,
        flexDirection: isRibbon ? 'column' : 'row',
        alignItems: isRibbon ? 'flex-start' : 'center',
        gap: isRibbon ? 0 : 6,
      }}
    >
      {isRibbon ? null : <FiberEye address={address} size={56} />}
      <View style={{ flexShrink: 1 }}>
        <Text kind="strong" numberOfLines={isRibbon ? 1 : 2} style={{ lineHeight: 20 }}>
          {title}
        </Text>
        <Text
          numberOfLines={isRibbon ? 1 : address.place.group ? 3 : 2}
          style={{ lineHeight: 19, fontSize: 15 }}
        >
          {place}
        </Text>
      </View>
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
