import { View } from 'react-native';
import { sealPorts } from '@cordel/core';
import { type LookedPoint, type PointGroup, nextBolt } from '@cordel/core/close';
import { pointText } from '@cordel/text/close';
import { listPart as t } from '@cordel/text/pages/closing/ListPart';
import { common } from '@cordel/text/pages/common';
import { useProjectView } from '@/projects/context';
import { Button } from '@/ui/Button';
import { Card } from '@/ui/Card';
import { Notice } from '@/ui/Notice';
import { Text } from '@/ui/Text';
import { useWide } from '@/ui/useWide';
import { FaceDrawing } from './FaceDrawing';
import { PointRow, type Word } from './PointRow';
import { readOf } from './pointWords';
import type { Closing, ClosingHook } from './useClosing';

const HEADS: Record<PointGroup, string> = {
  work: t('whatThePlanSaysAndWhat'),
  trays: t('traysAndTubes'),
  cables: common('cables'),
  ports: t('ports'),
  faces: t('sealingFaces'),
  bolts: t('boltsInThisOrder'),
  cover: t('cover'),
  after: t('afterTheTest'),
};

/** The list that is gone through before the cover goes on. */
export function ListPart({ closing, write }: { closing: Closing; write: ClosingHook['write'] }) {
  const wide = useWide();
  const { state } = closing;
  const { units } = useProjectView().project;
  const entryOf = (
    { point: { key, message } }: LookedPoint,
    { verdict, why, slots = [], photos = [], answers }: Word,
  ) => ({
    kind: 'point' as const,
    point: key,
    read: readOf(message, pointText(message, units)),
    verdict,
    why: why ?? null,
    slots,
    photos,
    ...(answers && { answers }),
  });
  const say = (looked: LookedPoint, word: Word) =>
    void write([entryOf(looked, word)], pointText(looked.point.message, units));
  // Groups come in the order in which their procedure has them.
  const groups = [...new Set(state.points.map(({ point }) => point.group))].map((group) => ({
    group,
    points: state.points.filter(({ point }) => point.group === group),
  }));
  return (
    <View style={{ gap: 16 }}>
      <Notice word={t('beforeTheCover')}>{t('shardsCutEyesSkinFoodThey')}</Notice>
      <View style={{ flexDirection: 'row', flexWrap: 'wrap', gap: 16 }}>
        {groups.map(({ group, points }) => (
          <Card key={group} style={{ width: wide ? '48.5%' : '100%', gap: 4 }}>
            <View style={{ flexDirection: 'row', justifyContent: 'space-between', gap: 8 }}>
              <Text kind="name" heading={2} style={{ flex: 1 }}>
                {HEADS[group]}
              </Text>
              <Text kind="strong">
                {t('countOfPoints', { count: points.filter(isSaid).length, points: points.length })}
              </Text>
            </View>
            {group === 'ports' || group === 'bolts' ? (
              <GroupDrawing closing={closing} group={group} points={points} />
            ) : null}
            {points.map((looked) => (
              <PointRow
                key={looked.point.key}
                looked={looked}
                closureId={closing.closure.id}
                ready={group !== 'bolts' || nextBolt(points) === looked.point.key}
                onSay={(word) => say(looked, word)}
              />
            ))}
            <GroupGood
              points={points}
              onGood={(open) =>
                void write(
                  open.map((looked) => entryOf(looked, { verdict: 'good' })),
                  t('allOfAreGood', { group: HEADS[group] }),
                )
              }
            />
          </Card>
        ))}
      </View>
    </View>
  );
}

/**
 * One tap for a group that was looked at as a whole. What asks for something, and bolts, which go in their order, are
 * ticked one by one.
 */
function GroupGood({
  points,
  onGood,
}: {
  points: readonly LookedPoint[];
  onGood(open: LookedPoint[]): void;
}) {
  const open = points.filter(
    ({ point, state }) =>
      state === 'open' && !point.found && !point.asks && !point.timerS && !point.photo,
  );
  if (open.length < 2 || open.some(({ point }) => point.group === 'bolts')) return null;
  return (
    <Button
      icon="check-all"
      label={t('allOfThisGroupIsGood', { points: open.length })}
      onPress={() => onGood(open)}
    />
  );
}

const isSaid = ({ state }: LookedPoint): boolean => state === 'good' || state === 'waived';

function GroupDrawing({
  closing: { hardware, closure },
  group,
  points,
}: {
  closing: Closing;
  group: PointGroup;
  points: readonly LookedPoint[];
}) {
  const { assemblies } = useProjectView();
  if (!hardware) return null;
  const entries = assemblies.find(({ closureId }) => closureId === closure.id)?.entries ?? [];
  const sealed = sealPorts(hardware, entries)
    .ports.filter((use) => use.entries.length > 0)
    .map(({ port }) => port.name);
  if (group === 'ports') return <FaceDrawing hardware={hardware} sealed={sealed} />;
  const numberOf = (key: string | null) => Number(/^bolt:(\d+)$/.exec(key ?? '')?.[1]) || null;
  const tight = new Set(points.filter(isSaid).flatMap(({ point }) => numberOf(point.key) ?? []));
  return (
    <FaceDrawing
      hardware={hardware}
      sealed={sealed}
      tight={tight}
      nextBolt={numberOf(nextBolt(points))}
    />
  );
}
