import { View } from 'react-native';
import { benchShared as t } from '@cordel/text/pages/bench/shared';
import { Button } from '@/ui/Button';
import { Text } from '@/ui/Text';
import { FONTS } from '@/ui/theme';

const ROWS = [
  ['1', '2', '3'],
  ['4', '5', '6'],
  ['7', '8', '9'],
];

/** The keypad: digits in hundredths, a point for thousandths; a sign where readings can be gains. */
export function Keypad({ onKey, signed }: { onKey(key: string): void; signed: boolean }) {
  const rows = [...ROWS, signed ? ['sign', '.', '0', 'back'] : ['.', '0', 'back']];
  const labels: Record<string, string> = {
    back: t('delete'),
    sign: t('plusOrMinus'),
    '.': t('point'),
  };
  const faces: Record<string, string> = { sign: '±' };
  return (
    <View style={{ gap: 6 }}>
      {rows.map((row) => (
        <View key={row.join()} style={{ flexDirection: 'row', gap: 6 }}>
          {row.map((key) => (
            <Button
              key={key}
              aria-label={labels[key] ?? key}
              icon={key === 'back' ? 'backspace-outline' : undefined}
              onPress={() => onKey(key)}
              style={{ flex: 1, height: 52 }}
            >
              {key === 'back' ? (
                <></>
              ) : (
                <Text style={{ fontFamily: FONTS.bold, fontSize: 24, lineHeight: 30 }}>
                  {faces[key] ?? key}
                </Text>
              )}
            </Button>
          ))}
        </View>
      ))}
    </View>
  );
}
