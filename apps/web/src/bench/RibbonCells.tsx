import { Pressable, ScrollView, View } from 'react-native';
import { formatLoss } from '@cordel/core';
import type { BenchSplice } from '@cordel/core/session';
import { benchShared as t } from '@cordel/text/pages/bench/shared';
import { useProjectView } from '@/projects/context';
import { Text } from '@/ui/Text';
import { FONTS, TOUCH, useColors } from '@/ui/theme';
import { useShort } from '@/ui/useWide';
import type { Bench } from './useBench';

/** Height of a cell where the screen has room for a glove, and on a low one, px. */
const CELL_HEIGHT = { usual: TOUCH, short: 45 };

/** The losses of a ribbon’s fibers under their colors, two rows in sight; a tap goes to that fiber. */
export function RibbonCells({ bench }: { bench: Bench }) {
  const colors = useColors();
  const height = useShort() ? CELL_HEIGHT.short : CELL_HEIGHT.usual;
  const view = useProjectView();
  const colorOf = ({ cableA, fiberA }: BenchSplice) =>
    view.address(cableA, fiberA)?.fiber.colour.hex ?? colors.leaf;
  const change = (cursor: number) => bench.dispatch({ type: 'fiber', cursor });
  return (
    <ScrollView
      style={{ flexGrow: 0, flexShrink: 0, maxHeight: 2 * height + 4 }}
      contentContainerStyle={{ flexDirection: 'row', flexWrap: 'wrap', gap: 3 }}
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
              flexGrow: 1,
              flexBasis: '14.5%',
              height,
              alignItems: 'center',
              justifyContent: 'flex-end',
              backgroundColor: here ? colors.ink : colors.leaf,
              borderWidth: over ? 3 : 1,
              borderColor: over ? colors.accent : colors.ink,
            }}
          >
            <View
              aria-hidden
              style={{ height: 6, alignSelf: 'stretch', backgroundColor: colorOf(splice) }}
            />
            <Text kind="small" style={{ color: ink, lineHeight: 16 }}>
              {splice.fiberA}
            </Text>
            <Text style={{ color: ink, fontFamily: FONTS.bold, lineHeight: 19 }}>
              {loss.ok ? `${formatLoss(loss.value)}${over ? '!' : ''}` : '–'}
            </Text>
          </Pressable>
        );
      })}
    </ScrollView>
  );
}
