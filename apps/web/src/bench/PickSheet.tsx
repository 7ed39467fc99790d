import { useMemo, useState } from 'react';
import { Pressable, View } from 'react-native';
import { readSearch, spliceLimit, type Limits, type Sleeve } from '@cordel/core';
import { type BenchSplice, stageOf } from '@cordel/core/session';
import { spliceStateText } from '@cordel/text/loss/states';
import { colourText } from '@cordel/text/fiber';
import { benchShared as shared } from '@cordel/text/pages/bench/shared';
import { pickSheet as t } from '@cordel/text/pages/bench/PickSheet';
import { type ProjectView, useProjectView } from '@/projects/context';
import { type Bar, LossBars } from '@/ui/LossBars';
import { Button } from '@/ui/Button';
import { Sheet } from '@/ui/Sheet';
import { TextField } from '@/ui/TextField';
import { Text } from '@/ui/Text';
import { useColors } from '@/ui/theme';
import type { Bench } from './useBench';

/** More than a thumb scrolls through. */
const MOST_ROWS = 96;

/** Any fiber of the closure, to take in hand: from the tray's picture, from a list, by search. */
export function PickSheet({
  bench,
  visible,
  onClose,
}: {
  bench: Bench;
  visible: boolean;
  onClose(): void;
}) {
  const view = useProjectView();
  const [search, setSearch] = useState('');
  const trays = [...new Set(bench.sleeves.map(({ tray }) => tray))];
  const [chosen, setChosen] = useState<number | null>(null);
  const tray = chosen ?? bench.sleeve?.tray ?? trays[0] ?? 1;
  const rows = useShown(bench.splices, view, search, tray);
  const pick = (splice: BenchSplice) => {
    bench.dispatch({
      type: 'select',
      sleeve: `${splice.tray}.${splice.slot}`,
      spliceId: splice.id,
    });
    onClose();
  };
  return (
    <Sheet title={shared('chooseAFiber')} visible={visible} onClose={onClose}>
      <TextField
        label={t('search')}
        hint={t('a17Tube2BlueTray')}
        value={search}
        onChange={setSearch}
      />
      {search.trim() === '' ? (
        <>
          <View role="tablist" style={{ flexDirection: 'row', flexWrap: 'wrap', gap: 6 }}>
            {trays.map((number) => (
              <Button
                key={number}
                role="tab"
                aria-selected={number === tray}
                label={t('trayNumber', { number })}
                look={number === tray ? 'dark' : 'plain'}
                textSize={15}
                onPress={() => setChosen(number)}
              />
            ))}
          </View>
          <View style={{ flexDirection: 'row', height: 64 }}>
            <LossBars
              label={t('lossesOfTray', { tray })}
              bars={rows.map((splice) => barOf(splice, bench.limits, view))}
              onPick={(id) => pick(rows.find((splice) => splice.id === id)!)}
            />
          </View>
        </>
      ) : null}
      {rows.length === 0 ? <Text>{t('noFiberOfThisClosureIs')}</Text> : null}
      <View>
        {rows.slice(0, MOST_ROWS).map((splice) => (
          <Row key={splice.id} splice={splice} sleeve={bench.sleeve} onPress={() => pick(splice)} />
        ))}
      </View>
      {rows.length > MOST_ROWS ? (
        <Text color="ink2">{t('moreFound', { more: rows.length - MOST_ROWS })}</Text>
      ) : null}
    </Sheet>
  );
}

function Row({
  splice,
  sleeve,
  onPress,
}: {
  splice: BenchSplice;
  sleeve: Sleeve<BenchSplice> | null;
  onPress(): void;
}) {
  const view = useProjectView();
  const colors = useColors();
  const here = sleeve?.splices.some(({ id }) => id === splice.id) ?? false;
  const names = t('fiberToFiber', {
    fiberA: view.fiberName(splice.cableA, splice.fiberA, splice.legA),
    fiberB: view.fiberName(splice.cableB, splice.fiberB, splice.legB),
  });
  const state = stageOf(splice);
  const words = spliceStateText(state);
  const fiber = view.address(splice.cableA, splice.fiberA)?.fiber;
  return (
    <Pressable
      role="button"
      aria-label={`${names}, ${words}`}
      onPress={onPress}
      style={{
        minHeight: 52,
        flexDirection: 'row',
        justifyContent: 'space-between',
        alignItems: 'center',
        gap: 8,
        paddingHorizontal: 8,
        borderBottomWidth: 1,
        borderColor: colors.rule,
        backgroundColor: here ? colors.leaf : 'transparent',
      }}
    >
      <View style={{ flexShrink: 1 }}>
        <Text kind="strong">{names}</Text>
        <Text kind="small" color="ink2">
          {t('traySlotFiber', {
            tray: splice.tray,
            slot: splice.slot,
            fiber: fiber ? colourText(fiber) : '',
          })}
        </Text>
      </View>
      <Text kind="strong" color={state === 'redo' ? 'accent' : 'ink'}>
        {words}
      </Text>
    </Pressable>
  );
}

/** Splices that the search finds, or those of a tray, in the order of their places. */
function useShown(
  splices: readonly BenchSplice[],
  view: ProjectView,
  search: string,
  tray: number,
): BenchSplice[] {
  return useMemo(() => {
    const found = search.trim() === '' ? null : matches(search, splices, view);
    return splices
      .filter((splice) => (found ? found.has(splice.id) : splice.tray === tray))
      .sort((a, b) => a.tray - b.tray || a.slot - b.slot || a.fiberA - b.fiberA);
  }, [search, splices, view, tray]);
}

/** Ids of the splices that a search line names, on either side. */
function matches(line: string, splices: readonly BenchSplice[], view: ProjectView): Set<string> {
  const query = readSearch(
    line,
    [...view.cables, ...view.devices],
    new Map(view.schemes.map((scheme) => [scheme.id, scheme])),
  );
  const named = (cable: string, fiber: number) =>
    query.fibers?.get(cable)?.includes(fiber) ?? false;
  const found = splices.filter(
    ({ tray, cableA, fiberA, cableB, fiberB }) =>
      query.text.length === 0 &&
      (query.tray === null || query.tray === tray) &&
      (query.fibers === null || named(cableA, fiberA) || named(cableB, fiberB)),
  );
  return new Set(found.map(({ id }) => id));
}

function barOf(splice: BenchSplice, limits: Limits, view: ProjectView): Bar {
  const { figure } = splice.judgement;
  const state = stageOf(splice);
  return {
    key: splice.id,
    lossHalfMdb: figure?.lossHalfMdb ?? null,
    limit: spliceLimit(limits, figure?.grade ?? limits.grade, splice),
    over: state === 'redo',
    estimated: figure?.grade === 'estimate',
    crossed: state === 'dead' || state === 'accepted',
    label: view.fiberName(splice.cableA, splice.fiberA, splice.legA),
  };
}
