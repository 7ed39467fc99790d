import { View } from 'react-native';
import { benchShared as t } from '@cordel/text/pages/bench/shared';
import { Button } from '@/ui/Button';
import { Text } from '@/ui/Text';
import { FONTS } from '@/ui/theme';

const ROWS = [
  ['1', '2', '3', 'back'],
  ['4', '5', '6', '.'],
  ['7', '8', '9', '0'],
];
const LABELS: Record<string, string> = {
  back: t('delete'),
  '.': t('point'),
  sign: t('plusOrMinus'),
};

/** The tallest that a key is drawn where there is room, px. */
const MOST_HEIGHT = 72;

/** The keypad: digits in hundredths, a point for thousandths; a sign where readings can be gains. It takes the room that is left. */
export function Keypad({ onKey, signed = false }: { onKey(key: string): void; signed?: boolean }) {
  const rows = signed ? [...ROWS.slice(0, 2), [...ROWS[2]!, 'sign']] : ROWS;
  return (
    <View
      style={{ gap: 4, flexGrow: 1, flexShrink: 0, maxHeight: 3 * MOST_HEIGHT, minHeight: 140 }}
    >
      {rows.map((row) => (
        <View key={row.join()} style={{ flexDirection: 'row', gap: 4, flex: 1 }}>
          {row.map((key) => (
            <Button
              key={key}
              aria-label={LABELS[key] ?? key}
              icon={key === 'back' ? 'backspace-outline' : undefined}
              onPress={() => onKey(key)}
              style={{ flex: 1, minHeight: 44 }}
            >
              {key === 'back' ? (
                <></>
              ) : (
                <Text style={{ fontFamily: FONTS.bold, fontSize: 24, lineHeight: 30 }}>
                  {key === 'sign' ? '±' : key}
                </Text>
              )}
            </Button>
          ))}
        </View>
      ))}
    </View>
  );
}
