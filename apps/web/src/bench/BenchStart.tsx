import { useRouter } from 'expo-router';
import { Pressable, View } from 'react-native';
import { benchShared as t } from '@cordel/text/pages/bench/shared';
import { useSummary } from '@/data/queries';
import { useProjectView } from '@/projects/context';
import { Grid } from '@/ui/Grid';
import { Card } from '@/ui/Card';
import { WaysToBegin } from '@/projects/WaysToBegin';
import { Waiting } from '@/ui/Notice';
import { Page } from '@/ui/Page';
import { Button } from '@/ui/Button';
import { Text } from '@/ui/Text';
import { groupWords } from '@/ui/words';

/** Chooses the closure to work at: those under way first. */
export function BenchStart() {
  const { project, isArchived } = useProjectView();
  const router = useRouter();
  const summary = useSummary(project.id);
  const rows = (summary.data?.closures ?? []).filter(
    (row) => row.total > 0 && !isArchived({ id: row.closureId }),
  );
  const sorted = [...rows].sort((a, b) => rank(a) - rank(b));
  return (
    <Page title={t('bench')} above={t('whichClosureAreYouAt')}>
      <View style={{ flexDirection: 'row', flexWrap: 'wrap', gap: 8 }}>
        <Button
          label={t('planTheShift')}
          icon="clock-outline"
          onPress={() => router.push(`/p/${project.id}/bench/shift` as never)}
        />
        <Button
          label={t('practice')}
          icon="school-outline"
          onPress={() => router.push(`/p/${project.id}/bench/practice` as never)}
        />
      </View>
      {summary.data ? null : <Waiting error={summary.error} />}
      {summary.data && rows.length === 0 ? <WaysToBegin /> : null}
      <Grid gap={12}>
        {sorted.map((row) => (
          <Pressable
            key={row.closureId}
            role="button"
            onPress={() => router.push(`/p/${project.id}/bench/${row.closureId}` as never)}
          >
            <Card>
              <View style={{ flexDirection: 'row', justifyContent: 'space-between' }}>
                <Text kind="name">{row.name}</Text>
                <Text kind="strong">{t('doneOfDue', { done: row.done, due: row.due })}</Text>
              </View>
              <Text kind="strong" color={groupWords(row).color}>
                {groupWords(row).words}
              </Text>
            </Card>
          </Pressable>
        ))}
      </Grid>
    </Page>
  );
}

const rank = (row: { done: number; due: number; redo: number }): number =>
  row.done > 0 && row.done < row.due ? 0 : row.redo > 0 ? 1 : row.done === 0 ? 2 : 3;
