import { useLocalSearchParams, useRouter } from 'expo-router';
import { useEffect, useState } from 'react';
import { ScrollView, View } from 'react-native';
import { type ClosureRow, formatLoss } from '@cordel/core';
import { common } from '@cordel/text/pages/common';
import { routePage as t } from '@cordel/text/pages/route/RoutePage';
import { useSummary } from '@/data/queries';
import { useProjectView } from '@/projects/context';
import { WaysToBegin } from '@/projects/WaysToBegin';
import { Waiting } from '@/ui/Notice';
import { Button } from '@/ui/Button';
import { Text } from '@/ui/Text';
import { useColors } from '@/ui/theme';
import { useWide } from '@/ui/useWide';
import { HangingLeaf, LEAF_STEP, SaggingCord, sagAt } from './Cord';
import { ClosureSheet } from './ClosureSheet';
import { RouteLeaf } from './RouteLeaf';

/** The cord with its leaves: a list on a phone, a line across the top on a wide screen. */
export function RoutePage() {
  const wide = useWide();
  const colors = useColors();
  const { project, isArchived } = useProjectView();
  const summary = useSummary(project.id);
  const all = summary.data?.closures;
  const rows = all?.filter(({ closureId }) => !isArchived({ id: closureId }));
  const archived = (all ?? []).filter(({ closureId }) => isArchived({ id: closureId }));
  const head = (
    <RouteHead done={summary.data?.project.done ?? 0} total={summary.data?.project.due ?? 0} />
  );
  if (!rows) {
    return (
      <View role="main" style={{ padding: 16, gap: 16 }}>
        {head}
        <Waiting error={summary.error} again={() => void summary.refetch()} />
      </View>
    );
  }
  if (rows.length === 0) {
    return (
      <View role="main" style={{ padding: 16, gap: 16 }}>
        {head}
        <WaysToBegin />
      </View>
    );
  }
  const foot = <ArchivedRows rows={archived} />;
  if (wide) return <WideRoute head={head} rows={rows} foot={foot} />;
  return (
    <View role="main" style={{ flex: 1, backgroundColor: colors.paper }}>
      <LeafList head={head} rows={rows} foot={foot} />
    </View>
  );
}

interface RouteParts {
  head: React.ReactNode;
  rows: ClosureRow[];
  foot: React.ReactNode;
}

/** Closures that are out of the way: not on the cord, and still in the totals. */
function ArchivedRows({ rows }: { rows: readonly ClosureRow[] }) {
  const router = useRouter();
  const { project } = useProjectView();
  if (rows.length === 0) return null;
  return (
    <View style={{ gap: 8 }}>
      <Text kind="strong">{t('archivedTheTotalsCountThem', { closures: rows.length })}</Text>
      {rows.map(({ closureId, name, done, due }) => (
        <Button
          key={closureId}
          label={t('nameDoneOfDueSpliced', { name, done, due })}
          onPress={() => router.push(`/p/${project.id}/route/${closureId}` as never)}
        />
      ))}
    </View>
  );
}

/** Leaves that fill a phone: they are drawn first, the others once these are shown. */
const FIRST_LEAVES = 5;
/** Leaves that are added at a time. */
const MORE_LEAVES = 20;

/** The cord from top to bottom. A route has as many closures as a person can know: none is taken away again. */
function LeafList({ head, rows, foot }: RouteParts) {
  const [drawn, setDrawn] = useState(FIRST_LEAVES);
  useEffect(() => {
    if (drawn >= rows.length) return;
    const timer = setTimeout(() => setDrawn(drawn + MORE_LEAVES), 50);
    return () => clearTimeout(timer);
  }, [drawn, rows.length]);
  const names = new Map(rows.map(({ closureId, name }) => [closureId, name]));
  return (
    <ScrollView tabIndex={0}>
      <View style={{ padding: 16 }}>{head}</View>
      {rows.slice(0, drawn).map((row, index) => (
        <RouteLeaf
          key={row.closureId}
          row={row}
          parent={row.branchOf === null ? undefined : names.get(row.branchOf)}
          first={index === 0}
          last={index === rows.length - 1}
        />
      ))}
      <View style={{ padding: 16 }}>{foot}</View>
    </ScrollView>
  );
}

function RouteHead({ done, total }: { done: number; total: number }) {
  const { project } = useProjectView();
  const router = useRouter();
  const { grade, splice } = project.limits;
  const limit = splice[grade].single ?? splice[grade].mass;
  return (
    <View style={{ gap: 2 }}>
      <View style={{ flexDirection: 'row', alignItems: 'center' }}>
        <Text kind="title" heading={1} style={{ flex: 1 }}>
          {project.name}
        </Text>
        <Button
          look="bare"
          label={t('circuits')}
          onPress={() => router.push(`/p/${project.id}/route/circuits` as never)}
        />
        <Button
          look="bare"
          label={common('allProjects')}
          icon="swap-horizontal"
          onPress={() => router.push('/projects')}
        >
          <></>
        </Button>
      </View>
      <Text color="ink2">
        {t('ofSplicedLimit', {
          done,
          total,
          limit: limit === null ? 'none' : `${formatLoss(limit)} dB`,
          grade,
        })}
      </Text>
    </View>
  );
}

function WideRoute({ head, rows, foot }: RouteParts) {
  const colors = useColors();
  const router = useRouter();
  const [room, setRoom] = useState(0);
  const { closure } = useLocalSearchParams<{ closure?: string }>();
  const chosen =
    rows.find((row) => row.closureId === closure) ??
    rows.find((row) => row.redo > 0) ??
    rows.find((row) => row.verdict === 'open') ??
    rows[0]!;
  const width = Math.max(room, rows.length * LEAF_STEP + 32);
  return (
    <ScrollView role="main" tabIndex={0} style={{ flex: 1, backgroundColor: colors.paper }}>
      <View style={{ padding: 20, paddingBottom: 0 }}>{head}</View>
      <ScrollView
        horizontal
        tabIndex={0}
        role="region"
        aria-label={t('closuresAlongTheRoute')}
        onLayout={(event) => setRoom(event.nativeEvent.layout.width)}
        contentContainerStyle={{ width, height: 244 }}
      >
        <SaggingCord width={width} />
        {rows.map((row, index) => (
          <HangingLeaf
            key={row.closureId}
            row={row}
            left={20 + index * LEAF_STEP}
            top={sagAt(20 + index * LEAF_STEP + LEAF_STEP / 2, width)}
            chosen={row === chosen}
            onPress={() => router.setParams({ closure: row.closureId })}
          />
        ))}
      </ScrollView>
      <View style={{ padding: 20, maxWidth: 1240 }}>
        <ClosureSheet key={chosen.closureId} closureId={chosen.closureId} />
        {foot}
      </View>
    </ScrollView>
  );
}
