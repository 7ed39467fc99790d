import { useRouter } from 'expo-router';
import { useMemo, useState } from 'react';
import { View } from 'react-native';
import {
  type Limits,
  type Splice,
  formatLoss,
  judgeSplice,
  spliceLimit,
  spliceStateOf,
  type Evidence,
  groupBy,
} from '@cordel/core';
import { closurePicture as t } from '@cordel/text/pages/ledger/ClosurePicture';
import { useWork } from '@/data/queries';
import { type ProjectView, useProjectView } from '@/projects/context';
import { type Bar, LossBars } from '@/ui/LossBars';
import { Waiting } from '@/ui/Notice';
import { Button } from '@/ui/Button';
import { Text } from '@/ui/Text';

/** A closure's trays, one row each, or one tray: every splice a bar against the project's limit. */
export function ClosurePicture({ closureId, only }: { closureId: string; only?: number }) {
  const view = useProjectView();
  const router = useRouter();
  const work = useWork(closureId);
  const trays = useMemo(
    () => (work.data ? traysOf(work.data.splices, work.data.evidence, view) : []),
    [work.data, view],
  );
  if (!work.data) return <Waiting error={work.error} />;
  const { limits } = view.project;
  const limit = limits.splice[limits.grade].single ?? limits.splice[limits.grade].mass;
  return (
    <View style={{ gap: 4 }}>
      {trays
        .filter((tray) => only === undefined || tray.number === only)
        .map((tray) => (
          <View key={tray.number} style={{ flexDirection: 'row', alignItems: 'flex-end', gap: 8 }}>
            <View style={{ width: 92, paddingBottom: 4 }}>
              <Text kind="strong">{t('trayNumber', { number: tray.number })}</Text>
              <Text kind="small" color="ink2">
                {tray.holds}
              </Text>
            </View>
            <LossBars
              bars={tray.bars}
              label={tray.label}
              places={tray.places}
              onPick={(id) =>
                router.push(
                  `/p/${view.project.id}/ledger?view=splices&closure=${closureId}&open=splice.${id}` as never,
                )
              }
            />
          </View>
        ))}
      <Text color="ink2" style={{ paddingTop: 8 }}>
        {t('barHeightIsLossTheDashed', {
          limit: limit === null ? t('theLimit') : `${formatLoss(limit)} dB`,
        })}
      </Text>
      {only === undefined ? <CutAway closureId={closureId} splices={work.data.retired} /> : null}
    </View>
  );
}

/** Records of splices that are shown at a time. */
const MORE = 12;

/** Splices that lay here once: their records are opened like any. */
function CutAway({ closureId, splices }: { closureId: string; splices: readonly Splice[] }) {
  const view = useProjectView();
  const router = useRouter();
  const [shown, setShown] = useState(0);
  if (splices.length === 0) return null;
  const left = splices.length - shown;
  return (
    <View style={{ gap: 6, alignItems: 'flex-start' }}>
      <Button
        label={t('removedSplices', { splices: splices.length })}
        icon="content-cut"
        look="bare"
        aria-expanded={shown > 0}
        onPress={() => setShown(shown > 0 ? 0 : MORE)}
      />
      {splices.slice(0, shown).map(({ id, cableA, fiberA, cableB, fiberB, tray, slot }) => (
        <Button
          key={id}
          label={t('toLayInTraySlot', {
            fiberA: view.fiberName(cableA, fiberA),
            fiberB: view.fiberName(cableB, fiberB),
            tray,
            slot,
          })}
          onPress={() =>
            router.push(
              `/p/${view.project.id}/ledger?view=splices&closure=${closureId}&open=splice.${id}` as never,
            )
          }
        />
      ))}
      {shown > 0 && left > 0 ? (
        <Button
          label={t('showMore', { count: Math.min(MORE, left) })}
          look="bare"
          onPress={() => setShown(shown + MORE)}
        />
      ) : null}
    </View>
  );
}

interface TrayPicture {
  number: number;
  /** What lies on it, such as `A 1–12`. */
  holds: string;
  bars: Bar[];
  places: number;
  label: string;
}

function traysOf(
  splices: readonly Splice[],
  evidence: readonly Evidence[],
  view: ProjectView,
): TrayPicture[] {
  const bySplice = groupBy(evidence, ({ spliceId }) => spliceId);
  return [...groupBy(splices, ({ tray }) => tray)]
    .sort(([a], [b]) => a - b)
    .map(([number, list]) => {
      const bars = list.map((splice) =>
        barOf(splice, bySplice.get(splice.id) ?? [], view.project.limits, view),
      );
      const over = bars.filter((bar) => bar.over);
      const measured = bars.filter((bar) => bar.lossHalfMdb !== null).length;
      return {
        number,
        holds: holdsWords(list, view),
        bars,
        places: Math.max(12, bars.length),
        label: t('trayOfWithALossOver', {
          number,
          measured,
          bars: bars.length,
          over: over.length === 0 ? 'none' : over.map((bar) => bar.label).join(', '),
        }),
      };
    });
}

function holdsWords(list: readonly Splice[], view: ProjectView): string {
  const first = list[0]!;
  const last = list.at(-1)!;
  const from = view.fiberName(first.cableA, first.fiberA, first.legA);
  return first.cableA === last.cableA ? `${from}–${last.fiberA}` : `${from} …`;
}

function barOf(splice: Splice, evidence: Evidence[], limits: Limits, view: ProjectView): Bar {
  const judged = judgeSplice(spliceStateOf(evidence), splice, limits);
  const grade = judged.figure?.grade ?? limits.grade;
  return {
    key: splice.id,
    lossHalfMdb: judged.figure?.lossHalfMdb ?? null,
    limit: spliceLimit(limits, grade, splice),
    over: judged.redo,
    estimated: judged.figure?.grade === 'estimate',
    crossed: judged.verdict === 'accepted' || judged.verdict === 'dead',
    label: view.fiberName(splice.cableA, splice.fiberA, splice.legA),
  };
}
