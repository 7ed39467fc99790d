import { useRouter } from 'expo-router';
import { View } from 'react-native';
import { formatDistance, parseDistance, parseMakeUp } from '@cordel/core';
import { makeUpText } from '@cordel/text/fiber';
import { networkPage as t } from '@cordel/text/pages/kit/NetworkPage';
import { common } from '@cordel/text/pages/common';
import { kitShared as shared } from '@cordel/text/pages/kit/shared';
import { useSummary } from '@/data/queries';
import { useProjectView } from '@/projects/context';
import { Grid } from '@/ui/Grid';
import { Card } from '@/ui/Card';
import { Notice } from '@/ui/Notice';
import { Page } from '@/ui/Page';
import { Button } from '@/ui/Button';
import { Text } from '@/ui/Text';
import { useWide } from '@/ui/useWide';
import { RowFields } from './RowFields';
import { useTypedNetwork } from './useTypedNetwork';

/** Cables and closures typed one after the other, then the closures to plan. */
export function NetworkPage() {
  const { project } = useProjectView();
  const wide = useWide();
  const network = useTypedNetwork();
  const { rows, problems, change, count } = network;
  const unit = project.units.distance;
  return (
    <Page
      title={t('cablesAndClosures')}
      above={project.name}
      back={`/p/${project.id}/route`}
      needs="decide"
    >
      <View style={{ flexDirection: wide ? 'row' : 'column', gap: 20 }}>
        <Card style={{ flex: wide ? 1 : undefined, gap: 10 }}>
          <Text kind="name" heading={2}>
            {common('cables')}
          </Text>
          <RowFields
            noun={common('cable')}
            figure={common('fibers')}
            hint={t('fibers14412x24TubesXFibers')}
            rows={rows.cables}
            problems={problems}
            feedback={({ figure }) => {
              const read = parseMakeUp(figure);
              return read.ok ? makeUpText(read.value) : '';
            }}
            onChange={(row) => change('cables', row)}
          />
        </Card>
        <Card style={{ flex: wide ? 1 : undefined, gap: 10 }}>
          <Text kind="name" heading={2}>
            {shared('closures')}
          </Text>
          <RowFields
            noun={common('closure')}
            figure={t('distance')}
            hint={t('distanceFromTheStartInWhere', { unit })}
            rows={rows.closures}
            problems={problems}
            feedback={({ figure }) => {
              const read = parseDistance(figure, unit);
              return read.ok ? formatDistance(read.value, unit) : '';
            }}
            onChange={(row) => change('closures', row)}
          />
        </Card>
      </View>
      {problems.size > 0 ? (
        <Notice word={shared('notSaved')} color="accent" live>
          {t('rowsToFixFirst', { rows: problems.size })}
        </Notice>
      ) : null}
      {network.savedCount > 0 ? (
        <Notice word={t('saved')} color="green" live>
          {t('rows', { rows: network.savedCount })}
        </Notice>
      ) : null}
      <Button
        label={count === 0 ? shared('save') : t('saveRows', { rows: count })}
        look="next"
        disabled={count === 0}
        onPress={() => void network.save()}
      />
      <Plans />
    </Page>
  );
}

/** What is there already, and the way to each closure's plan. */
function Plans() {
  const { project, cables, closures, isArchived } = useProjectView();
  const router = useRouter();
  const rows = useSummary(project.id).data?.closures ?? [];
  if (cables.length + closures.length === 0) return null;
  const splices = new Map(rows.map(({ closureId, total }) => [closureId, total]));
  return (
    <View style={{ gap: 8 }}>
      <Text kind="name" heading={2}>
        {t('hereAlready')}
      </Text>
      {cables.length > 0 ? (
        <Text>{t('cables', { cables: cables.map(({ name }) => name).join(', ') })}</Text>
      ) : null}
      <Grid>
        {closures
          .filter((closure) => !isArchived(closure))
          .map(({ id, name }) => (
            <Button
              key={id}
              style={{ justifyContent: 'space-between' }}
              onPress={() => router.push(`/p/${project.id}/route/${id}/plan` as never)}
            >
              <Text kind="strong">{t('planName', { name })}</Text>
              <Text color="ink2">{t('splices', { splices: splices.get(id) ?? 0 })}</Text>
            </Button>
          ))}
      </Grid>
    </View>
  );
}
