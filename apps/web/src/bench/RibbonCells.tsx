import { Pressable, View } from 'react-native';
import { formatLoss } from '@cordel/core';
import { benchShared as t } from '@cordel/text/pages/bench/shared';
import { Text } from '@/ui/Text';
import { FONTS, useColors } from '@/ui/theme';
import type { Bench } from './useBench';

/** The twelve figures of a ribbon; a tap goes to that fiber. */
export function RibbonCells({ bench }: { bench: Bench }) {
  const colors = useColors();
  const change = (cursor: number) => bench.dispatch({ type: 'fiber', cursor });
  return (
    <View
      style={{ flexDirection: 'row', flexWrap: 'wrap', gap: 3 }}
      role="group"
      aria-label={t('estimatesOfTheRibbon')}
    >
      {bench.fibers.map((splice, index) => {
        const loss = bench.read(splice);
        const here = index === bench.cursor;
        const ink = here ? colors.leaf : colors.ink;
        const limit = bench.mode === 'measure' ? null : bench.limits.splice.estimate[splice.method];
        const over = loss.ok && limit !== null && loss.value > limit;
        return (
          <Pressable
            key={splice.id}
            role="button"
            aria-label={t('fiberAOk', {
              fiberA: splice.fiberA,
              ok: loss.ok ? `${formatLoss(loss.value)} dB${over ? ', over' : ''}` : t('toType'),
            })}
            onPress={() => change(index)}
            style={{
              width: '15.9%',
              height: 48,
              alignItems: 'center',
              justifyContent: 'center',
              backgroundColor: here ? colors.ink : colors.leaf,
              borderWidth: over ? 3 : 1,
              borderColor: over ? colors.accent : colors.ink,
            }}
          >
            <Text kind="small" style={{ color: ink, lineHeight: 17 }}>
              {splice.fiberA}
            </Text>
            <Text style={{ color: ink, fontFamily: FONTS.bold, lineHeight: 19 }}>
              {loss.ok ? `${formatLoss(loss.value)}${over ? '!' : ''}` : '–'}
            </Text>
          </Pressable>
        );
      })}
    </View>
  );
}
