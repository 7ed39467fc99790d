import { View } from 'react-native';
import Svg, { Line, Rect } from 'react-native-svg';
import type { Pin } from '@cordel/core';
import { planShared as shared } from '@cordel/text/pages/plan/shared';
import { trayMap as t } from '@cordel/text/pages/plan/TrayMap';
import { Button } from '@/ui/Button';
import { Text } from '@/ui/Text';
import { useColors } from '@/ui/theme';
import type { OnTray, TrayFill } from './traysOf';

interface TrayMapProps {
  trays: readonly TrayFill[];
  pins: readonly Pin[];
  onPick?(item: OnTray): void;
}

/** Each tray with its places and what lies in them. */
export function TrayMap({ trays, pins, onPick }: TrayMapProps) {
  const filled = trays.filter((tray) => tray.used > 0);
  const empty = trays.filter((tray) => tray.used === 0).map((tray) => tray.number);
  return (
    <View style={{ gap: 14 }}>
      {filled.map((tray) => (
        <View key={tray.number} style={{ gap: 4 }}>
          <View style={{ flexDirection: 'row', justifyContent: 'space-between' }}>
            <Text kind="strong">{shared('trayNumber', { number: tray.number })}</Text>
            <Text>
              {t('usedOfPlacesKindPlaces', {
                used: tray.used,
                places: tray.places,
                kind: tray.kind === 'mass' ? 'ribbon' : 'single',
              })}
            </Text>
          </View>
          <Places tray={tray} />
          {tray.items.map((item) => {
            const pinned = pins.some((pin) => pin.cable === item.cable && pin.unit === item.unit);
            const words = t('cableFibersTo', {
              cable: item.cable,
              fibers: item.words,
              onto: item.onto,
            });
            const where = t('slotFromTo', {
              slot: item.slots[0],
              to: item.slots[1] > item.slots[0] ? t('toSlot', { slot: item.slots[1] }) : '',
            });
            return onPick ? (
              <Button
                key={`${item.cable} ${item.unit} ${item.slots[0]}`}
                onPress={() => onPick(item)}
                style={{ justifyContent: 'space-between' }}
              >
                <Text style={{ flexShrink: 1 }}>{words}</Text>
                <Text color="ink2">{`${where}${pinned ? ' · pinned' : ''}`}</Text>
              </Button>
            ) : (
              <Text
                key={`${item.cable} ${item.unit} ${item.slots[0]}`}
              >{`${words}, ${where}`}</Text>
            );
          })}
        </View>
      ))}
      {empty.length > 0 ? (
        <Text color="ink2">{t('emptyTrayEmpty', { empty: empty.join(', ') })}</Text>
      ) : null}
    </View>
  );
}

const WIDTH = 320;
const HEIGHT = 26;

/** The places of a tray as a comb: filled ones inked, each new tube begun with a tall stroke. */
function Places({ tray }: { tray: TrayFill }) {
  const colors = useColors();
  const step = WIDTH / tray.places;
  const starts = new Set(tray.items.map((item) => item.slots[0]));
  const taken = new Set(
    tray.items.flatMap(({ slots }) =>
      Array.from({ length: slots[1] - slots[0] + 1 }, (_, index) => slots[0] + index),
    ),
  );
  return (
    <Svg
      width="100%"
      height={HEIGHT}
      viewBox={`0 0 ${WIDTH} ${HEIGHT}`}
      preserveAspectRatio="none"
      aria-hidden
    >
      {Array.from({ length: tray.places }, (_, index) => (
        <Rect
          key={index}
          x={index * step + step * 0.12}
          y={6}
          width={step * 0.76}
          height={HEIGHT - 8}
          fill={taken.has(index + 1) ? colors.ink : colors.leaf}
          stroke={colors.ink}
          strokeWidth={1}
        />
      ))}
      {[...starts].map((slot) => (
        <Line
          key={slot}
          x1={(slot - 1) * step + 1}
          x2={(slot - 1) * step + 1}
          y1={0}
          y2={HEIGHT}
          stroke={colors.accent}
          strokeWidth={3}
        />
      ))}
    </Svg>
  );
}
