import { FlashList } from '@shopify/flash-list';
import { useRouter } from 'expo-router';
import { useState } from 'react';
import { View } from 'react-native';
import Svg, { Line, Rect } from 'react-native-svg';
import { type BudgetRow, type CircuitBudget, LIGHTS, formatDistance } from '@cordel/core';
import { budgetText } from '@cordel/text/otdr';
import { budgetPage as t } from '@cordel/text/pages/traces/BudgetPage';
import { tracesShared as shared } from '@cordel/text/pages/traces/shared';
import { useProjectView } from '@/projects/context';
import { Empty, Waiting } from '@/ui/Notice';
import { Page } from '@/ui/Page';
import { Button } from '@/ui/Button';
import { Text } from '@/ui/Text';
import { type Colors, useColors } from '@/ui/theme';
import { ProofTabs } from './ProofTabs';
import { useBudget } from './queries';

type Lights = BudgetRow['lights'];

const WORDS: Record<Lights, { word: string; ink: keyof Colors }> = {
  broken: { word: t('broken'), ink: 'accent' },
  no: { word: t('hasNoLight'), ink: 'accent' },
  unsure: { word: t('mayHaveNoLight'), ink: 'accent' },
  'not joined': { word: t('notSplicedYet'), ink: 'ink2' },
  yes: { word: t('hasLight'), ink: 'green' },
  unknown: { word: t('lengthUnknown'), ink: 'ink2' },
};

/** What has no light: every circuit's loss against what it may lose, the worst first. */
export function BudgetPage() {
  const { project } = useProjectView();
  const router = useRouter();
  const colors = useColors();
  const budget = useBudget(project.id);
  const [only, setOnly] = useState<Lights | null>(null);
  const first = budget.data?.pages[0];
  const rows = (budget.data?.pages.flatMap((page) => page.rows) ?? []).filter(
    ({ lights }) => only === null || lights === only,
  );
  const dark = first ? (first.counts.broken ?? 0) + (first.counts.no ?? 0) : 0;
  const head = (
    <View style={{ gap: 12, paddingBottom: 10 }}>
      <ProofTabs />
      {first ? (
        <>
          <Text>
            <Text kind="strong" color={dark > 0 ? 'accent' : 'green'}>
              {dark > 0
                ? t('circuitsNoLight', { circuits: dark, dark: dark === 1 ? 'has' : 'have' })
                : t('noneIsDark')}
            </Text>
            {t('ofFiberSplicesAndConnectorsAt', {
              total: first.total,
              most: project.budget.most === null ? t('theMostOfEveryPart') : t('thePowerBudget'),
            })}
          </Text>
          <View style={{ flexDirection: 'row', gap: 6, flexWrap: 'wrap' }}>
            {LIGHTS.filter((key) => first.counts[key]).map((key) => (
              <Button
                key={key}
                label={`${WORDS[key].word}: ${first.counts[key]}`}
                look={only === key ? 'dark' : 'plain'}
                aria-pressed={only === key}
                onPress={() => setOnly(only === key ? null : key)}
              />
            ))}
          </View>
          <Button
            label={t('whatThePartsLose')}
            look="bare"
            icon="pencil-outline"
            style={{ alignSelf: 'flex-start' }}
            onPress={() => router.push(`/p/${project.id}/kit/settings` as never)}
          />
        </>
      ) : (
        <Waiting error={budget.error} again={() => void budget.refetch()} />
      )}
    </View>
  );
  return (
    <Page
      title={shared('budget')}
      above={project.name}
      back={`/p/${project.id}/ledger`}
      scroll={false}
    >
      <View style={{ flex: 1 }}>
        <FlashList
          data={rows}
          keyExtractor={(row) => row.circuit}
          ListHeaderComponent={head}
          ListEmptyComponent={
            first ? (
              <Empty title={t('noCircuitsYet')}>{t('aCircuitBeginsWithASplice')}</Empty>
            ) : null
          }
          onEndReached={() => {
            if (budget.hasNextPage && !budget.isFetching) void budget.fetchNextPage();
          }}
          renderItem={({ item }) => <Row row={item} colors={colors} />}
        />
      </View>
    </Page>
  );
}

function Row({ row, colors }: { row: BudgetRow; colors: Colors }) {
  const router = useRouter();
  const { project } = useProjectView();
  const verdict = WORDS[row.lights];
  return (
    <View style={{ borderTopWidth: 1, borderColor: colors.rule, paddingVertical: 10, gap: 6 }}>
      <View style={{ flexDirection: 'row', justifyContent: 'space-between', gap: 8 }}>
        <Text kind="strong">
          {t('labelFromTo', { label: row.label, from: row.from, to: row.to })}
        </Text>
        <Text kind="strong" color={verdict.ink}>
          {verdict.word}
        </Text>
      </View>
      <Text>
        {`${budgetText(row.why, project.units)} ${row.lengthM === null ? '' : t('distanceOfFiber', { distance: formatDistance(Math.round(row.lengthM * 10_000), project.units.distance) })}${t('splices', { splices: row.splices })}${row.ends > 0 ? t('endsAtPorts', { ends: row.ends }) : ''}.`}
      </Text>
      {row.splitters.length > 0 ? (
        <Text>
          {t('throughSplitters', {
            splitters: row.splitters
              .map(({ name, output }) => t('splitterOutput', { name, output }))
              .join(', '),
            loss: dB(row.splitterMdb),
          })}
        </Text>
      ) : null}
      {row.budgets.map((budget) => (
        <BudgetBar key={budget.wavelengthNm} budget={budget} broken={row.lights === 'broken'} />
      ))}
      <Button
        label={t('seeLabel', { label: row.label })}
        look="bare"
        style={{ alignSelf: 'flex-start', paddingHorizontal: 0 }}
        onPress={() =>
          router.push(
            `/p/${project.id}/ledger/circuit?cable=${row.cableId}&fiber=${row.fiber}` as never,
          )
        }
      />
    </View>
  );
}

const dB = (mdb: number): string => (mdb / 1000).toFixed(2);

/** Loss as a bar against what it may be: solid measured, hatched calculated; the tick is what was expected. */
function BudgetBar({ budget, broken }: { budget: CircuitBudget; broken: boolean }) {
  const colors = useColors();
  const [width, setWidth] = useState(300);
  const {
    wavelengthNm,
    expectedMdb: expected,
    expectedSigmaMdb: spread,
    madeMdb: made,
    measuredMdb: measured,
    assumedMdb: assumed,
    limitMdb: most,
    marginMdb: margin,
    marginSigmaMdb: marginSpread,
  } = budget;
  const loss = measured ?? made;
  const scale = (width - 2) / Math.max(most, loss + 2 * marginSpread, expected + 2 * spread);
  const over = loss > most;
  const left = margin < 0 ? t('dbOver', { db: dB(-margin) }) : t('dbLeft', { db: dB(margin) });
  const words = t('nmOfDbExpected', {
    wavelengthNm,
    measured: measured === null ? 'calculated' : assumed > 0 ? 'partly' : 'measured',
    assumed: dB(assumed),
    loss: dB(loss),
    most: dB(most),
    expected: dB(expected),
    spread: dB(2 * spread),
    // No light comes through a broken one, however little its splices lose.
    margin: broken ? t('onceRepaired', { left }) : left,
  });
  return (
    <View onLayout={({ nativeEvent }) => setWidth(Math.max(200, nativeEvent.layout.width))}>
      <Svg width={width} height={20} role="img" aria-label={words}>
        <Rect
          x={1}
          y={4}
          width={most * scale}
          height={12}
          fill={colors.leaf}
          stroke={colors.ink}
          strokeWidth={1.5}
        />
        <Rect
          x={1}
          y={4}
          width={loss * scale}
          height={12}
          fill={over ? colors.accent : measured === null ? colors.rule : colors.ink}
          stroke={colors.ink}
          strokeWidth={1.5}
        />
        <Line
          x1={(loss - 2 * marginSpread) * scale}
          x2={(loss + 2 * marginSpread) * scale}
          y1={18.5}
          y2={18.5}
          stroke={colors.ink}
          strokeWidth={2}
        />
        <Line
          x1={expected * scale}
          x2={expected * scale}
          y1={0}
          y2={20}
          stroke={colors.wood}
          strokeWidth={4}
        />
      </Svg>
      <Text kind="small">{words}</Text>
    </View>
  );
}
